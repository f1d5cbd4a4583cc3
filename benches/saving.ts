import Database from 'better-sqlite3'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import { finish, start, temporaryFolder } from '../e2e/application'
import { print } from './measure'

const COUNT = 300

const data = temporaryFolder()
await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
const app = await start(data)
const home = await (await fetch(app.url)).text()
const id = /sites\/([\w-]{10})/.exec(home)![1]!
const document = await (await fetch(`${app.url}/sites/${id}/as/site-json`)).text()
const section = (JSON.parse(document) as { pages: { sections: { id: string }[] }[] }).pages[0]!.sections[0]!.id

async function overHttp(): Promise<number> {
  const from = performance.now()
  for (let base = 0; base < COUNT; base++) {
    const edit = { kind: 'field', block: section, field: 'name', value: `Name ${base}` }
    await (
      await fetch(`${app.url}/sites/${id}/edits`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ base, edits: [{ key: `k${base}`, edit }] }),
      })
    ).json()
  }
  return (performance.now() - from) / COUNT
}

/** The edit, and the whole document with it, one commit each. */
function byHand(): number {
  const db = new Database(join(data, 'bench.db'))
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.exec(
    'create table sites (id text primary key, document text); create table edits (revision integer primary key, edit text); insert into sites values (1, 0)',
  )
  const insert = db.prepare('insert into edits values (?, ?)')
  const update = db.prepare('update sites set document = ?')
  const save = db.transaction((revision: number) => {
    insert.run(revision, `{"kind":"field","block":"${section}","field":"name","value":"Name ${revision}"}`)
    update.run(document)
  })
  const from = performance.now()
  for (let revision = 0; revision < COUNT; revision++) save(revision)
  const took = (performance.now() - from) / COUNT
  db.close()
  return took
}

const [http, rows] = [await overHttp(), byHand()]
await app.stop('SIGKILL')
removeFolder(data)
print('saving', http / rows, `${http.toFixed(2)} and ${rows.toFixed(2)} ms`)
