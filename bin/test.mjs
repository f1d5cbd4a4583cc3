// Runs every check of the project on any machine: installs what is needed, then types, lint, layers, unit and end-to-end tests.
// Its last line is "N passed, N failed".
import { spawn } from 'node:child_process'
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join, relative } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { build, chromium, install, ROOT, run } from './prepare.mjs'

const results = join(ROOT, 'test-results')

/** Counts of a JSON report, or one failure if the runner left none. */
function counts(file, read) {
  const path = join(results, file)
  if (!existsSync(path)) return { passed: 0, failed: 1 }
  return read(JSON.parse(readFileSync(path, 'utf8')))
}

await install()
rmSync(results, { recursive: true, force: true })
let passed = 0
let failed = 0
/** What failed and why, said again at the end: a long run is read from there. */
const failures = []
const add = (count) => {
  passed += count.passed
  failed += count.failed
}

/** Runs a script to its end, and prints what it said with its name above it, so that two can run side by side. */
function check(what, command, args, env = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, env: { ...process.env, ...env } })
    let text = ''
    child.stdout.on('data', (chunk) => (text += chunk))
    child.stderr.on('data', (chunk) => (text += chunk))
    child.on('error', (error) => (text += String(error)))
    child.on('close', (code) => {
      console.log(`· ${what}: ${code === 0 ? 'passed' : 'FAILED'}`)
      if (code !== 0) {
        console.log(text)
        failures.push({ what, why: text })
      }
      add(code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 })
      done()
    })
  })
}

const script = (what, name) => () => check(what, 'npm', ['run', '--silent', name])
// Types are generated before anything else reads them; the rest is done beside the build.
const waiting = [
  script('Types', 'typecheck'),
  script('Lint and formatting', 'lint'),
  script('Layers', 'deps'),
  script('Unused code', 'unused'),
  script('Generated documents', 'docs:check'),
]
const work = async () => {
  for (let next = waiting.shift(); next; next = waiting.shift()) await next()
}
await waiting.shift()()
await Promise.all([build(), work()])

console.log('· Unit tests')
const unit = await run('npx', [
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  '--outputFile.json=test-results/unit.json',
])
const unitCount = counts('unit.json', (report) => {
  for (const file of report.testResults) {
    const name = relative(ROOT, file.name)
    // A file that cannot be read has no tests that failed.
    if (file.status === 'failed' && file.message) failures.push({ what: name, why: file.message })
    for (const one of file.assertionResults)
      if (one.status === 'failed') failures.push({ what: `${name} › ${one.fullName}`, why: one.failureMessages.join('\n') })
  }
  return { passed: report.numPassedTests, failed: report.numFailedTests }
})
add(unit !== 0 && unitCount.failed === 0 ? { ...unitCount, failed: 1 } : unitCount)

console.log('· End-to-end tests')
const path = await chromium()
const e2e = await run('npx', ['playwright', 'test'], { CHROMIUM_PATH: path })
/** Every test that did not do what was expected, of a suite and those inside it. */
function unexpected(suite, file = suite.file) {
  for (const inner of suite.suites ?? []) unexpected(inner, inner.file ?? file)
  for (const spec of suite.specs ?? []) {
    if (spec.ok) continue
    const errors = spec.tests.flatMap((test) => test.results.flatMap((result) => result.errors))
    failures.push({ what: `${file}:${spec.line} › ${spec.title}`, why: errors.map((one) => one.message).join('\n') })
  }
}
const e2eCount = counts('e2e.json', (report) => {
  for (const suite of report.suites) unexpected(suite)
  return { passed: report.stats.expected, failed: report.stats.unexpected + report.stats.flaky }
})
add(e2e !== 0 && e2eCount.failed === 0 ? { ...e2eCount, failed: 1 } : e2eCount)

for (const { what, why } of failures)
  console.log(`\nFailed: ${what}\n${stripVTControlCharacters(why).split('\n').slice(0, 25).join('\n')}`)
console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 ? 0 : 1
