import { lstatSync, mkdirSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { FormatError } from '#core/formats/site-json'
import { exportFiles } from '#server/web-export'
import { openSiteFile } from './site-file'
import { sourcesOf } from './sources'

type Say = (line: string) => void

const USAGE = `Usage: npm run export -- FILE OUT_DIR [--minify]

Writes the HTML, CSS, pictures and fonts of a .site.json or .site.zip to a folder.
What a .site.json holds is looked for in "pictures", "fonts" and "files" beside it.`

/** What is written goes into the folder and nowhere else: a link in it would lead elsewhere. @throws FormatError */
function checkNoLink(folder: string, name: string): void {
  for (let inner = name; inner !== '.'; inner = dirname(inner))
    if (lstatSync(join(folder, inner), { throwIfNoEntry: false })?.isSymbolicLink())
      throw new FormatError(`“${join(folder, inner)}” is a link to another place, so nothing is written. Take it out first.`)
}

/**
 * Writes the export of a site file to a folder.
 * @returns the exit code of the command
 * @throws FormatError if the file is no site
 */
async function written(args: readonly string[], say: Say, complain: Say): Promise<number> {
  const minify = args.includes('--minify')
  const [file, folder, ...more] = args.filter((one) => one !== '--minify')
  if (!file || !folder || more.length > 0) {
    complain(USAGE)
    return 2
  }
  const read = await openSiteFile(file)
  const { picture, font, linked } = sourcesOf(read)
  const style = minify ? 'minified' : 'readable'
  const { files, missing } = await exportFiles(read.site, style, picture, font, {}, linked)
  for (const { file: name } of files) checkNoLink(folder, name)
  for (const { file: name, bytes } of files) {
    const path = join(folder, name)
    mkdirSync(dirname(path), { recursive: true })
    writeFileSync(path, bytes)
  }
  for (const name of missing) complain(`“${name}” is not in the file, nor beside it; the pages will lack it.`)
  say(`${files.length} files in ${folder}`)
  return missing.length === 0 ? 0 : 1
}

/** The command: what went wrong with a file is said, and fails. @returns its exit code */
export async function exportSite(args: readonly string[], say: Say, complain: Say): Promise<number> {
  try {
    return await written(args, say, complain)
  } catch (error) {
    if (!(error instanceof FormatError)) throw error
    complain(error.message)
    return 1
  }
}

if (resolve(process.argv[1] ?? '') === import.meta.filename)
  process.exitCode = await exportSite(process.argv.slice(2), console.log, console.error)
