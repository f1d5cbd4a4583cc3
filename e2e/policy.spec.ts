import type { Page } from '@playwright/test'
import { readdirSync } from 'node:fs'
import { createServer } from 'node:http'
import { type Application, composed, expect, freePort, openSite, test, visitOf } from './application'

const SITE = 'Hollin Ridge Observatory'

/** What the pages' own policy keeps from being loaded or run, in the words of the browser. */
function violations(page: Page): string[] {
  const found: string[] = []
  page.on('console', (message) => {
    if (/Content Security Policy|violates the following/i.test(message.text())) found.push(message.text())
  })
  return found
}

/** Every file that the application keeps besides its database. */
const filesKept = ({ data }: Application): string[] =>
  readdirSync(data, { recursive: true })
    .map(String)
    .filter((name) => name.includes('/'))
    .sort()

/**
 * Sends what deletes, adds a file and renames, from inside a page: all that a page may send to another without asking it
 * first (Fetch, CORS-safelisted types). @returns what the browser says of each answer
 */
async function sendAll([url, id]: string[]): Promise<string[]> {
  const send = async (path: string, body: FormData | string) => {
    try {
      return (await fetch(`${url}${path}`, { method: 'POST', mode: 'no-cors', body })).type
    } catch {
      return 'refused'
    }
  }
  const form = new FormData()
  form.set('intent', 'delete')
  form.set('site', id!)
  const file = new FormData()
  file.set('file', new File(['%PDF-1.4 a plan'], 'plan.pdf', { type: 'application/pdf' }))
  const edit = { kind: 'site', field: 'name', value: 'Taken over' }
  return [
    await send('/?index', form),
    await send(`/sites/${id}/files`, file),
    await send(`/sites/${id}/edits`, JSON.stringify({ base: 0, edits: [{ key: 'taken', edit }] })),
  ]
}

test('every screen works under its policy, and what has not its word does not run', async ({ page, app }) => {
  const found = violations(page)
  await page.goto(app.url)
  const policy = (await (await page.request.get(app.url)).headers())['content-security-policy']!
  expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]{20,}'/)
  expect(policy).toContain("frame-ancestors 'none'")
  await openSite(page, app, SITE)
  for (const step of ['Brief', 'Copy', 'References', 'Style', 'Deliver']) {
    await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: step }).click()
    await page.waitForURL(new RegExp(step.toLowerCase()))
    await expect(page.getByRole('main').first()).toBeVisible()
  }
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Compose' }).click()
  await composed(page)
  await page.keyboard.press('a')
  await expect(page.locator('[data-arrangement]').first()).toBeVisible()
  await page.keyboard.press('Escape')
  expect(found).toEqual([])

  await page.evaluate(() => {
    const script = document.createElement('script')
    script.textContent = 'window.foreign = true'
    document.body.append(script)
    document.body.insertAdjacentHTML('beforeend', '<img src="x" onerror="window.foreign = true">')
  })
  await expect.poll(() => found.length).toBeGreaterThan(0)
  expect(await page.evaluate(() => 'foreign' in window)).toBe(false)
})

test('no other page can write here, read what is here, or frame it', async ({ page, app, context }) => {
  const site = visitOf(app, SITE).split('/').at(-1)!
  const before = filesKept(app)
  // A page that has nothing from us, not even our policy, which would keep it from sending anything.
  const server = createServer((_, answer) => answer.setHeader('Content-Type', 'text/html').end('<p>Another page</p>'))
  const port = await freePort()
  await new Promise<void>((done) => server.listen(port, '127.0.0.1', done))
  const foreign = await context.newPage()
  await foreign.goto(`http://localhost:${port}/`)
  expect(await foreign.evaluate(sendAll, [app.url, site])).toEqual(['opaque', 'opaque', 'opaque'])
  const tried = await foreign.evaluate(
    async ([url, id]) => {
      const read = async (path: string) => {
        try {
          return (await (await fetch(`${url}${path}`)).text()).length
        } catch {
          return 'refused'
        }
      }
      return [await read('/'), await read(`/sites/${id}/as/site-json`), await read(`/visit/${id}/index.html`)]
    },
    [app.url, site],
  )
  // What it sends arrives, and it is told nothing of the answer; it can read nothing.
  expect(tried).toEqual(['refused', 'refused', 'refused'])
  await foreign.evaluate((url) => document.body.append(Object.assign(document.createElement('iframe'), { src: url })), app.url)
  await expect.poll(() => foreign.frames()[1]?.url()).toMatch(/^chrome-error:/)
  await foreign.close()
  server.close()
  await page.goto(app.url)
  await expect(page.getByRole('link', { name: `Open ${SITE}` })).toBeVisible()
  await expect(page.getByText('Taken over')).toHaveCount(0)
  expect(filesKept(app)).toEqual(before)
  // The same file from a page of ours is kept: it was not refused for what it is.
  const answer = await page.evaluate(async (id) => {
    const file = new FormData()
    file.set('file', new File(['%PDF-1.4 a plan'], 'plan.pdf', { type: 'application/pdf' }))
    return (await fetch(`/sites/${id}/files`, { method: 'POST', body: file })).status
  }, site)
  expect(answer).toBe(200)
  expect(filesKept(app)).toHaveLength(before.length + 1)
})

test('a script in a played page can change nothing', async ({ page, app }) => {
  const site = visitOf(app, SITE).split('/').at(-1)!
  await page.goto(`${visitOf(app, SITE)}/index.html`)
  const before = filesKept(app)
  const answers = await page.evaluate(sendAll, ['', site])
  // The browser tells a script nothing of an answer that is another origin's; what counts is that nothing came of it.
  expect(answers).toEqual(['opaque', 'opaque', 'opaque'])
  await page.goto(app.url)
  await expect(page.getByRole('link', { name: `Open ${SITE}` })).toBeVisible()
  await expect(page.getByText('Taken over')).toHaveCount(0)
  expect(filesKept(app)).toEqual(before)
})
