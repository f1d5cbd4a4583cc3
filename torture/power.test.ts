import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { removeFolder } from '#server/remove-folder'
import { type Power, powerOf } from './power'

let folder: string
let data: string
let power: Power | null
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  data = join(folder, 'data')
  for (const one of [data, join(folder, 'beside')]) mkdirSync(one)
  power = powerOf(data, join(folder, 'beside'))
})
afterEach(() => removeFolder(folder))

/** Does something to the folder, in a program of its own, and takes its power away. */
function lose(power: Power, program: string): void {
  power.begin()
  execFileSync(
    process.execPath,
    ['--input-type=module', '-e', `import fs from 'node:fs'; ${program}; process.kill(process.pid, 'SIGKILL')`, data],
    {
      env: { ...process.env, ...power.env },
      stdio: 'inherit',
    },
  )
}
const read = (name: string) => (existsSync(join(data, name)) ? readFileSync(join(data, name), 'utf8') : undefined)

test('what was synced is there after the power went, under the names that were synced, and nothing else is', ({ skip }) => {
  if (!power) return skip('there is no C compiler')
  writeFileSync(join(data, 'before'), 'old')
  writeFileSync(join(data, 'changed'), 'old')
  const program = `
    const at = (name) => process.argv[1] + '/' + name
    const sync = (name) => { const fd = fs.openSync(at(name), 'r'); fs.fsyncSync(fd); fs.closeSync(fd) }
    fs.writeFileSync(at('whole'), 'synced'); sync('whole')
    fs.appendFileSync(at('whole'), ', and this is not')
    fs.writeFileSync(at('named'), 'lost')
    fs.mkdirSync(at('inner'))
    fs.writeFileSync(at('inner/one'), 'synced'); sync('inner/one'); sync('inner')
    sync('')
    fs.writeFileSync(at('nameless'), 'synced'); sync('nameless')
    fs.writeFileSync(at('changed'), 'new')
    fs.renameSync(at('before'), at('after'))`
  expect(() => lose(power!, program)).toThrow()
  power.cut()
  expect(['whole', 'named', 'inner/one', 'nameless', 'changed', 'before', 'after'].map(read)).toEqual([
    'synced',
    '',
    'synced',
    undefined,
    'old',
    'old',
    undefined,
  ])
})

test.each(['FULL', 'OFF'])('a database that is written with synchronous=%s', (synchronous) => {
  if (!power) return
  const file = join(data, 'a.db')
  const db = new Database(file)
  db.pragma('journal_mode = WAL')
  db.exec('CREATE TABLE t (n INTEGER); INSERT INTO t VALUES (0)')
  db.close()
  const program = `
    const { default: Database } = await import('better-sqlite3')
    const db = new Database(process.argv[1] + '/a.db')
    db.pragma('synchronous = ${synchronous}')
    for (let n = 1; n <= 50; n++) db.prepare('INSERT INTO t VALUES (?)').run(n)`
  expect(() => lose(power!, program)).toThrow()
  power.cut()
  const again = new Database(file)
  // Without waiting for the disk, nothing that was committed is there: what the test would find, were it so with ours.
  expect(again.prepare('SELECT count(*) FROM t').pluck().get()).toBe(synchronous === 'FULL' ? 51 : 1)
  again.close()
})
