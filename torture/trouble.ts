import Database from 'better-sqlite3'
import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Application, putClock, start } from '../e2e/application'

const rename = async (app: Application, id: string, base: number) => {
  const response = await fetch(`${app.url}/sites/${id}/edits`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ base, edits: [{ key: `t${base}`, edit: { kind: 'site', field: 'name', value: `Name ${base}` } }] }),
  })
  return { status: response.status, answer: (await response.json()) as { revision?: number; problem?: string } }
}
const firstOf = async (app: Application) => /\/visit\/([\w-]{10})\//.exec(await (await fetch(app.url)).text())![1]!
const nameOf = async (app: Application, id: string) =>
  ((await (await fetch(`${app.url}/sites/${id}/as/site-json`)).json()) as { name: string }).name

/** A database that another process holds: what cannot be kept is said so at once, others are served, and it goes on after. */
export async function tryLocked(data: string): Promise<string[]> {
  const faults: string[] = []
  const app = await start(data)
  const id = await firstOf(app)
  const { answer: first } = await rename(app, id, 0)
  const other = new Database(join(data, 'yarrowfinch.db'))
  other.exec('BEGIN IMMEDIATE')
  const { status, answer } = await rename(app, id, first.revision!)
  if (status !== 503 || !/Another process holds/.test(answer.problem ?? ''))
    faults.push(`A locked database: ${status} ${answer.problem}`)
  if ((await nameOf(app, id)) !== 'Name 0') faults.push('A locked database: what was not kept is shown.')
  other.exec('ROLLBACK')
  other.close()
  const { status: after } = await rename(app, id, first.revision!)
  if (after !== 200) faults.push(`After the lock: ${after}`)
  await app.stop('SIGKILL')
  return faults
}

const HOUR = 60 * 60 * 1000
/** Where the clock is put to, ms ahead of the machine's: a year on and back, over a change of an hour, to 1970. */
const CLOCKS = [365 * 24 * HOUR, -365 * 24 * HOUR, HOUR, -HOUR, -Date.now(), 0]

/** A clock that jumps while edits are sent, and stands elsewhere at the next start: what was acknowledged is there, in its order. */
export async function tryClock(data: string): Promise<string[]> {
  const faults: string[] = []
  let app = await start(data)
  const id = await firstOf(app)
  let revision = (await rename(app, id, 0)).answer.revision!
  for (const clock of CLOCKS) {
    await putClock(app, clock)
    for (let n = 0; n < 3; n++) {
      const { status, answer } = await rename(app, id, revision)
      if (status === 200) revision = answer.revision!
      else faults.push(`A clock put to ${clock}: ${status} ${answer.problem}`)
    }
    for (const path of ['/', `/sites/${id}`, `/visit/${id}/index.html`]) {
      const { status } = await fetch(app.url + path)
      if (status !== 200) faults.push(`A clock put to ${clock}: ${status} for ${path}`)
    }
    if (clock === CLOCKS[1]) {
      // The next start is a year later, by its clock.
      await app.stop('SIGKILL')
      app = await start(data)
    }
  }
  const { missed } = (await (await fetch(`${app.url}/sites/${id}/edits?since=0`)).json()) as { missed: unknown[] }
  if (missed.length !== revision) faults.push(`After the clock jumped: ${missed.length} edits of ${revision} acknowledged.`)
  if ((await nameOf(app, id)) !== `Name ${revision - 1}`) faults.push('After the clock jumped, the last edit is not shown.')
  await app.stop('SIGKILL')
  return faults
}

/**
 * A disk that is full: a small file system of its own, where the machine lets one be made.
 * @returns faults, or `null` where no file system can be made
 */
export async function tryFullDisk(data: string, at: string): Promise<string[] | null> {
  mkdirSync(at, { recursive: true })
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=48m', 'tmpfs', at], { stdio: 'ignore' })
  } catch {
    return null
  }
  const faults: string[] = []
  try {
    cpSync(data, at, { recursive: true })
    const app = await start(at)
    const id = await firstOf(app)
    let base = 0
    for (; base < 5; base++) await rename(app, id, base)
    // The disk is filled to its last byte.
    for (let size = 1024 * 1024; size >= 1; size = Math.floor(size / 4))
      for (let n = 0; ; n++) {
        try {
          writeFileSync(join(at, `fill-${size}-${n}`), new Uint8Array(size))
        } catch {
          break
        }
      }
    let acknowledged = base
    let said: string | undefined
    for (let n = 0; n < 400 && said === undefined; n++) {
      const { status, answer } = await rename(app, id, acknowledged)
      if (status === 200) acknowledged = answer.revision!
      else if (status === 507) said = answer.problem
      else faults.push(`A full disk: ${status} ${answer.problem}`)
      if (faults.length > 3) break
    }
    if (said === undefined) faults.push('The disk was full, and no edit was refused for it.')
    await app.stop('SIGKILL')
    execFileSync('sh', ['-c', `rm -f "${at}"/fill-*`])
    const again = await start(at)
    const { missed } = (await (await fetch(`${again.url}/sites/${id}/edits?since=0`)).json()) as { missed: unknown[] }
    if (missed.length !== acknowledged) faults.push(`After a full disk: ${missed.length} edits of ${acknowledged} acknowledged.`)
    if ((await rename(again, id, acknowledged)).status !== 200) faults.push('After a full disk nothing can be kept.')
    await again.stop('SIGKILL')
  } finally {
    execFileSync('umount', ['-l', at], { stdio: 'ignore' })
  }
  return faults
}
