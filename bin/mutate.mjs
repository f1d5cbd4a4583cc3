// Tests of the tests: puts small faults (mutants) into core and server, and looks whether a unit test notices each.
// Usage: npm run mutate -- [--files FOLDER_OR_FILE ...] [--sample N] [--seed S] [--jobs J]
import { Instrumenter } from '@stryker-mutator/instrumenter'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { availableParallelism, tmpdir } from 'node:os'
import { join } from 'node:path'
import { compile, install, ROOT, run, stop } from './prepare.mjs'
import { keyOf } from './sampled.mjs'

const SAMPLE = 500
/** Shares of mutants that are wanted to be noticed: of all, and in the folders of arithmetic. */
const WANTED = { all: 0.8, arithmetic: 0.9 }
const ARITHMETIC = ['core/grid', 'core/style', 'core/motion', 'core/sweep', 'core/edits', 'core/legibility']

const args = process.argv.slice(2)
const option = (name, otherwise) => {
  const at = args.indexOf(`--${name}`)
  if (at < 0) return otherwise
  const value = Number(args[at + 1])
  if (!Number.isInteger(value) || value < 1) stop(`--${name} wants a whole number above 0.`)
  return value
}
const filesAt = args.indexOf('--files')
const asked =
  filesAt < 0 ? [] : args.slice(filesAt + 1).filter((one, n, all) => !all.slice(0, n + 1).some((each) => each.startsWith('--')))
const sample = option('sample', SAMPLE)
const seed = option('seed', (Date.now() % 1_000_000) + 1)
const jobs = option('jobs', availableParallelism())

await install()
await compile()

const IS_SOURCE = /^(core|server)\/.*\.ts$/
const IS_NONE = /\.(test|fixture|d)\.ts$|^server\/migrations\/|^server\/threads\/worker\.ts$/
const files = ['core', 'server']
  .flatMap((name) => readdirSync(join(ROOT, name), { recursive: true }).map((file) => `${name}/${file}`))
  .filter((file) => IS_SOURCE.test(file) && !IS_NONE.test(file))
  .filter((file) => asked.length === 0 || asked.some((one) => file === one || file.startsWith(`${one.replace(/\/$/, '')}/`)))
  .sort()
if (files.length === 0) stop(`There are no sources in ${asked.join(', ')}.`)

const silent = Object.fromEntries(
  ['trace', 'debug', 'info', 'warn', 'error', 'fatal'].flatMap((name) => [
    [name, () => undefined],
    [`is${name[0].toUpperCase()}${name.slice(1)}Enabled`, () => false],
  ]),
)

/** All mutants of the sources. */
async function mutantsOf() {
  const given = files.map((name) => ({ name: join(ROOT, name), mutate: true, content: readFileSync(join(ROOT, name), 'utf8') }))
  const { mutants } = await new Instrumenter(silent).instrument(given, {
    plugins: null,
    excludedMutations: [],
    ignorers: [],
    noHeader: true,
  })
  return mutants.filter((one) => one.status !== 'Ignored')
}

/** Numbers from 0 to below 1 out of a seed (mulberry32). */
function randomOf(start) {
  let a = start
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** So many of a list, each as likely as the others. */
function drawn(list, count, random) {
  const all = [...list]
  for (let n = 0; n < Math.min(count, all.length); n++) {
    const other = n + Math.floor(random() * (all.length - n))
    ;[all[n], all[other]] = [all[other], all[n]]
  }
  return all.slice(0, count)
}

const all = await mutantsOf()
const chosen = drawn(all, sample, randomOf(seed))
console.log(`${all.length} mutants in ${files.length} files; ${chosen.length} drawn by the seed ${seed}.`)

const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-mutants-'))
const [keys, config, report] = ['mutants.json', 'stryker.config.json', 'report.json'].map((name) => join(folder, name))
writeFileSync(keys, JSON.stringify(chosen.map((one) => keyOf(one, 0))))
writeFileSync(
  config,
  JSON.stringify({
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.config.ts', related: true },
    plugins: ['@stryker-mutator/vitest-runner', join(ROOT, 'bin', 'sampled.mjs')],
    checkers: ['sampled'],
    // Places of mutants, with lines from 1 as the runner's configuration has them.
    mutate: [
      ...new Set(
        chosen.map(
          ({ fileName, location: { start, end } }) =>
            `${fileName.slice(ROOT.length + 1)}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`,
        ),
      ),
    ],
    coverageAnalysis: 'perTest',
    // What runs as a module is loaded would ask for all tests for each: it is named, and not counted.
    ignoreStatic: true,
    // Half of them are for what lets through those that were drawn, which is done at once.
    concurrency: 2 * jobs,
    timeoutMS: 30_000,
    dryRunTimeoutMinutes: 60,
    reporters: ['json', 'progress-append-only'],
    jsonReporter: { fileName: report },
    tempDirName: join(folder, 'sandbox'),
    cleanTempDir: 'always',
    // Unit tests read the sites that end-to-end tests build.
    ignorePatterns: ['data', 'test-results', 'docs/screenshots', 'e2e/*', '!e2e/built'],
    allowEmpty: true,
    disableTypeChecks: false,
  }),
)

/** Prints what was noticed, by folder, and what was not. @returns true if enough was */
function judge() {
  const { files: found } = JSON.parse(readFileSync(report, 'utf8'))
  const tried = Object.entries(found).flatMap(([file, { mutants }]) => mutants.map((one) => ({ ...one, file })))
  const counted = tried.filter((one) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(one.status))
  const noticed = (list) => list.filter((one) => one.status === 'Killed' || one.status === 'Timeout')
  const share = (list) => (list.length === 0 ? 1 : noticed(list).length / list.length)
  const folderOf = (file) => file.split('/').slice(0, 2).join('/')
  for (const { file, location, replacement, mutatorName, status } of counted)
    if (status === 'Survived' || status === 'NoCoverage')
      console.log(
        `${status === 'Survived' ? 'survived' : 'no test '}  ${file}:${location.start.line}:${location.start.column}  ${mutatorName}: ${replacement.slice(0, 100)}`,
      )
  for (const name of [...new Set(counted.map((one) => folderOf(one.file)))].sort()) {
    const own = counted.filter((one) => folderOf(one.file) === name)
    console.log(`${(share(own) * 100).toFixed(0).padStart(4)} %  ${name}: ${noticed(own).length} of ${own.length}`)
  }
  const arithmetic = counted.filter((one) => ARITHMETIC.includes(folderOf(one.file)))
  const left = chosen.length - counted.length
  const timeouts = counted.filter((one) => one.status === 'Timeout').length
  console.log(
    `Killed: ${(share(counted) * 100).toFixed(1)} % of ${counted.length} (wanted ${WANTED.all * 100}; ${timeouts} by not ending), ${(share(arithmetic) * 100).toFixed(1)} % of ${arithmetic.length} in arithmetic (wanted ${WANTED.arithmetic * 100}); ${left} run as modules are loaded, or do not run, and are not counted. Seed ${seed}.`,
  )
  return share(counted) >= WANTED.all && share(arithmetic) >= WANTED.arithmetic
}

try {
  const code = await run(process.execPath, [join(ROOT, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', config], {
    YARROWFINCH_MUTANTS: keys,
  })
  if (code !== 0) stop('The mutants could not be tried. The lines above say why.', code)
  process.exitCode = judge() ? 0 : 1
} finally {
  rmSync(folder, { recursive: true, force: true })
}
