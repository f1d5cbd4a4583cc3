import { readFileSync } from 'node:fs'
import { chooserOf } from '#core/edits/edits.fixture'
import { checkSite } from '#core/formats/site-json'
import { IDLE } from '#server/threads/pool'
import type { Application } from '../e2e/application'
import { DOOR_NAMES, examplesOf, hostileAt } from './doors'
import { type Waited, watch } from './watch'

/** What a run of hostile inputs came to. */
export type InputsResult = {
  tried: number
  byStatus: Record<string, number>
  /** What must not be: with the door and seed that lead to it again. */
  faults: string[]
  /** Longest that another request waited meanwhile. */
  longest: Waited
  /** Memory that the server had more at the end, MB, each time when its threads had ended. */
  moreMemory: number
}

/** Memory of a process that has rested until its threads, which keep what they have read, have ended; MB. */
async function restingMemory(pid: number): Promise<number> {
  await new Promise((resolve) => setTimeout(resolve, IDLE + 5000))
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024
}

/** The scripts that Yarrowfinch prints itself, as it prints them; the last is data, which nothing runs. */
const OWN_SCRIPT = /^<script (?:src="(?:motion\.js"|script\.js" defer)|type="application\/ld\+json")>$/
/** A link that says where a page stands, and loads nothing. */
const CANONICAL = /^<link rel="canonical" href="https:\/\/[^"]*">$/

/** What of a published page would run, or load from elsewhere, but for our own scripts. */
export function unsafeIn(html: string): string[] {
  return [
    ...[...html.matchAll(/<script\b[^>]*>/gi)].filter(([tag]) => !OWN_SCRIPT.test(tag)),
    ...html.matchAll(/<[^>]*\son\w+\s*=[^>]*>/gi),
    ...html.matchAll(/(?:href|src|action)\s*=\s*"\s*(?:javascript|data|vbscript):[^"]*"/gi),
    ...[...html.matchAll(/<(?:img|link|source|iframe|object|embed)\b[^>]*(?:https?:)?\/\/[^>]*>/gi)].filter(
      ([tag]) => !CANONICAL.test(tag),
    ),
  ].map(([found]) => found.slice(0, 160))
}

/**
 * Asks, and asks again where the connection was one that the server had just given up for being idle, which looks like
 * no answer to who uses it in the same moment.
 */
async function ask(app: Application, path: string, init: RequestInit): Promise<Response> {
  const send = () => fetch(app.url + path, { ...init, redirect: 'manual' })
  try {
    return await send()
  } catch (error) {
    if (app.process.exitCode !== null) throw error
    return send()
  }
}

/** What an answer says; of news, which come without end, their beginning. */
async function textOf(response: Response): Promise<string> {
  if (!/event-stream/.test(response.headers.get('Content-Type') ?? '')) return response.text()
  const reader = response.body!.getReader()
  const { value } = await reader.read()
  await reader.cancel()
  return new TextDecoder().decode(value)
}

/** Ids of the sites that the home screen names. */
const sitesOf = async (url: string): Promise<string[]> => [
  ...new Set([...(await (await fetch(url)).text()).matchAll(/\/visit\/([\w-]{10})\//g)].map(([, id]) => id!)),
]

/**
 * Sends hostile requests through every door for a while.
 * @param seconds how long; each door is tried once at least
 */
export async function tryInputs(app: Application, seed: number, seconds: number): Promise<InputsResult> {
  const [id] = await sitesOf(app.url)
  const examples = await examplesOf(app.url, id!)
  // A server that has done each of its kinds of work once has what it always has.
  for (const [n, door] of DOOR_NAMES.entries()) {
    const { path, init } = hostileAt(door, examples, chooserOf(n))
    await textOf(await ask(app, path, init))
  }
  const before = await restingMemory(app.process.pid!)
  let where = ''
  const stop = await watch(app.url, () => where)
  const until = Date.now() + seconds * 1000
  const result: Omit<InputsResult, 'longest' | 'moreMemory'> = { tried: 0, byStatus: {}, faults: [] }
  let revision = 0
  for (let n = 0; n < DOOR_NAMES.length || Date.now() < until; n++) {
    const door = DOOR_NAMES[n % DOOR_NAMES.length]!
    const { path, init } = hostileAt(door, examples, chooserOf(seed + n))
    where = `${door} (seed ${seed + n})`
    // An edit counts only on the newest revision, so some are given it.
    if (door === 'edits') init.body = String(init.body).replace('"base":-1', `"base":${revision}`)
    try {
      const response = await ask(app, path, init)
      const text = await textOf(response)
      result.byStatus[response.status] = (result.byStatus[response.status] ?? 0) + 1
      if (response.status >= 500) result.faults.push(`${where}: ${response.status} ${text.slice(0, 120)}`)
      if (door === 'edits' && response.ok) revision = (JSON.parse(text) as { revision: number }).revision
      if (door === 'edits' && response.status === 409) revision = (JSON.parse(text) as { revision?: number }).revision ?? revision
    } catch (error) {
      result.faults.push(`${where}: no answer, ${(error as Error).message} (${String((error as Error).cause)})`)
      if (app.process.exitCode !== null) break
    }
    result.tried++
  }
  where = 'every site, opened and published'
  await checkAll(app, result.faults)
  const longest = await stop()
  return { ...result, longest, moreMemory: (await restingMemory(app.process.pid!)) - before }
}

/** Checks that every site can be opened and published, and that nothing runs on its pages. */
async function checkAll(app: Application, faults: string[]): Promise<void> {
  const sites = await sitesOf(app.url)
  if (sites.length === 0) faults.push('The home screen names no site any more.')
  for (const id of sites) {
    const site = checkSite(await (await fetch(`${app.url}/sites/${id}/as/site-json`)).json())
    for (const page of site.pages.slice(0, 5)) {
      const name = page.address === '' ? 'index.html' : `${page.address}.html`
      const html = await (await fetch(`${app.url}/visit/${id}/${name}`)).text()
      for (const found of unsafeIn(html)) faults.push(`On ${name} of ${id}: ${found}`)
    }
  }
}
