import { unzipSync } from 'fflate'
import { readFileSync } from 'node:fs'
import { expect, openSite, saved, test } from './application'
import { seriousOn } from './axe'
import { press } from './views'

const PDF = Buffer.from('%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n')

test('a button leads to a file that is uploaded, visitors get it, and the export has it', async ({ page, app, context }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  await press(page, 1280, '#opening .button-primary')
  const tray = page.getByRole('region', { name: 'Tray' })
  await tray.getByRole('tab', { name: 'States' }).click()
  const input = tray.getByLabel('Upload a file that it leads to')
  await input.setInputFiles({ name: 'Sky map.exe', mimeType: 'application/pdf', buffer: PDF })
  await expect(tray.getByText(/of no type that a site hands out/)).toBeVisible()
  await input.setInputFiles({ name: 'Sky map.pdf', mimeType: 'application/pdf', buffer: Buffer.from('<html>') })
  await expect(tray.getByText(/there is no PDF in it/)).toBeVisible()
  await input.setInputFiles({ name: 'Sky map.pdf', mimeType: 'application/pdf', buffer: PDF })
  await expect(tray.getByRole('combobox', { name: 'Leads to' })).toContainText('Sky map.pdf')
  await expect(tray.getByText(/there is no PDF in it/)).toHaveCount(0)
  expect(await seriousOn(page)).toEqual([])
  await saved(page)

  const id = /sites\/([\w-]+)/.exec(page.url())![1]!
  const visitor = await context.newPage()
  await visitor.goto(`${app.url}/visit/${id}/index.html`)
  const [download] = await Promise.all([visitor.waitForEvent('download'), visitor.locator('#opening .button-primary').click()])
  expect(download.suggestedFilename()).toBe('sky-map.pdf')
  expect(readFileSync((await download.path())!).equals(PDF)).toBe(true)
  await visitor.close()

  const zip = async (what: string) =>
    unzipSync(new Uint8Array(await (await page.request.get(`${app.url}/sites/${id}/as/${what}`)).body()))
  expect(Buffer.from((await zip('web'))['files/sky-map.pdf']!).equals(PDF)).toBe(true)
  const names = Object.keys(await zip('site-zip'))
  expect(names.filter((one) => /^files\/[0-9a-f]{64}\.pdf$/.test(one))).toHaveLength(1)

  // One step takes both back: the link and the file.
  await page.keyboard.press('Control+z')
  await expect(tray.getByRole('combobox', { name: 'Leads to' })).not.toContainText('Sky map.pdf')
})
