import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import { PAGE_SCREENS } from '../app/screens'
import { type DemoSite, finish, start, temporaryFolder } from '../e2e/application'
import { noteSites } from '../e2e/template'
import { print } from './measure'

const [DESIGNERS, READERS] = [30, 100]
/** How long what is measured lasts, after as long to warm up, s. */
const LASTS = 30
/**
 * What each does, and how often, s: a designer makes an edit, opens a screen and says where he works; a reader opens a page with
 * all that is on it.
 */
const EVERY = { edit: 2, screen: 20, place: 10, page: 10 }
/** Sites that they share: the demo's, and copies of the one that was edited longest ago. */
const SITES = 7

const data = temporaryFolder()
await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
const app = await start(data)
const sitesNow = (): DemoSite[] => {
  noteSites(data)
  return JSON.parse(readFileSync(join(data, 'sites.json'), 'utf8')) as DemoSite[]
}
for (let there = sitesNow(); there.length < SITES; there = sitesNow()) {
  const form = new FormData()
  form.set('intent', 'duplicate')
  form.set('site', there.at(-1)!.id)
  await (await fetch(`${app.url}/?index`, { method: 'POST', body: form })).arrayBuffer()
}
const sites = sitesNow()

const took: Record<'edit' | 'screen' | 'page', number[]> = { edit: [], screen: [], page: [] }
let [counting, over] = [false, false]

async function timed(what: keyof typeof took, ask: () => Promise<Response>): Promise<Response> {
  const from = performance.now()
  const response = await ask()
  const copy = response.clone()
  await response.arrayBuffer()
  if (counting) took[what].push(performance.now() - from)
  return copy
}
/** Does something again and again, each time after about so many seconds, beginning somewhere in them. */
async function every(seconds: number, work: (n: number) => Promise<void>): Promise<void> {
  const wait = (share: number) => new Promise((resolve) => setTimeout(resolve, seconds * 1000 * share))
  await wait(Math.random())
  for (let n = 0; !over; n++) {
    await work(n)
    await wait(0.5 + Math.random())
  }
}
/** As browsers ask for what is on a page. */
const PART = { headers: { 'Sec-Fetch-Dest': 'image' } }
const send = (path: string, body: unknown) =>
  fetch(app.url + path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) })

function design(n: number): Promise<void>[] {
  const { id, pages } = sites[n % sites.length]!
  const page = pages[0]!.id
  const listening = new AbortController()
  let revision = 0
  let heading: string | undefined
  void fetch(`${app.url}/sites/${id}/company?tab=load-${n}`, { signal: listening.signal })
    .then(async (answer) => {
      for await (const part of answer.body!) if (over && part.length > 0) listening.abort()
    })
    .catch(() => undefined)
  return [
    every(EVERY.edit, async (count) => {
      if (heading === undefined) {
        const site = (await (await fetch(`${app.url}/sites/${id}/as/site-json`)).json()) as {
          pages: { sections: { id: string }[] }[]
        }
        heading = site.pages[0]!.sections[1]!.id
      }
      const edits = [{ key: `load-${n}-${count}`, edit: { kind: 'field', block: heading, field: 'name', value: `Name ${count}` } }]
      for (let saved = false; !saved;) {
        const answer = (await (await timed('edit', () => send(`/sites/${id}/edits`, { base: revision, edits }))).json()) as {
          status?: string
          revision: number
        }
        revision = answer.revision
        saved = answer.status === 'saved'
      }
    }),
    every(EVERY.screen, async (count) => {
      await timed('screen', () => fetch(`${app.url}/sites/${id}/pages/${page}/${PAGE_SCREENS[(n + count) % PAGE_SCREENS.length]}`))
    }),
    every(EVERY.place, async () => {
      await (await send(`/sites/${id}/company`, { tab: `load-${n}`, place: { page, block: null } })).arrayBuffer()
    }),
  ]
}

function read(n: number): Promise<void>[] {
  const visit = `${app.url}/visit/${sites[n % sites.length]!.id}`
  return [
    every(EVERY.page, async () => {
      const html = await (await timed('page', () => fetch(`${visit}/index.html`))).text()
      const parts = new Set(
        [...html.matchAll(/(?:src|href)="([^"#:]+\.(?:css|js|svg|webp|jpg|png|woff2))"/g)].map(([, path]) => path!),
      )
      await Promise.all([...parts].map(async (path) => (await fetch(`${visit}/${path}`, PART)).arrayBuffer()))
    }),
  ]
}

const all = [
  ...Array.from({ length: DESIGNERS }, (_, n) => design(n)),
  ...Array.from({ length: READERS }, (_, n) => read(n)),
].flat()
const wait = (seconds: number) => new Promise((resolve) => setTimeout(resolve, seconds * 1000))
await wait(LASTS)
counting = true
await wait(LASTS)
counting = false
over = true
await Promise.all(all)
await app.stop('SIGKILL')
removeFolder(data)

const at = (list: readonly number[], share: number) => [...list].sort((a, b) => a - b)[Math.floor(list.length * share)]!
const figures = (list: readonly number[]) =>
  `${at(list, 0.5).toFixed(0)} ms at p50, ${at(list, 0.95).toFixed(0)} at p95, ${(list.length / LASTS).toFixed(1)} a second`
print('load-pages', at(took.page, 0.95) / 300, figures(took.page))
print('load-screens', at(took.screen, 0.95) / 300, figures(took.screen))
print('load-edits', at(took.edit, 0.95) / 150, figures(took.edit))
