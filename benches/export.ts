import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import sharp from 'sharp'
import { readSite } from '#core/formats/site-json'
import { webFiles } from '#core/formats/web-files'
import { finish, start, temporaryFolder } from '../e2e/application'
import { watch } from '../torture/watch'
import { print } from './measure'

const data = temporaryFolder()
await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
const app = await start(data)
const home = await (await fetch(app.url)).text()
const ids = [...home.matchAll(/sites\/([\w-]{10})/g)].map((found) => found[1]!)
let id = ''
for (const one of new Set(ids)) {
  const { name } = readSite(await (await fetch(`${app.url}/sites/${one}/as/site-json`)).text())
  if (name.startsWith('Hollin')) id = one
}

/** The export as the interface makes it: the pictures with their progress, then the zip. */
async function exported(): Promise<number> {
  const from = performance.now()
  await (await fetch(`${app.url}/sites/${id}/export/pictures`)).text()
  await (await fetch(`${app.url}/sites/${id}/as/web?style=minified`)).arrayBuffer()
  return performance.now() - from
}

/** The same pictures made with sharp alone, all at once. */
async function byHand(): Promise<number> {
  const { pictures } = webFiles(readSite(readFileSync('demo/observatory.site.json', 'utf8')), 'minified')
  const from = performance.now()
  await Promise.all(
    pictures.map(({ picture, width }) =>
      width === null
        ? undefined
        : sharp(join('demo', 'pictures', `${picture.hash}.jpg`))
            .rotate()
            .resize({ width, withoutEnlargement: true })
            .webp({ quality: 78, effort: 3 })
            .toBuffer(),
    ),
  )
  return performance.now() - from
}

const hand = await byHand()
const stop = await watch(app.url, () => 'the export')
const first = await exported()
const { took, bare } = await stop()
const again = await exported()
await app.stop('SIGKILL')
removeFolder(data)
const figures = (ms: number) => `${(ms / 1000).toFixed(2)} and ${(hand / 1000).toFixed(2)} s`
print('export', first / hand, figures(first))
print('export-again', again / hand, figures(again))
print('export-wait', (took - bare) / 100, `${Math.round(took)} ms, and ${Math.round(bare)} ms of a bare server beside it`)
