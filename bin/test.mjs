// Runs every check of the project on any machine: installs what is needed, then types, lint, layers, unit and end-to-end tests.
// Its last line is "N passed, N failed".
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join, relative } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { build, chromium, compile, install, ROOT, run, runQuietly } from './prepare.mjs'

const results = join(ROOT, 'test-results')
/** How many of the slowest tests are named at the end. */
const SLOWEST = 10

const [passed, failed] = [[], []]
/** Every test with how long it took, s. */
const tests = []
/** Every part with how long it took, s. */
const parts = []
const seconds = (from) => (Date.now() - from) / 1000

/** Runs a part and notes how long it took. */
async function timed(what, work) {
  const from = Date.now()
  const result = await work()
  parts.push({ what, took: seconds(from) })
  return result
}

const settle = (what, why) => (why === undefined ? passed.push(what) : failed.push({ what, why }))

/** Runs a check to its end, and prints what it said, if it failed, with its name above it. */
const check = (what, script) => () =>
  timed(what, async () => {
    const { code, text } = await runQuietly('npm', ['run', '--silent', script])
    console.log(`· ${what}: ${code === 0 ? 'passed' : 'FAILED'}`)
    if (code !== 0) console.log(text)
    settle(what, code === 0 ? undefined : text)
  })

/** A runner's report, or `undefined` with a failure noted if it left none. */
function reportOf(file, what) {
  const path = join(results, file)
  if (existsSync(path)) return JSON.parse(readFileSync(path, 'utf8'))
  settle(what, 'It ended without a report. The lines above say why.')
  return undefined
}

/** A runner that fails without a test that failed has failed all the same. */
function runnerEnded(what, code, before) {
  if (code !== 0 && failed.length === before) settle(what, `It ended with ${code}. The lines above say why.`)
}

async function unitTests() {
  const before = failed.length
  const code = await run(process.execPath, [
    join(ROOT, 'node_modules/vitest/vitest.mjs'),
    'run',
    '--reporter=default',
    '--reporter=json',
    '--outputFile.json=test-results/unit.json',
  ])
  for (const file of reportOf('unit.json', 'Unit tests')?.testResults ?? []) {
    const name = relative(ROOT, file.name)
    // A file that cannot be read has no tests that failed.
    if (file.status === 'failed' && file.message) settle(name, file.message)
    for (const one of file.assertionResults) {
      const what = `${name} › ${one.fullName}`
      if (one.status === 'passed' || one.status === 'failed')
        settle(what, one.status === 'passed' ? undefined : one.failureMessages.join('\n'))
      tests.push({ what, took: (one.duration ?? 0) / 1000 })
    }
  }
  runnerEnded('Unit tests', code, before)
}

/** Tests of a suite of Playwright's report, and of those inside it. */
const inSuite = (suite, file = suite.file) => [
  ...(suite.suites ?? []).flatMap((inner) => inSuite(inner, inner.file ?? file)),
  ...(suite.specs ?? []).map((spec) => ({ ...spec, file })),
]

async function endToEndTests(path) {
  const before = failed.length
  const runner = (...args) =>
    run(process.execPath, [join(ROOT, 'node_modules/playwright/cli.js'), 'test', ...args], { CHROMIUM_PATH: path })
  const code = await runner()
  const report = reportOf('e2e.json', 'End-to-end tests')
  for (const spec of (report?.suites ?? []).flatMap((suite) => inSuite(suite))) {
    const what = `${spec.file}:${spec.line} › ${spec.title}`
    const ended = spec.tests.flatMap((test) => test.results)
    if (ended.every((one) => one.status === 'skipped')) continue
    const errors = ended.flatMap((one) => one.errors.map((error) => error.message))
    settle(what, spec.ok ? undefined : errors.join('\n'))
    tests.push({ what, took: ended.reduce((sum, one) => sum + one.duration, 0) / 1000 })
  }
  runnerEnded('End-to-end tests', code, before)
  if (code === 0 || !report) return
  // For whoever looks for the reason: it stays failed.
  console.log('· What failed runs once more, with a trace in test-results')
  await runner('--last-failed', '--trace', 'on', '--reporter', 'line')
}

async function main() {
  const began = Date.now()
  await timed('Packages', install)
  rmSync(results, { recursive: true, force: true })
  const from = Date.now()
  // Types are generated before anything else reads them. Two lanes: one reads the sources, one makes what tests need.
  await timed('Types generated', () => run('npm', ['run', '--silent', 'typegen']))
  const reading = async () => {
    for (const one of [
      check('Types', 'types'),
      check('Lint', 'lint'),
      check('Formatting', 'format'),
      check('Layers', 'deps'),
      check('Unused code', 'unused'),
      check('Generated documents', 'docs:check'),
    ])
      await one()
  }
  const making = async () => {
    // The compiler has one processor; the build takes the other.
    await Promise.all([timed('SQLite', compile), timed('Build', build)])
    await timed('Unit tests', unitTests)
  }
  await Promise.all([reading(), making()])
  console.log('· End-to-end tests')
  const path = await chromium()
  await timed('End-to-end tests', () => endToEndTests(path))

  for (const { what, why } of failed)
    console.log(`\nFailed: ${what}\n${stripVTControlCharacters(why).split('\n').slice(0, 25).join('\n')}`)
  console.log(`\nThe ${SLOWEST} slowest tests`)
  for (const { what, took } of tests.sort((a, b) => b.took - a.took).slice(0, SLOWEST))
    console.log(`${took.toFixed(1).padStart(7)} s  ${what}`)
  console.log('\nThe parts, some of them side by side')
  for (const { what, took } of parts) console.log(`${took.toFixed(0).padStart(7)} s  ${what}`)
  console.log(`${seconds(from).toFixed(0).padStart(7)} s  all after the install, of ${seconds(began).toFixed(0)} s\n`)
  console.log(`${passed.length} passed, ${failed.length} failed`)
  process.exitCode = failed.length === 0 ? 0 : 1
}

await main()
