import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { PAGE_SCREENS } from '../app/screens'
import { print } from './measure'

/** What the first paint of a screen may load, kB compressed, beyond what all screens share. */
const MOST = 120

const client = join('build', 'client')
const kB = (file: string) => gzipSync(readFileSync(file)).length / 1000

/** A chunk and all that it imports at once, by file. */
function loaded(file: string, found = new Set<string>()): Set<string> {
  if (found.has(file)) return found
  found.add(file)
  for (const [, name] of readFileSync(file, 'utf8').matchAll(/(?:from|import)\s*"(\.\/[^"]+\.js)"/g))
    loaded(join(dirname(file), name!), found)
  return found
}

const manifest = readdirSync(join(client, 'assets')).find((file) => /^manifest-.*\.js$/.test(file))!
const json = readFileSync(join(client, 'assets', manifest), 'utf8')
  .replace(/^[^{]*/, '')
  .replace(/;\s*$/, '')
const { routes } = JSON.parse(json) as { routes: Record<string, { module: string }> }
const sets = PAGE_SCREENS.map((name) => ({ name, files: loaded(join(client, routes[`routes/${name}`]!.module)) }))
const shared = [...sets[0]!.files].filter((file) => sets.every(({ files }) => files.has(file)))
for (const [row, name] of [
  ['script-compose', 'compose'],
  ['script-copy', 'copy'],
] as const) {
  const files = [...sets.find((one) => one.name === name)!.files].filter((file) => !shared.includes(file))
  const weight = files.reduce((sum, file) => sum + kB(file), 0)
  print(row, weight / MOST, `${weight.toFixed(0)} kB`)
}
