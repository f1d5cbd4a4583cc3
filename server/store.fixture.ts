import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach } from 'vitest'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { openStore, type Store } from './database'
import { removeFolder } from './remove-folder'
import { createSite, saveEdits } from './sites'

/** A store on the disk with one site, “Tallow & Twine”, made anew for each test of a file. */
export type TestStore = {
  store: Store
  id: string
  /** Gives the site another name, as an edit on top of a revision. */
  rename: (base: number, value: string) => ReturnType<typeof saveEdits>
  /** Opens the store anew, as a server that starts does. */
  restart: () => void
}

/** Has each test of a file begin with a store of its own. Its fields are read in tests, since they are others in each. */
export function testStore(): TestStore {
  let folder: string
  const it = {
    rename: (base: number, value: string) =>
      saveEdits(it.store, it.id, base, [{ key: `k${base}`, edit: { kind: 'site', field: 'name', value } }]),
    restart() {
      it.store.close()
      it.store = openStore(join(folder, 'test.db'))
    },
  } as TestStore
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
    it.store = openStore(join(folder, 'test.db'))
    it.id = createSite(it.store, newSite('Tallow & Twine', testIds()))
  })
  afterEach(() => {
    it.store.close()
    removeFolder(folder)
  })
  return it
}
