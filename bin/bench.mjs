// Runs the benchmarks, each in a process of its own, from code built as for production: all, or those that are named. With
// --readme each is run three times and the README's table is written; --runs N runs them N times.
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { availableParallelism, loadavg, tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, ready, ROOT, run, stop } from './prepare.mjs'

const RUNS = 3

await ready()
const path = await chromium()
const { build: bundle } = await import('esbuild')
const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-bench-'))

/** Makes one script of a file, so that what is measured is built as it is for production. */
async function bundled(name, out = join(ROOT, 'benches', `.${name}.mjs`)) {
  await bundle({
    entryPoints: [join(ROOT, 'benches', `${name}.ts`)],
    outfile: out,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    logLevel: 'error',
  })
  return out
}

const made = []
try {
  const rowsFile = await bundled('rows')
  const figuresFile = await bundled('figures')
  made.push(rowsFile, figuresFile)
  const { ROWS } = await import(rowsFile)
  const { keptFigures, KEPT_FIGURES, measuredOf, tableOf, withTable } = await import(figuresFile)
  const all = [...new Set(Object.values(ROWS).map((one) => one.bench))]

  const args = process.argv.slice(2)
  const readme = args.includes('--readme')
  const at = args.indexOf('--runs')
  const runs = at >= 0 ? Number(args[at + 1]) : readme ? RUNS : 1
  if (!Number.isInteger(runs) || runs < 1) stop('--runs wants a whole number above 0.')
  const asked = args.filter((one, n) => !one.startsWith('--') && (at < 0 || n !== at + 1))
  const unknown = asked.filter((one) => !all.includes(one))
  if (unknown.length > 0) stop(`There is no benchmark called ${unknown.join(', ')}. There are ${all.join(', ')}.`)
  const names = asked.length > 0 ? all.filter((one) => asked.includes(one)) : all

  const load = `${loadavg()[0].toFixed(1)} on ${availableParallelism()} cores`
  const day = new Date().toISOString().slice(0, 10)
  console.log(`${day}, load ${load}, ${runs} ${runs === 1 ? 'run' : 'runs'} of each`)
  const measured = new Map()
  for (const name of names) {
    const script = await bundled(name)
    made.push(script)
    for (let n = 0; n < runs; n++) {
      const rows = join(folder, `${name}-${n}.jsonl`)
      const code = await run(process.execPath, [script], { NODE_ENV: 'production', CHROMIUM_PATH: path, YARROWFINCH_ROWS: rows })
      const lines = existsSync(rows) ? readFileSync(rows, 'utf8').trim().split('\n').filter(Boolean) : []
      for (const { row, ...one } of lines.map((line) => JSON.parse(line))) measured.set(row, [...(measured.get(row) ?? []), one])
      if (code === 0) continue
      console.error(`The benchmark ${name} failed.`)
      process.exitCode = 1
    }
  }
  const missing = Object.entries(ROWS).filter(
    ([row, { bench }]) => names.includes(bench) && (measured.get(row)?.length ?? 0) < runs,
  )
  for (const [row] of missing) console.error(`The row ${row} was not measured ${runs} ${runs === 1 ? 'time' : 'times'}.`)
  if (missing.length > 0) process.exitCode = 1
  if (readme) {
    const kept = keptFigures()
    for (const [row, list] of measured) if (list.length >= runs) kept[row] = measuredOf(list, day, load)
    writeFileSync(KEPT_FIGURES, `${JSON.stringify(kept, null, 2)}\n`)
    writeFileSync('README.md', withTable(readFileSync('README.md', 'utf8'), tableOf(kept)))
    console.log('The table in the README is written.')
  }
} finally {
  for (const file of made) rmSync(file, { force: true })
  rmSync(folder, { recursive: true, force: true })
}
