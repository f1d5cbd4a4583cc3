import { createHash } from 'node:crypto'
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { paint } from './canvas'
import { PAINTINGS } from './paintings'

// Paints every picture of the demo, and writes an index of their names, hashes and sizes for the demo sites.
const folder = join('demo', 'pictures')
mkdirSync(folder, { recursive: true })
for (const old of readdirSync(folder)) rmSync(join(folder, old))
const index: Record<string, { hash: string; width: number; height: number }> = {}
for (const [name, painting] of Object.entries(PAINTINGS)) {
  const bytes = await paint(painting)
  const hash = createHash('sha256').update(bytes).digest('hex')
  writeFileSync(join(folder, `${hash}.jpg`), bytes)
  index[name] = { hash, width: painting.width, height: painting.height }
  console.log(`${name}: ${painting.width} × ${painting.height}, ${(bytes.length / 1024).toFixed(0)} kB`)
}
writeFileSync(join('demo', 'pictures.json'), `${JSON.stringify(index, null, 2)}\n`)
