import type { Page } from '@playwright/test'
import { convert } from 'fontverter'
import { readFileSync } from 'node:fs'
import { composed, expect, openScreen, openSite, saved, test } from './application'
import { DISABLED, seriousOn } from './axe'
import { onScreen } from './views'

const openStyle = async (page: Page, url: string) => {
  await openScreen(page, { url }, 'Hollin Ridge Observatory', 'style')
  await expect(page.frameLocator('[data-live="1280"] iframe').first().locator('h1')).toBeVisible()
}

const guide = (page: Page) => page.locator('[data-guide]')
const directions = (page: Page) => page.getByRole('group', { name: 'Directions' })
/** A style of an element on the live page beside the guide. */
const computed = (page: Page, selector: string, property: string, live = 1280) =>
  page
    .locator(`section [data-live="${live}"] iframe`)
    .first()
    .evaluate(
      (frame, [wanted, name]) => {
        const inner = (frame as HTMLIFrameElement).contentDocument!
        return inner.defaultView!.getComputedStyle(inner.querySelector(wanted!)!).getPropertyValue(name!)
      },
      [selector, property],
    )
const short = (page: Page) => page.locator('[data-short]')

/** That axe finds nothing serious in what is shown. */
const accessible = async (page: Page, what: string) => expect(await seriousOn(page, DISABLED), what).toEqual([])

/** Sets the colour of a role by its hex. */
async function setHex(page: Page, role: string, hex: string): Promise<void> {
  const swatch = page.locator(`[data-role="${role}"]`)
  if ((await swatch.getAttribute('aria-pressed')) !== 'true') await swatch.click()
  await page.getByRole('textbox', { name: `Hex of ${role}`, exact: true }).fill(hex)
  await expect(swatch).toContainText(`#${hex.toUpperCase()}`)
}

test('two directions are made of one, every failing pair is mended by what is offered, both are compared and one is made current', async ({
  page,
  app,
}) => {
  await openStyle(page, app.url)
  await directions(page).getByRole('button', { name: 'What can be done with Lamplight' }).click()
  await page.getByRole('menuitem', { name: 'Duplicate and change' }).click()
  await expect(directions(page).getByRole('button', { name: 'Lamplight 2', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'About', exact: true }).click()
  await page.getByLabel('Name of the direction').fill('Dusk')
  await page.getByLabel('Note on the direction').fill('Paler, before the lamps are lit.')
  await page.getByRole('button', { name: 'Mood picture moon.jpg' }).click()
  await page.keyboard.press('Escape')
  await expect(directions(page).getByRole('button', { name: 'Dusk', exact: true })).toBeVisible()

  await expect(page.getByText('all of them pass')).toBeVisible()
  await setHex(page, 'ink-soft', 'a5a8b8')
  await setHex(page, 'link', '8f8ee0')
  await expect(short(page)).not.toHaveCount(0)
  for (let left = await short(page).count(); left > 0; left = await short(page).count()) {
    const repair = short(page).first().locator('[data-repair]').first()
    await expect(repair).not.toContainText('breaks')
    await repair.click()
    await expect(async () => expect(await short(page).count()).toBeLessThan(left)).toPass()
  }
  await expect(page.getByText('all of them pass')).toBeVisible()
  // The brief's own colours were not touched.
  await expect(page.locator('[data-role=accent]')).toContainText('fixed')

  await page.getByRole('button', { name: 'Side by side' }).click()
  const compared = page.locator('[data-compared]')
  await expect(compared).toHaveCount(3)
  await page.getByRole('group', { name: 'What is compared' }).getByRole('button', { name: 'Logbook' }).click()
  await expect(compared).toHaveCount(2)
  await accessible(page, 'the comparison')
  const inks = await Promise.all(
    ['Lamplight', 'Dusk'].map((name) =>
      page.locator(`[data-compared="${name}"] iframe`).evaluate((frame) => {
        const inner = (frame as HTMLIFrameElement).contentDocument!
        return inner.defaultView!.getComputedStyle(inner.querySelector('.reasons-text')!).color
      }),
    ),
  )
  expect(inks[0]).not.toBe(inks[1])
  // They scroll together.
  await page.locator('[data-compared="Dusk"] [data-live]').evaluate((room) => room.scrollTo({ top: 400 }))
  await expect
    .poll(() => page.locator('[data-compared="Lamplight"] [data-live]').evaluate((room) => room.scrollTop))
    .toBeCloseTo(400, -1)
  await page.locator('[data-compared="Dusk"]').getByRole('button', { name: 'Make current' }).click()
  await expect(page.locator('[data-compared="Dusk"]')).toContainText('current')
  await saved(page)

  // It is the one that is composed, played and exported.
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Compose' }).click()
  await composed(page)
  const ink = await page.locator('[data-view="1280"] iframe').evaluate((frame) => {
    const inner = (frame as HTMLIFrameElement).contentDocument!
    return inner.defaultView!.getComputedStyle(inner.querySelector('.reasons-text')!).color
  })
  expect(ink).toBe(inks[1])
  const site = /sites\/([\w-]+)/.exec(page.url())![1]!
  const css = await (await page.request.get(`${app.url}/visit/${site}/style.css`)).text()
  const hex = `#${ink
    .match(/\d+/g)!
    .map((one) => Number(one).toString(16).padStart(2, '0'))
    .join('')}`
  expect(css).toContain(`--ink-soft: ${hex}`)
})

test('a colour that is dragged repaints every view by custom properties, and is one step when it is let go', async ({
  page,
  app,
}) => {
  await openStyle(page, app.url)
  await page.getByRole('button', { name: 'All widths' }).click()
  await page.locator('[data-role=link]').click()
  const before = await computed(page, '.reasons-icon', 'color')
  const slider = page.getByRole('slider', { name: 'Hue of link' })
  const box = (await slider.boundingBox())!
  const undo = page.getByRole('button', { name: /^(Undo|Nothing to undo)/ })
  await expect(undo).toHaveAttribute('aria-label', 'Nothing to undo')
  await page.mouse.move(box.x + box.width * 0.75, box.y + box.height / 2)
  await page.mouse.down()
  for (const at of [0.6, 0.5, 0.4]) await page.mouse.move(box.x + box.width * at, box.y + box.height / 2)
  for (const width of [1280, 768, 375]) {
    const tried = await page
      .locator(`section [data-live="${width}"] iframe`)
      .first()
      .evaluate((frame) => (frame as HTMLIFrameElement).contentDocument!.documentElement.style.getPropertyValue('--link'))
    expect(tried).toMatch(/^#[0-9a-f]{6}$/)
    expect(await computed(page, '.reasons-icon', 'color', width)).not.toBe(before)
  }
  await expect(undo).toHaveAttribute('aria-label', 'Nothing to undo')
  await page.mouse.up()
  await expect(undo).toHaveAttribute('aria-label', 'Undo colour roles')
  await saved(page)
  const after = await computed(page, '.reasons-icon', 'color')
  expect(after).not.toBe(before)
  await undo.click()
  await expect.poll(() => computed(page, '.reasons-icon', 'color')).toBe(before)

  // A chroma that sRGB has not is brought in, and said.
  await page.getByLabel('Chroma, figure').fill('0.4')
  await page.getByLabel('Chroma, figure').press('Enter')
  await expect(page.locator('[data-role=link]')).not.toContainText('#3B3A9E')
  await page.locator('[data-role=accent]').click()
  await expect(page.getByRole('slider', { name: 'Hue of accent' })).toBeDisabled()
  await expect(page.locator('[data-editor=accent]')).toContainText('Fixed by the brief')
  await accessible(page, 'the guide')
})

test('roles of type follow the scale, and their figures are those of the page', async ({ page, app }) => {
  await openStyle(page, app.url)
  await page.locator('[data-type="heading-1"]').click()
  const findings = page.locator('[data-type-findings]')
  await expect(findings).toContainText('Lines, at most: 2 at 1280, 2 at 768, 3 at 375 px')
  await expect(findings).toContainText('69, 52.5, 39.8 px at 1280, 768, 375')
  expect(Number.parseFloat(await computed(page, 'h1', 'font-size'))).toBeCloseTo(69, 0)
  await page.getByLabel('Ratio, wide').fill('1.25')
  await page.getByLabel('Ratio, wide').press('Enter')
  // 17 px at 1360 by a ratio of 1.25, five steps up: 51.88 px; 50.9 at 1280.
  await expect.poll(async () => Number.parseFloat(await computed(page, 'h1', 'font-size'))).toBeCloseTo(50.9, 0)
  await page.getByRole('combobox', { name: 'Ratio by name, wide' }).click()
  await page.getByRole('option', { name: /perfect fourth/ }).click()
  await expect.poll(async () => Number.parseFloat(await computed(page, 'h1', 'font-size'))).toBeCloseTo(69, 0)

  // Sizes that grow too much fail the test of 200% zoom, which says so.
  await page.getByLabel('Size of the role', { exact: true }).fill('16 to 90')
  await page.getByLabel('Size of the role', { exact: true }).press('Enter')
  await expect(findings).toContainText('no zoom doubles it (WCAG 2.2, 1.4.4)')

  await page.locator('[data-pairing=aleo]').click()
  await expect.poll(() => computed(page, '.reasons-text', 'font-family')).toContain('Aleo')
  await page.getByRole('combobox', { name: 'Family of heading' }).click()
  await page.getByRole('option', { name: 'Bricolage Grotesque' }).click()
  await expect.poll(() => computed(page, 'h1', 'font-family')).toContain('"Bricolage Grotesque fallback"')
  await page.getByRole('button', { name: 'Specimen' }).click()
  await accessible(page, 'the specimen')
})

test('a font of one’s own is taken with its licence; what is none, or has no Latin, is refused', async ({ page, app }) => {
  await openStyle(page, app.url)
  const input = page.getByLabel('Font of your own')
  await input.setInputFiles({ name: 'torn.woff2', mimeType: 'font/woff2', buffer: Buffer.from('wOF2 but not one') })
  await expect(page.getByText('"torn.woff2" is not a WOFF2, TTF or OTF font, or it is damaged.')).toBeVisible()
  const ttf = await convert(readFileSync('node_modules/@fontsource/commit-mono/files/commit-mono-latin-400-normal.woff2'), 'sfnt')
  await input.setInputFiles({ name: 'own.ttf', mimeType: 'font/ttf', buffer: Buffer.from(ttf) })
  const own = page.locator('[data-own-font]')
  await expect(own).toHaveCount(1)
  const name = (await own.getAttribute('data-own-font'))!
  await page.getByLabel(`Licence of ${name}`).fill('Bought for this site')
  await page.getByLabel(`Licence of ${name}`).blur()
  await page.getByRole('combobox', { name: 'Family of text' }).click()
  await page.getByRole('option', { name }).first().click()
  await expect.poll(() => computed(page, '.reasons-text', 'font-family')).toContain(`${name} fallback`)
  const loaded = await page
    .locator('section [data-live="1280"] iframe')
    .first()
    .evaluate(
      (frame, family) => (frame as HTMLIFrameElement).contentDocument!.fonts.load(`16px "${family}"`).then((list) => list.length),
      name,
    )
  expect(loaded).toBeGreaterThan(0)
  await saved(page)
  // The export has the font, cut to the characters of the pages.
  const site = /sites\/([\w-]+)/.exec(page.url())![1]!
  const css = await (await page.request.get(`${app.url}/visit/${site}/style.css`)).text()
  const file = /fonts\/[0-9a-f]{64}\.woff2/.exec(css)![0]
  const whole = await page.request.get(`${app.url}/visit/${site}/${file}`)
  expect(whole.status()).toBe(200)
})

test('design tokens go out and come in; files that make no sense change nothing and say why', async ({ page, app }) => {
  await openStyle(page, app.url)
  const out = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Design tokens' }).click()
  const text = readFileSync(await (await out).path(), 'utf8')
  const file = JSON.parse(text) as { color: Record<string, { $value: unknown }> }
  file.color.link!.$value = { colorSpace: 'srgb', components: [0.6, 0.2, 0.1], hex: '#99331a' }
  const input = page.getByLabel('File of tokens or custom properties')
  const put = (name: string, content: string) =>
    input.setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
  await put('changed.tokens.json', JSON.stringify(file))
  await expect(page.locator('[data-role=link]')).toContainText('#99331A')
  await put('loop.json', JSON.stringify({ $type: 'color', a: { $value: '{b}' }, b: { $value: '{a}' } }))
  await expect(page.getByText(/“loop.json”: The tokens .* stand for each other in a loop. The guide is as it was./)).toBeVisible()
  await put('motion.json', JSON.stringify({ a: { $type: 'duration', $value: '1s' } }))
  await expect(page.getByText(/of the type “duration”, for which a style guide has no place/)).toBeVisible()
  await put('more.css', ':root { --link: #225577; --ease: ease-in }')
  await expect(page.locator('[data-role=link]')).toContainText('#225577')
  await expect(page.getByText('No place in a style guide for ease.')).toBeVisible()
  await page.getByLabel('List of colours').fill('moss: oklch(0.5 0.1 140), #ABCDEF')
  await page.getByRole('button', { name: 'Put in 2' }).click()
  await expect(page.locator('[data-role=moss]')).toBeVisible()
  await saved(page)

  const png = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The same as PNG' }).click()
  const bytes = readFileSync(await (await png).path())
  expect([bytes.readUInt32BE(16), bytes.subarray(1, 4).toString()]).toEqual([1280, 'PNG'])
  const sheet = await page.getByRole('link', { name: 'Page for the client' }).getAttribute('href')
  await page.goto(`${app.url}${sheet}`)
  await expect(page.getByRole('heading', { level: 1, name: 'Lamplight' })).toBeVisible()
  await expect(page.locator('.button-primary')).toHaveCount(6)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280)
  await accessible(page, 'the page for the client')
})

test('buttons, space, looks, grid and consistency are set, each by its own means', async ({ page, app }) => {
  await openStyle(page, app.url)
  await page.locator('[data-state-of="secondary hover"]').click()
  const editor = page.locator('[data-kind-editor=secondary]')
  await accessible(page, 'the guide with a button chosen')
  await editor.getByLabel('Least height that can be hit').fill('64')
  await editor.getByLabel('Least height that can be hit').press('Enter')
  await expect.poll(async () => Number.parseFloat(await computed(page, '.button-secondary', 'height'))).toBeGreaterThanOrEqual(64)
  await editor.getByRole('button', { name: 'Icon of the button' }).click()
  await page.getByRole('textbox', { name: 'Find an icon' }).fill('moon')
  await page.getByRole('button', { name: 'moon', exact: true }).click()
  await expect
    .poll(() =>
      page
        .locator('section [data-live="1280"] iframe')
        .first()
        .evaluate((frame) => {
          const inner = (frame as HTMLIFrameElement).contentDocument!
          return inner.defaultView!.getComputedStyle(inner.querySelector('.button-secondary')!, '::after').maskImage
        }),
    )
    .toContain('data:image/svg+xml')
  await page.keyboard.press('Escape')

  await page.locator('[data-token=space-9]').getByLabel('Size of space-9', { exact: true }).fill('120')
  await page.locator('[data-token=space-9]').getByLabel('Size of space-9', { exact: true }).press('Enter')
  await expect.poll(() => computed(page, '.reasons', 'padding-top')).toBe('120px')
  await page.getByLabel('Height of shadow-2').fill('30')
  await page.getByLabel('Height of shadow-2').press('Enter')
  await page.getByRole('combobox', { name: 'Underline of links' }).click()
  await page.getByRole('option', { name: 'Never' }).click()

  await page.locator('[data-grid="1200"]').filter({ hasText: '12 × 78 + 24' }).click()
  await expect(page.getByText('12 columns in at most 1200 px')).toBeVisible()
  await expect(guide(page)).toContainText('78 px at 1280')

  const gathering = page.locator('[data-gathering=space]').first()
  await gathering.getByRole('button', { name: /Promote|Merge/ }).click()
  await expect(page.locator('[data-gathering=space]')).toHaveCount(0)
  await page.getByRole('button', { name: 'deuteranopia' }).click()
  expect(
    await page
      .locator('section [data-live="1280"] iframe')
      .first()
      .evaluate((frame) => (frame as HTMLElement).style.filter),
  ).toContain('seen-with-deuteranopia')
  await saved(page)
})

test('a block is restyled in one direction alone', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const box = await onScreen(page, 1280, 'h1')
  await page.mouse.click(box.left + 40, box.top + 20)
  await page.getByRole('checkbox', { name: 'In Lamplight alone' }).check()
  await page.getByRole('textbox', { name: 'Weight' }).fill('300')
  await page.getByRole('textbox', { name: 'Weight' }).press('Enter')
  await saved(page)
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Style' }).click()
  await page.getByRole('button', { name: 'Side by side' }).click()
  const weight = (name: string) =>
    page.locator(`[data-compared="${name}"] iframe`).evaluate((frame) => {
      const inner = (frame as HTMLIFrameElement).contentDocument!
      const heading = inner.querySelector('h1')
      return heading ? inner.defaultView!.getComputedStyle(heading).fontWeight : ''
    })
  await expect.poll(() => weight('Lamplight')).toBe('300')
  await expect.poll(() => weight('Logbook')).toBe('680')
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Compose' }).click()
  await composed(page)
  const again = await onScreen(page, 1280, 'h1')
  await page.mouse.click(again.left + 40, again.top + 20)
  await page.getByRole('button', { name: /Restyled here/ }).click()
  await expect(page.getByRole('textbox', { name: 'Weight' })).toHaveValue('560')
})
