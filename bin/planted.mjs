// Plants twenty faults, one after the other, in a copy of the project, and runs the test that must fail for each. Its last
// line is "N passed, N failed": a fault that nobody noticed has failed. With numbers, only those faults.
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { FAULTS } from './planted-faults.mjs'
import { chromium, KEPT, ready, ROOT, runQuietly, stop } from './prepare.mjs'

const NOT_COPIED = new Set(['node_modules', '.git', 'data', 'test-results', '.react-router'])

await ready()
const path = await chromium()
const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-planted-'))
const asked = process.argv.slice(2).map(Number)
if (asked.some((one) => !(one >= 1 && one <= FAULTS.length))) stop(`The faults have numbers from 1 to ${FAULTS.length}.`)

/** Builds and runs in the copy say much: it is shown only if something is wrong. */
const quietly = (command, args, env) => runQuietly(command, args, env, folder)

const missed = []
let tried = 0
try {
  for (const name of readdirSync(ROOT)) if (!NOT_COPIED.has(name)) cpSync(join(ROOT, name), join(folder, name), { recursive: true })
  // Packages are shared; what is kept between runs, and the folder of data that tests begin with, are its own.
  mkdirSync(join(folder, 'node_modules'))
  for (const name of readdirSync(join(ROOT, 'node_modules')))
    if (name !== '.yarrowfinch') symlinkSync(join(ROOT, 'node_modules', name), join(folder, 'node_modules', name))
  cpSync(KEPT, join(folder, 'node_modules', '.yarrowfinch'), { recursive: true })

  for (const [n, { what, file, from, to, spec, test }] of FAULTS.entries()) {
    if (asked.length > 0 && !asked.includes(n + 1)) continue
    tried++
    const whole = readFileSync(join(folder, file), 'utf8')
    if (whole.split(from).length !== 2) stop(`${file} has not what the fault “${what}” takes the place of.`)
    writeFileSync(
      join(folder, file),
      whole.replace(from, () => to),
    )
    const built = await quietly('npx', ['react-router', 'build'], { NODE_ENV: 'production' })
    if (built.code !== 0) stop(`With the fault “${what}” it cannot be built:\n${built.text}`)
    const ran = await quietly('npx', ['playwright', 'test', spec, '-g', test, '--reporter=line', '--timeout=120000'], {
      CHROMIUM_PATH: path,
    })
    writeFileSync(join(folder, file), whole)
    // A run that found no test has proved nothing.
    const failed = ran.code !== 0 && /\b[1-9]\d* failed/.test(ran.text)
    if (!failed) missed.push(what)
    console.log(`${String(n + 1).padStart(2)}  ${failed ? 'noticed' : 'MISSED'}: ${what} (${spec}, ${test} …)`)
  }
} finally {
  rmSync(folder, { recursive: true, force: true })
}
console.log(`${tried - missed.length} passed, ${missed.length} failed`)
process.exitCode = missed.length === 0 ? 0 : 1
