import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { keptFigures, measuredOf, tableOf, withTable } from './figures'
import { type Row, type RowName, ROWS } from './rows'

const rows = Object.entries(ROWS) as [RowName, Row][]

test('each row of the table has a benchmark that prints it, and each benchmark a row', () => {
  for (const [name, { bench }] of rows) {
    const file = `benches/${bench}.ts`
    expect(existsSync(file), `${file}, for the row ${name}`).toBe(true)
    expect(readFileSync(file, 'utf8'), `${file} prints the row ${name}`).toContain(`'${name}'`)
  }
  // What prints is a benchmark, whatever it is called.
  const printing = readdirSync('benches').filter(
    (file) => /^[a-z-]+\.ts$/.test(file) && /\bprint\(/.test(readFileSync(`benches/${file}`, 'utf8')) && file !== 'measure.ts',
  )
  expect(printing.sort()).toEqual([...new Set(rows.map(([, { bench }]) => `${bench}.ts`))].sort())
})

test('the README has the table that the last measurement wrote, with the rows as they are now', () => {
  const readme = readFileSync('README.md', 'utf8')
  expect(withTable(readme, tableOf(keptFigures()))).toBe(readme)
  expect(Object.keys(keptFigures()).filter((name) => !(name in ROWS))).toEqual([])
})

test('a table says the lowest, middle and highest of the runs, and marks what is not reached', () => {
  const runs = [
    { ratio: 2.4, figures: 'c' },
    { ratio: 1.2, figures: 'a' },
    { ratio: 2.1, figures: 'b' },
  ]
  const measured = measuredOf(runs, '2026-12-01', '0.4 on 2 cores')
  expect(measured).toEqual({ ratios: [1.2, 2.1, 2.4], figures: 'b', day: '2026-12-01', load: '0.4 on 2 cores' })
  const table = tableOf({ 'key-press': measured })
  expect(table).toContain('| **1.20 · 2.10 · 2.40** | 2 | b | 2026-12-01, 0.4 on 2 cores |')
  expect(table).toContain('| – | 1 | not measured yet | –, – |')
  expect(() => withTable('no place', table)).toThrow(/no place for the table/)
})
