import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { paint } from './canvas'
import { LIBRARY } from './library-paintings'

// Paints the pictures of the local library, which stands in for a picture service, and writes its index.
const folder = 'library'
mkdirSync(folder, { recursive: true })
for (const old of readdirSync(folder)) rmSync(join(folder, old))
for (const [name, painting] of Object.entries(LIBRARY)) {
  const bytes = await paint(painting)
  writeFileSync(join(folder, `${name}.jpg`), bytes)
  console.log(`${name}: ${(bytes.length / 1024).toFixed(0)} kB`)
}
const index = Object.entries(LIBRARY).map(([name, { title, words, width, height }]) => ({ name, title, words, width, height }))
writeFileSync(join(folder, 'index.json'), `${JSON.stringify(index, null, 2)}\n`)
