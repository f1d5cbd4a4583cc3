// Runs every check of the project on any machine: installs what is needed, then types, lint, layers, unit and end-to-end tests.
// Its last line is "N passed, N failed".
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
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
const add = (count) => {
  passed += count.passed
  failed += count.failed
}

for (const [what, script] of [
  ['Types', 'typecheck'],
  ['Lint and formatting', 'lint'],
  ['Layers', 'deps'],
  ['Unused code', 'unused'],
  ['Generated documents', 'docs:check'],
]) {
  console.log(`· ${what}`)
  const code = await run('npm', ['run', '--silent', script])
  add(code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 })
}

console.log('· Unit tests')
await build()
const unit = await run('npx', [
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  '--outputFile.json=test-results/unit.json',
])
const unitCount = counts('unit.json', (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests,
}))
add(unit !== 0 && unitCount.failed === 0 ? { ...unitCount, failed: 1 } : unitCount)

console.log('· End-to-end tests')
const path = await chromium()
const e2e = await run('npx', ['playwright', 'test'], { CHROMIUM_PATH: path })
const e2eCount = counts('e2e.json', (report) => ({
  passed: report.stats.expected,
  failed: report.stats.unexpected + report.stats.flaky,
}))
add(e2e !== 0 && e2eCount.failed === 0 ? { ...e2eCount, failed: 1 } : e2eCount)

console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 ? 0 : 1
