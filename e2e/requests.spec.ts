import type { APIRequestContext } from '@playwright/test'
import { type Application, expect, openSite, test } from './application'

async function firstSite(request: APIRequestContext, app: Application): Promise<string> {
  return /sites\/([\w-]{10})/.exec(await (await request.get(app.url)).text())![1]!
}
const documentOf = async (request: APIRequestContext, app: Application, id: string) =>
  (await request.get(`${app.url}/sites/${id}/as/site-json`)).text()

test('bad requests get a sentence and a status of 4xx, and change nothing', async ({ request, app }) => {
  const id = await firstSite(request, app)
  const before = await documentOf(request, app, id)
  const edits = `${app.url}/sites/${id}/edits`
  const picture = (buffer: Buffer, name = 'a.jpg') =>
    request.post(`${app.url}/sites/${id}/pictures`, {
      multipart: { picture: { name, mimeType: 'image/jpeg', buffer } },
    })
  const cases: [string, Promise<{ status: () => number; json: () => Promise<unknown> }>, number, RegExp][] = [
    ['no JSON', request.post(edits, { data: Buffer.from('{'), headers: { 'Content-Type': 'application/json' } }), 422, /not JSON/],
    [
      'an edit of no kind',
      request.post(edits, { data: { base: 0, edits: [{ key: 'a', edit: { kind: 'explode' } }] } }),
      422,
      /wrong shape/,
    ],
    [
      'a value out of range',
      request.post(edits, {
        data: {
          base: 0,
          edits: [{ key: 'a', edit: { kind: 'style', block: 'x', scope: 'base', values: { opacity: 7 } } }],
        },
      }),
      422,
      /wrong shape \(at "values\.opacity"\)/,
    ],
    [
      'a guide with a colour that is none',
      request.post(edits, {
        data: { base: 0, edits: [{ key: 'a', edit: { kind: 'guide', part: 'colours', value: [{ role: 'ink', hex: 'red' }] } }] },
      }),
      422,
      /wrong shape .*#RRGGBB/,
    ],
    [
      'a scale that runs backwards',
      request.post(edits, {
        data: {
          base: 0,
          edits: [
            {
              key: 'a',
              edit: {
                kind: 'guide',
                part: 'scale',
                value: { base: { narrow: 16, wide: 17 }, ratio: { narrow: 1.2, wide: 1.3 }, at: { narrow: 1360, wide: 375 } },
              },
            },
          ],
        },
      }),
      422,
      /two different widths/,
    ],
    [
      'a font that is none',
      request.post(`${app.url}/sites/${id}/fonts`, {
        multipart: { font: { name: 'own.woff2', mimeType: 'font/woff2', buffer: Buffer.from('no font') } },
      }),
      422,
      /"own\.woff2" is not a WOFF2, TTF or OTF font/,
    ],
    ['no font at all', request.post(`${app.url}/sites/${id}/fonts`, { multipart: { other: 'x' } }), 422, /holds no font/],
    [
      'a direction that is not there',
      request.get(`${app.url}/sites/${id}/pages/autumn/style-sheet?direction=nowhere`),
      404,
      /no such direction/,
    ],
    [
      'a property that does not exist',
      request.post(edits, {
        data: {
          base: 0,
          edits: [{ key: 'a', edit: { kind: 'style', block: 'x', scope: 'base', values: { behaviour: 'url(x)' } } }],
        },
      }),
      422,
      /wrong shape/,
    ],
    [
      'CSS where a colour belongs',
      request.post(edits, {
        data: {
          base: 0,
          edits: [
            {
              key: 'a',
              edit: { kind: 'style', block: 'x', scope: 'base', values: { ink: { hex: 'red;}' } } },
            },
          ],
        },
      }),
      422,
      /wrong shape/,
    ],
    [
      'a site that is not there',
      request.post(`${app.url}/sites/nowhere/edits`, { data: { base: 0, edits: [] } }),
      404,
      /does not exist/,
    ],
    ['a revision from the future', request.get(`${edits}?since=-3`), 422, /wrong shape/],
    ['no picture', picture(Buffer.from('hello')), 422, /not a JPEG, PNG, WebP, AVIF or SVG/],
    ['a picture of 31 MB', picture(Buffer.alloc(31 * 1024 * 1024)), 413, /30 MB at most/],
    ['a picture by a wrong name', request.get(`${app.url}/pictures/..%2f..%2fetc`), 422, /SHA-256/],
    ['a picture of a silly width', request.get(`${app.url}/pictures/${'a'.repeat(64)}?w=99999`), 404, /no such picture/],
    ['a font that is none', request.get(`${app.url}/fonts/passwd`), 404, /no such font/],
    ['a page that is none', request.get(`${app.url}/visit/${id}/nowhere.html`), 404, /no such page/],
    ['a mockup of a silly width', request.get(`${app.url}/sites/${id}/pages/autumn/mockup?width=1&density=1`), 422, /wrong shape/],
  ]
  for (const [what, answer, status, sentence] of cases) {
    const response = await answer
    expect(response.status(), what).toBe(status)
    expect(((await response.json()) as { problem: string }).problem, what).toMatch(sentence)
  }
  const refused = await request.post(edits, {
    data: { base: 0, edits: [{ key: 'gone', edit: { kind: 'remove', blocks: ['gone'] } }] },
  })
  expect(await refused.json()).toMatchObject({
    status: 'saved',
    refused: [{ key: 'gone', reason: 'The block "gone" is no longer on any page.' }],
  })
  expect(await documentOf(request, app, id)).toBe(before)
})

test('a broken site file is refused on the home screen, a good one opens, and a deleted site comes back', async ({ page, app }) => {
  await page.goto(app.url)
  const plates = page.getByRole('link', { name: /^Open / })
  const count = await plates.count()
  const file = page.getByLabel('Site file')
  await file.setInputFiles({
    name: 'x.site.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"yarrowfinch-site","version":99}'),
  })
  await expect(page.getByText(/version 99, from a newer Yarrowfinch/)).toBeVisible()
  await expect(plates).toHaveCount(count)

  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'More for Tallow & Twine' }).click()
  await page.getByRole('menuitem', { name: 'Site file with its pictures' }).click()
  const path = await (await download).path()
  await file.setInputFiles(path)
  await page.waitForURL(/compose/)
  await page.goto(app.url)
  await expect(plates).toHaveCount(count + 1)

  await page.getByRole('button', { name: 'More for Tallow & Twine' }).first().click()
  await page.getByRole('menuitem', { name: 'Rename' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Tar & Twine')
  await page.getByRole('button', { name: 'Rename' }).click()
  await page.getByRole('button', { name: 'More for Tar & Twine' }).click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  await expect(page.getByRole('link', { name: 'Open Tar & Twine, copy' })).toBeVisible()
  await page.getByRole('button', { name: 'More for Tar & Twine, copy' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(page.getByRole('link', { name: 'Open Tar & Twine, copy' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('link', { name: 'Open Tar & Twine, copy' })).toBeVisible()
})

test('words that look like markup stay words, in the views and on the page', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: /^02 Opening/ }).click()
  await order.getByRole('button', { name: /^Heading/ }).click()
  await page.getByRole('tab', { name: 'Words' }).click()
  const hostile = '<img src=x onerror="parent.document.title=\'owned\'"><script>alert(1)</script>'
  await page.getByRole('textbox', { name: 'Words' }).fill(hostile)
  await expect(page.frameLocator('[data-view="1280"] iframe').locator('h1')).toHaveText(hostile)
  await page
    .getByRole('status')
    .filter({ hasText: /Saved \d/ })
    .waitFor()
  await page.getByRole('link', { name: 'Play page' }).click()
  await page.waitForURL(/play/)
  await expect(page.frameLocator('iframe[src^="/visit/"]').locator('h1')).toHaveText(hostile)
  await expect(page).not.toHaveTitle('owned')
})
