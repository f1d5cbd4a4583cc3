import { mkdirSync, readFileSync, writeFileSync, existsSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { FormatError } from '#core/formats/site-json'
import { readSiteFile } from '#core/formats/site-zip'
import { exportFiles } from '#server/web-export'
import { sourcesOf } from './sources'

const USAGE = `Usage: npm run export -- FILE OUT_DIR [--minify]

Writes the HTML, CSS, pictures and fonts of a .site.json or .site.zip to a folder.
Pictures and fonts of a .site.json are looked for in "pictures" and "fonts" beside it.`

async function main(args: string[]): Promise<number> {
  const minify = args.includes('--minify')
  const [file, folder, ...more] = args.filter((one) => one !== '--minify')
  if (!file || !folder || more.length > 0) {
    console.error(USAGE)
    return 2
  }
  if (!existsSync(file)) {
    console.error(`There is no file "${file}".`)
    return 1
  }
  const read = readSiteFile(new Uint8Array(readFileSync(file)))
  const { picture, font, linked } = sourcesOf(resolve(file), read)
  const style = minify ? 'minified' : 'readable'
  const { files, missing } = await exportFiles(read.site, style, picture, font, {}, linked)
  for (const { file: name, bytes } of files) {
    const path = join(folder, name)
    mkdirSync(dirname(path), { recursive: true })
    writeFileSync(path, bytes)
  }
  for (const name of missing) console.error(`“${name}” is not in the file, nor beside it; the pages will lack it.`)
  console.log(`${files.length} files in ${folder}`)
  return missing.length === 0 ? 0 : 1
}

main(process.argv.slice(2))
  .then((code) => (process.exitCode = code))
  .catch((error: unknown) => {
    if (!(error instanceof FormatError)) throw error
    console.error(error.message)
    process.exitCode = 1
  })
