import sharp from 'sharp'
import { chooserOf } from '#core/edits/edits.fixture'
import { checkSite } from '#core/formats/site-json'
import { EDIT_KINDS, sampleEdit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { hashOf } from '#server/hash'
import { type Application, start } from '../e2e/application'
import type { Power } from './power'

/** What a run of kills came to. */
export type KillsResult = {
  kills: number
  /** Edits, pictures and sites that the server said it had kept. */
  acknowledged: number
  lost: string[]
  doubled: string[]
  faults: string[]
}

type Kept = { edits: Set<string>; pictures: Set<string>; sites: Set<string> }
const json = { 'Content-Type': 'application/json' }

/** One who edits a site, knowing nothing of the others: what contradicts theirs is refused, what is kept is noted. */
async function editFor(url: string, id: string, seed: number, kept: Kept, isOver: () => boolean): Promise<void> {
  const choose = chooserOf(seed)
  let site: Site | undefined
  let base = 0
  for (let n = 0; !isOver(); n++) {
    if (!site || n % 10 === 0) {
      site = (await (await fetch(`${url}/sites/${id}/as/site-json`)).json()) as Site
      base = ((await (await fetch(`${url}/sites/${id}/edits?since=999999999`)).json()) as { revision: number }).revision
    }
    const key = `s${seed}n${n}`
    const edit = sampleEdit(choose.one(EDIT_KINDS.filter((kind) => kind !== 'page-remove')), site, choose)
    const response = await fetch(`${url}/sites/${id}/edits`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ base, edits: [{ key, edit }] }),
    })
    const answer = (await response.json()) as { status?: string; revision?: number; refused?: { key: string }[] }
    base = answer.revision ?? base
    if (answer.status === 'saved' && !answer.refused!.some((one) => one.key === key)) kept.edits.add(key)
  }
}

/** One who uploads pictures, opens site files and exports. */
async function handFiles(url: string, id: string, seed: number, kept: Kept, isOver: () => boolean): Promise<void> {
  const file = await (await fetch(`${url}/sites/${id}/as/site-json`)).arrayBuffer()
  for (let n = 0; !isOver(); n++) {
    const bytes = await sharp({ create: { width: 8 + (seed % 50), height: 8 + n, channels: 3, background: '#456' } })
      .png()
      .toBuffer()
    const form = new FormData()
    form.set('picture', new File([new Uint8Array(bytes)], 'a.png'))
    const stored = (await (await fetch(`${url}/sites/${id}/pictures`, { method: 'POST', body: form })).json()) as { hash?: string }
    if (stored.hash) kept.pictures.add(stored.hash)
    if (n % 4 === 1) {
      const opened = new FormData()
      opened.set('intent', 'import')
      opened.set('file', new File([file], 'a.site.json'))
      const text = await (await fetch(`${url}/_root.data?index`, { method: 'POST', body: opened })).text()
      const made = /"created","([\w-]{10})"/.exec(text)?.[1]
      if (made) kept.sites.add(made)
    }
    if (n % 4 === 3) await (await fetch(`${url}/sites/${id}/as/web`, { method: 'POST' })).arrayBuffer()
  }
}

/** What was acknowledged and is not there, or is there twice. */
async function compare(url: string, id: string, kept: Kept, result: KillsResult): Promise<void> {
  const log = (await (await fetch(`${url}/sites/${id}/edits?since=0`)).json()) as { revision: number; missed: { key: string }[] }
  const keys = log.missed.map((one) => one.key)
  const there = new Set(keys)
  result.doubled.push(...keys.filter((key, i) => keys.indexOf(key) !== i))
  result.lost.push(...[...kept.edits].filter((key) => !there.has(key)))
  if (keys.length !== log.revision) result.faults.push(`The log has ${keys.length} edits at revision ${log.revision}.`)
  for (const hash of kept.pictures) {
    const bytes = new Uint8Array(await (await fetch(`${url}/pictures/${hash}`)).arrayBuffer())
    if (hashOf(bytes) !== hash) result.lost.push(`picture ${hash.slice(0, 8)}`)
  }
  for (const one of [...kept.sites, id]) {
    const response = await fetch(`${url}/sites/${one}/as/site-json`)
    if (!response.ok) result.lost.push(`site ${one}: ${response.status}`)
    else checkSite(await response.json())
  }
}

/**
 * Kills a server again and again, at any moment of a stream of edits, uploads, imports and exports by clients that
 * contradict each other, and looks each time for what it had acknowledged.
 * @param until when it ends, ms since the epoch; not before a kill, and something that was acknowledged
 * @param power where the power goes with it: only what was brought to this disk is there at the next start
 */
export async function tryKills(data: string, seed: number, until: number, power?: Power): Promise<KillsResult> {
  const result: KillsResult = { kills: 0, acknowledged: 0, lost: [], doubled: [], faults: [] }
  const kept: Kept = { edits: new Set(), pictures: new Set(), sites: new Set() }
  const begin = () => {
    power?.begin()
    return start(data, power?.env)
  }
  let app: Application = await begin()
  const id = /\/visit\/([\w-]{10})\//.exec(await (await fetch(app.url)).text())![1]!
  const acknowledged = () => kept.edits.size + kept.pictures.size + kept.sites.size
  for (let round = 0; round === 0 || acknowledged() === 0 || Date.now() < until; round++) {
    let over = false
    const { url } = app
    const isOver = () => over
    // A client that loses its server stops; what it was told before counts.
    const clients = [
      ...[1, 2, 3].map((n) => editFor(url, id, seed + round * 10 + n, kept, isOver)),
      handFiles(url, id, seed + round, kept, isOver),
    ].map((work) => work.catch(() => undefined))
    await new Promise((resolve) => setTimeout(resolve, 500 + chooserOf(seed + round).number(2500)))
    await app.stop('SIGKILL')
    over = true
    await Promise.all(clients)
    result.kills++
    power?.cut()
    app = await begin()
    await compare(app.url, id, kept, result)
  }
  result.acknowledged = acknowledged()
  await app.stop('SIGKILL')
  return result
}
