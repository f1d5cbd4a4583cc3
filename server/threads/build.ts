import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { basename, join, resolve } from 'node:path'
import { build } from 'esbuild'

/** Where what was built of the sources is kept; packages are found from there. */
const KEPT = resolve('node_modules', '.yarrowfinch')

/** What a thread runs, in files beside each other: what only some jobs need is loaded by them. */
async function built(): Promise<{ name: string; bytes: Uint8Array }[]> {
  const { outputFiles } = await build({
    entryPoints: [resolve('server', 'threads', 'worker.ts')],
    outdir: KEPT,
    write: false,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    packages: 'external',
  })
  return outputFiles.map(({ path, contents }) => ({ name: basename(path), bytes: contents }))
}

/** Builds what threads run into a folder. @returns the file that a thread begins with */
export async function buildThreads(folder: string): Promise<string> {
  mkdirSync(folder, { recursive: true })
  for (const { name, bytes } of await built()) writeFileSync(join(folder, name), bytes)
  return join(folder, 'worker.js')
}

/** The same of the sources as they are, for development, tests and commands: each state of them is kept in a folder of its own. */
export async function builtThreads(): Promise<string> {
  const files = await built()
  const hash = files.reduce((sum, { name, bytes }) => sum.update(name).update(bytes), createHash('sha256'))
  const folder = join(KEPT, `threads-${hash.digest('hex').slice(0, 16)}`)
  if (!existsSync(folder)) {
    const made = `${folder}-${process.pid}`
    mkdirSync(made, { recursive: true })
    for (const { name, bytes } of files) writeFileSync(join(made, name), bytes)
    try {
      renameSync(made, folder)
    } catch {
      // Another process was faster with the same.
      rmSync(made, { recursive: true, force: true })
    }
  }
  return join(folder, 'worker.js')
}
