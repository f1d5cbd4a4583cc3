// What takes long, for a night or a release: every check of `npm test` with all pages and seeds, half an hour of torture,
// stock Firefox, the benchmarks, 500 mutants, twenty planted faults, and the pictures of the documents. Its last line is "N passed, N failed".
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, ready, run, stop } from './prepare.mjs'

const shots = mkdtempSync(join(tmpdir(), 'yarrowfinch-shots-'))
const PARTS = {
  test: ['node', ['bin/test.mjs'], { YARROWFINCH_PROOF: '1' }],
  torture: ['npm', ['run', '--silent', 'torture', '--', '--minutes', '30']],
  firefox: ['node', ['bin/firefox.mjs']],
  bench: ['node', ['bin/bench.mjs', '--runs', '3']],
  mutate: ['node', ['bin/mutate.mjs']],
  planted: ['node', ['bin/planted.mjs']],
  // Every view that the documents show can still be reached; the pictures themselves are for an eye.
  pictures: ['npm', ['run', '--silent', 'shots', '--', shots]],
}

const asked = process.argv.slice(2)
const unknown = asked.filter((one) => !(one in PARTS))
if (unknown.length > 0) stop(`There is no part called ${unknown.join(', ')}. There are ${Object.keys(PARTS).join(', ')}.`)

await ready()
const path = await chromium()
const ended = []
for (const [name, [command, args, env]] of Object.entries(PARTS)) {
  if (asked.length > 0 && !asked.includes(name)) continue
  console.log(`\n· ${name}`)
  const from = Date.now()
  const code = await run(command, args, { CHROMIUM_PATH: path, ...env })
  ended.push({ name, code, minutes: (Date.now() - from) / 60_000 })
}
rmSync(shots, { recursive: true, force: true })
console.log('\nThe long proof')
for (const { name, code, minutes } of ended)
  console.log(`${minutes.toFixed(1).padStart(7)} min  ${name}: ${code === 0 ? 'passed' : 'FAILED'}`)
const failed = ended.filter((one) => one.code !== 0).length
console.log(`${ended.length - failed} passed, ${failed} failed`)
process.exitCode = failed === 0 ? 0 : 1
