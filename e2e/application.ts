import { test as base, expect, type Page } from '@playwright/test'
import { type ChildProcess, fork, spawn } from 'node:child_process'
import { copyFileSync, linkSync, mkdirSync, mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import { MEMORY } from '../bin/memory.mjs'

/** A running application with a database of its own. */
export type Application = {
  url: string
  data: string
  process: ChildProcess
  stop: (signal?: NodeJS.Signals) => Promise<void>
}

export function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => done(port))
    })
  })
}

/** Runs a command to its end; fails with what it printed. */
export function finish(command: string, args: string[], env: NodeJS.ProcessEnv = {}): Promise<string> {
  return new Promise((done, failed) => {
    const child = spawn(command, args, { env: { ...process.env, ...env } })
    let text = ''
    child.stdout.on('data', (chunk: Buffer) => (text += chunk.toString()))
    child.stderr.on('data', (chunk: Buffer) => (text += chunk.toString()))
    child.on('exit', (code) => (code === 0 ? done(text) : failed(new Error(`${command} ${args.join(' ')}: ${text}`))))
  })
}

/** Starts the built application on a free port, and waits until it answers. @param env what it is told besides */
export async function start(data: string, env: NodeJS.ProcessEnv = {}): Promise<Application> {
  const port = await freePort()
  const url = `http://127.0.0.1:${port}`
  // The built application itself, with a line to this process over which it is given other data.
  const child = fork('e2e/server.mjs', {
    env: {
      ...process.env,
      ...MEMORY,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(port),
      YARROWFINCH_DATA: data,
      ...env,
    },
    // As it runs for everybody: what reads TypeScript here would load parts of the built application twice.
    execArgv: [],
    stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
  })
  const gone = new Promise<void>((done) => child.on('exit', () => done()))
  // The server says so once it listens.
  await new Promise<void>((done, failed) => {
    child.stdout!.once('data', () => done())
    child.once('exit', () => failed(new Error('The application ended before it listened.')))
  })
  child.stdout!.resume()
  return {
    url,
    data,
    process: child,
    async stop(signal = 'SIGTERM') {
      child.kill(signal)
      await gone
    },
  }
}

/** Tells a running application something, and waits until it has taken it in. */
async function tell(app: Application, what: { data: string } | { clock: number }): Promise<void> {
  const given = new Promise<void>((done) => app.process.once('message', () => done()))
  app.process.send(what)
  await given
}

/** Gives a running application another folder of data; what it still does for the old one comes to nothing. */
export async function giveData(app: Application, data: string): Promise<void> {
  await tell(app, { data })
  app.data = data
}

/** Puts the clock of a running application ahead of the machine's by so many ms, or back. */
export const putClock = (app: Application, clock: number): Promise<void> => tell(app, { clock })

export const temporaryFolder = (): string => mkdtempSync(join(tmpdir(), 'yarrowfinch-'))

/**
 * The files of a folder in another as well, without their bytes being written again where both are on one disk: what keeps
 * pictures writes a new file and puts it in the place of the old, so that no test changes another's.
 */
function share(from: string, to: string): void {
  mkdirSync(to, { recursive: true })
  for (const name of readdirSync(from))
    try {
      linkSync(join(from, name), join(to, name))
    } catch {
      copyFileSync(join(from, name), join(to, name))
    }
}

/** Lays the demo sites into a folder of data: those that the tests begin with, or, where none were made, new ones. */
export async function layDemo(data: string): Promise<void> {
  const template = process.env.YARROWFINCH_TEMPLATE
  if (template === undefined) await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
  else {
    copyFileSync(join(template, 'yarrowfinch.db'), join(data, 'yarrowfinch.db'))
    for (const name of ['pictures', 'derivatives']) share(join(template, name), join(data, name))
  }
}

/**
 * Tests with one application for each worker. Its data are a new copy of the demo's for each test, so that no test sees
 * another's edits.
 */
export const test = base.extend<{ app: Application }, { server: Application }>({
  server: [
    // oxlint-disable-next-line no-empty-pattern -- the runner reads what a fixture needs from this pattern
    async ({}, provide) => {
      const data = temporaryFolder()
      const server = await start(data)
      await provide(server)
      // Its data go as well, so it need not wait for what a page may still be loading.
      await server.stop('SIGKILL')
      removeFolder(data)
    },
    { scope: 'worker' },
  ],
  async app({ server }, provide) {
    const data = temporaryFolder()
    await layDemo(data)
    await giveData(server, data)
    await provide(server)
    removeFolder(data)
  },
})

/** A site of the demo by its name: its id, and the ids of its pages in their order. */
export type DemoSite = { name: string; id: string; pages: { id: string; name: string }[] }

/** The demo sites, as every test finds them. */
export const demoSites = (): DemoSite[] =>
  JSON.parse(readFileSync(join(process.env.YARROWFINCH_TEMPLATE!, 'sites.json'), 'utf8')) as DemoSite[]

/** Address at which visitors get a demo site, to which the name of a file is added. */
export const visitOf = (app: Pick<Application, 'url'>, name: string): string =>
  `${app.url}/visit/${demoSites().find((one) => one.name === name)!.id}`

/** Address of a screen of a site's first page, or of the page with this name. */
export function addressOf(app: Pick<Application, 'url'>, name: string, screen = 'compose', pageName?: string): string {
  const site = demoSites().find((one) => one.name === name)!
  const page = pageName === undefined ? site.pages[0]! : site.pages.find((one) => one.name === pageName)!
  return `${app.url}/sites/${site.id}/pages/${page.id}/${screen}`
}

/** Opens a demo site in Compose by its name, and waits until its views have been laid out. */
export async function openSite(page: Page, app: Pick<Application, 'url'>, name: string): Promise<void> {
  await page.goto(addressOf(app, name), { waitUntil: 'commit' })
  await composed(page)
}

/** Opens a screen of a demo site, of its first page or of the one with a name, and waits until it answers. */
export async function openScreen(
  page: Page,
  app: Pick<Application, 'url'>,
  name: string,
  screen: string,
  pageName?: string,
): Promise<void> {
  await page.goto(addressOf(app, name, screen, pageName), { waitUntil: 'commit' })
  await awake(page)
}

/**
 * Waits for something that is looked at inside the page, frame by frame: what `expect` waits for is asked for from here, and
 * describes the whole page each time that it is not there yet, which takes more work than many a test.
 */
async function until(page: Page, seen: () => boolean): Promise<void> {
  await page.waitForFunction(seen, undefined, { timeout: 60_000 })
}

/** Waits until a screen answers. */
export const awake = (page: Page): Promise<void> =>
  until(page, () => document.querySelector('html:not([data-asleep]) body') !== null)

/** Waits until every view on the stage shows its page. What commands run too has no function of its own with a name: tsx would name it. */
export const composed = (page: Page): Promise<void> =>
  until(page, () => {
    const views = [...document.querySelectorAll<HTMLIFrameElement>('[data-view] iframe')]
    return (
      // The rows of the order are there once what drags them is loaded.
      ['[aria-label="Tray"]', '[aria-label="Running order"] button'].every(
        (one) => document.querySelector(`html:not([data-asleep]) ${one}`)?.checkVisibility() === true,
      ) &&
      views.length > 0 &&
      views.every((one) => (one.contentDocument?.adoptedStyleSheets.length ?? 0) > 0)
    )
  })

/** Waits until everything is on the server's disk. */
export const saved = (page: Page): Promise<void> =>
  until(page, () =>
    [...document.querySelectorAll('[role=status]')].some((one) => one.checkVisibility() && /Saved/.test(one.textContent)),
  )

export { expect }
