import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { runs } from '#core/values/runs.fixture'
import { backUp } from '#server/backup'
import { openStore } from '#server/database'
import { removeFolder } from '#server/remove-folder'
import { createSite } from '#server/sites'
import { COMMAND_NAMES, tryCommand } from './commands'

/** Commands that read nothing but our own files. */
const OWN = [
  'backup',
  'bench',
  'build',
  'compile',
  'demo',
  'demo-sites',
  'deps',
  'dev',
  'docs',
  'docs:check',
  'e2e',
  'format',
  'library',
  'lint',
  'migrations',
  'mutate',
  'pictures',
  'planted',
  'proof',
  'shots',
  'test',
  'test:firefox',
  'torture',
  'typegen',
  'types',
  'unit',
  'unused',
]

let folder: string
let good: string
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  good = join(folder, 'good')
  const file = join(folder, 'data', 'yarrowfinch.db')
  const store = openStore(file)
  createSite(store, newSite('Tallow & Twine', testIds()))
  await backUp(file, good)
  store.close()
})
afterAll(() => removeFolder(folder))

test('every command is one that hostile files are given to, or reads nothing but our own', () => {
  const { scripts } = JSON.parse(readFileSync('package.json', 'utf8')) as { scripts: Record<string, string> }
  expect([...COMMAND_NAMES, ...OWN].sort()).toEqual(Object.keys(scripts).sort())
})

test.each(COMMAND_NAMES)(
  '%s ends with a sentence whatever it is given, and writes where it is told to, and nothing that runs',
  async (name) => {
    const faults: string[] = []
    // A site that can be laid out takes Chromium, and seconds.
    const times = name === 'check' ? runs(4, 60) : runs(25, 400)
    for (let seed = 1; seed <= times; seed++)
      faults.push(...(await tryCommand(name, mkdtempSync(join(folder, `${name}-`)), good, seed)))
    expect(faults).toEqual([])
  },
  600_000,
)
