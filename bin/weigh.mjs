// Prints what each screen loads first, kB of script compressed, beyond what all screens share; out of the built files.
import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { ROOT } from './prepare.mjs'

/** What the first paint of a screen may load, kB compressed, beyond what all screens share. */
const MOST = 120

const kB = (file) => gzipSync(readFileSync(file)).length / 1000

/** A chunk and all that it imports at once, by file. */
function loaded(file, found = new Set()) {
  if (found.has(file)) return found
  found.add(file)
  const text = readFileSync(file, 'utf8')
  for (const [, name] of text.matchAll(/(?:from|import)\s*"(\.\/[^"]+\.js)"/g)) loaded(join(dirname(file), name), found)
  return found
}

export function printWeights() {
  const client = join(ROOT, 'build', 'client')
  const manifest = readdirSync(join(client, 'assets')).find((file) => /^manifest-.*\.js$/.test(file))
  const json = readFileSync(join(client, 'assets', manifest), 'utf8')
    .replace(/^[^{]*/, '')
    .replace(/;\s*$/, '')
  const screens = Object.values(JSON.parse(json).routes).filter(({ id }) =>
    /^routes\/(brief|copy|references|compose|style|play|deliver)$/.test(id),
  )
  const sets = screens.map(({ id, module }) => ({ name: id.slice(7), files: loaded(join(client, module)) }))
  const shared = new Set([...sets[0].files].filter((file) => sets.every(({ files }) => files.has(file))))
  for (const { name, files } of sets) {
    const weight = [...files].filter((file) => !shared.has(file)).reduce((sum, file) => sum + kB(file), 0)
    const wanted = ['compose', 'copy'].includes(name) ? ` (wanted at most 1, ${weight <= MOST ? 'reached' : 'NOT reached'})` : ''
    console.log(
      `script that ${name} first loads, compressed / ${MOST} kB: ${(weight / MOST).toFixed(2)}${wanted}. ${weight.toFixed(0)} kB`,
    )
  }
}
