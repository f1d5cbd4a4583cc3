import { generate, parse, walk } from 'css-tree'
import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import type { Page } from '@playwright/test'
import { newBlock } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { section, siteOf } from '#core/site/made.fixture'
import { testIds } from '#core/values/ids.fixture'
import { pixels } from '#core/values/length'
import { composed, expect, openScreen, openSite, saved, test } from './application'
import { keep } from './sweep.fixture'
import { boxesInView, press } from './views'

const SITE = 'Hollin Ridge Observatory'

test('a mockup is the page to the pixel, at 1x and 2x', async ({ page, app, context }) => {
  await openScreen(page, app, SITE, 'deliver')
  const visitor = await context.newPage()
  await visitor.setViewportSize({ width: 768, height: 1024 })
  await visitor.goto(`${app.url}/visit/${/sites\/([\w-]+)/.exec(page.url())![1]}/index.html`)
  await visitor.evaluate(async () => {
    for (const image of document.images) image.loading = 'eager'
    await Promise.all([document.fonts.ready, ...[...document.images].map((image) => image.decode())])
  })
  const shot = await visitor.screenshot({ fullPage: true })
  const { height } = await sharp(shot).metadata()
  for (const density of [1, 2]) {
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: `PNG, ${768 * density} px wide: mockup at 768 px, ${density}x` }).click()
    const png = readFileSync(await (await download).path())
    const size = await sharp(png).metadata()
    expect([size.width, size.height]).toEqual([768 * density, height * density])
    const small = (image: Buffer) =>
      sharp(image)
        .resize(192, Math.round(height / 4), { fit: 'fill' })
        .removeAlpha()
        .raw()
        .toBuffer()
    const [drawn, seen] = [await small(png), await small(shot)]
    let off = 0
    for (let i = 0; i < drawn.length; i++) off += Math.abs(drawn[i]! - seen[i]!)
    expect(off / drawn.length, 'mean difference, of 255').toBeLessThan(2)
  }
})

test('what is to be mended is named, leads to its block, and the minified code is smaller', async ({ page, app }) => {
  await openSite(page, app, SITE)
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: /^03 Reasons/ }).click()
  await page.getByRole('button', { name: 'Add a block' }).click()
  // Every kind is seen at once.
  const kinds = await page.getByRole('menuitem').all()
  expect(kinds.length).toBeGreaterThan(15)
  for (const kind of kinds) await expect(kind).toBeInViewport({ ratio: 1 })
  await page.getByRole('menuitem', { name: 'Picture' }).click()
  await page
    .getByRole('status')
    .filter({ hasText: /Saved \d/ })
    .waitFor()
  await page.getByRole('link', { name: /Deliver/ }).click()
  await expect(page.getByText(/has no picture: a crossed frame/)).toBeVisible()
  const weight = async () =>
    Number.parseFloat((await page.getByRole('button', { name: /^style\.css/ }).innerText()).split('\n').at(-1)!)
  const readable = await weight()
  await page.getByRole('button', { name: 'Minified' }).click()
  await expect.poll(weight).toBeLessThan(readable * 0.9)
  await page.getByRole('button', { name: /^index\.html/ }).click()
  await expect(page.locator('pre')).toContainText('<!doctype html>')
  await page.getByRole('link', { name: 'Show' }).first().click()
  await composed(page)
  await expect(
    page.getByRole('region', { name: 'Tray' }).getByRole('heading', { name: 'Picture', exact: true }).first(),
  ).toBeVisible()
})

test('the page plays at a width that is chosen, typed or dragged', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await page.keyboard.press('p')
  await page.waitForURL(/play/)
  const frame = page.locator('iframe[title^="Autumn nights at"]')
  // The frame is laid out as wide as the page is played; while it is loaded anew nothing can be asked in it.
  const inner = () =>
    page
      .frameLocator('iframe[title^="Autumn nights at"]')
      .locator('html')
      .evaluate((html) => html.ownerDocument.defaultView!.innerWidth)
      .catch(() => 0)
  await expect(frame).toBeVisible()
  await page.getByRole('group', { name: 'Widths of the views' }).getByRole('button', { name: '375' }).click()
  await expect.poll(inner).toBe(375)
  const field = page.getByLabel('Width of the page')
  await field.fill('640')
  await field.press('Enter')
  await expect.poll(inner).toBe(640)
  const side = page.getByRole('separator', { name: 'Width, right side' })
  const box = (await side.boundingBox())!
  await page.mouse.move(box.x + 8, box.y + 200)
  await page.mouse.down()
  await page.mouse.move(box.x + 68, box.y + 200, { steps: 6 })
  await page.mouse.up()
  await expect.poll(inner).toBe(760)
  // Its window is as high as in Compose, Check and mockups, or as there is room here.
  const high = () => frame.evaluate((one) => (one as HTMLIFrameElement).clientHeight)
  const height = page.getByRole('group', { name: 'Height of the window' })
  const here = await high()
  await height.getByRole('button', { name: `${viewportHeightFor(760)} px high` }).click()
  await expect.poll(high).toBe(viewportHeightFor(760))
  expect(here).not.toBe(viewportHeightFor(760))
  await height.getByRole('button', { name: 'As high as here' }).click()
  await expect.poll(high).toBe(here)
  await page.keyboard.press('Escape')
  await composed(page)
})

/** A second of a film all in one colour, as the browser records it. */
const filmOf = (page: Page, colour: string): Promise<number[]> =>
  page.evaluate(async (fill) => {
    const canvas = document.createElement('canvas')
    canvas.width = 320
    canvas.height = 180
    const context = canvas.getContext('2d')!
    const recorder = new MediaRecorder(canvas.captureStream(20), { mimeType: 'video/webm;codecs=vp8' })
    const parts: Blob[] = []
    recorder.addEventListener('dataavailable', ({ data }) => parts.push(data))
    const ended = new Promise((done) => recorder.addEventListener('stop', done, { once: true }))
    recorder.start()
    for (let n = 0; n < 20; n++) {
      context.fillStyle = fill
      context.fillRect(0, 0, 320, 180)
      await new Promise((done) => setTimeout(done, 50))
    }
    recorder.stop()
    await ended
    return [...new Uint8Array(await new Blob(parts).arrayBuffer())]
  }, colour)

test(
  'a film without a poster is its first frame in mockups, and a device has an edge on a sheet as dark as it',
  { tag: '@proof' },
  async ({ page, app }) => {
    const film = { ...newBlock('video', testIds()), id: 'film' } as Block
    const site = { ...siteOf('Films', [section('Plan', [film], { paddingTop: pixels(0) })]), views: [375] }
    await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/compose`, { waitUntil: 'commit' })
    await composed(page)
    await press(page, 375, '[data-block="film"]')
    const bytes = Buffer.from(await filmOf(page, '#d02010'))
    await page.getByLabel('Upload a video').setInputFiles({ name: 'red.webm', mimeType: 'video/webm', buffer: bytes })
    await expect(page.getByText('320 × 180', { exact: true })).toBeVisible()
    await saved(page)
    await page.getByRole('link', { name: /Deliver/ }).click()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'PNG, 375 px wide: mockup at 375 px, 1x' }).click()
    const png = sharp(readFileSync(await (await download).path()))
    const [red, green, blue] = await png.extract({ left: 180, top: 60, width: 1, height: 1 }).removeAlpha().raw().toBuffer()
    // As near as the film's own coding keeps it.
    expect([Math.abs(red! - 0xd0), Math.abs(green! - 0x20), Math.abs(blue! - 0x10)].every((off) => off < 24)).toBe(true)

    const sheet = page.waitForEvent('download')
    await page.getByRole('combobox', { name: 'Ground of the sheet' }).click()
    await page.getByRole('option', { name: 'ink', exact: true }).click()
    await page.getByRole('button', { name: 'Sheet as PNG' }).click()
    const { data, info } = await sharp(readFileSync(await (await sheet).path()))
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true })
    // From the left, half way down: the ground, a thin line that is lighter, the body.
    const row = [...data.subarray(Math.floor(info.height / 2) * info.width * info.channels)].filter(
      (_, n) => n % info.channels === 0,
    )
    const edge = row.findIndex((light) => light > row[0]! + 15)
    expect(edge).toBeGreaterThan(100)
    expect(row.slice(edge, edge + 6).some((light) => light < row[0]! + 15)).toBe(true)
  },
)

/** What an at-rule says of itself is no property. */
const DESCRIBED = /^(font-face|view-transition|page)$/
/** Properties that are for engines that have them: Safari alone hangs punctuation. */
const OF_OTHERS = /^(-moz-.*|hanging-punctuation)$/

/** Every declaration of a stylesheet that is for this engine, custom properties left out: they take anything. */
function declarationsOf(css: string): [property: string, value: string][] {
  const all: [string, string][] = []
  walk(parse(css), {
    visit: 'Declaration',
    enter(node) {
      const forOthers = this.atrule?.name === 'supports' && /^\(?\s*not/.test(generate(this.atrule.prelude!))
      const isOurs = !node.property.startsWith('--') && !OF_OTHERS.test(node.property)
      if (!forOthers && isOurs && !DESCRIBED.test(this.atrule?.name ?? '')) all.push([node.property, generate(node.value)])
    },
  })
  return all
}

test('no rule of the exported stylesheet goes unused at all widths, and Chromium drops no declaration', async ({
  page,
  app,
  request,
}) => {
  const id =
    /sites\/([\w-]{10})" /.exec(await (await request.get(app.url)).text())?.[1] ??
    /sites\/([\w-]{10})/.exec(await (await request.get(app.url)).text())![1]!
  const css = await (await request.get(`${app.url}/visit/${id}/style.css`)).text()
  /** Selectors that nothing on a page matches, and the number of rules. */
  const look = (text: string) => {
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(text)
    const unused: string[] = []
    let declared = 0
    const visit = (rules: CSSRuleList) => {
      for (const rule of rules) {
        if (rule instanceof CSSMediaRule) visit(rule.cssRules)
        // What is for other engines has no use in this one.
        if (rule instanceof CSSSupportsRule && CSS.supports(rule.conditionText)) visit(rule.cssRules)
        if (!(rule instanceof CSSStyleRule)) continue
        declared++
        const selectors = rule.selectorText.split(/,(?![^(]*\))/)
        for (const selector of selectors) {
          // States come about by what a visitor does, or a script; what has them is looked for without.
          const state =
            /::?(after|before|marker|details-content|-webkit-details-marker|view-transition-[\w-]+\([\w*]+\))|:is\((:hover, :focus-(visible|within)|\[open\], :popover-open)\)|:focus-visible|:active|:disabled|\[aria-busy="true"\]|\[aria-current\]|:not\(\[hidden\]\)|^\.field-problem$/g
          const plain = selector.replace(state, '').trim()
          if (plain !== ':root' && plain !== '' && !document.querySelector(plain)) unused.push(selector)
        }
      }
    }
    visit(sheet.cssRules)
    return { unused, declared }
  }
  const declared = declarationsOf(css)
  expect(declared.length).toBeGreaterThan(300)
  // The pages of a site share their stylesheet: a rule is unused where no page has use for it.
  let unused: string[] | undefined
  for (const file of ['index', 'winter-sky-chart', 'thank-you', 'the-instruments']) {
    await page.goto(`${app.url}/visit/${id}/${file}.html`)
    const found = await page.evaluate(look, css)
    unused = unused?.filter((one) => found.unused.includes(one)) ?? found.unused
    expect(found.declared).toBeGreaterThan(40)
  }
  expect(unused).toEqual([])
  // What a stylesheet drops leaves no trace in it, so each declaration is asked for by itself, its custom properties put in.
  const dropped = await page.evaluate((list) => {
    const root = getComputedStyle(document.documentElement)
    const whole = (value: string): string => {
      for (let n = 0; n < 50; n++) {
        const found = /var\((--[\w-]+)(?:,\s*([^()]*(?:\([^()]*\)[^()]*)*))?\)/.exec(value)
        if (!found) return value
        value = value.replace(found[0], () => root.getPropertyValue(found[1]!) || found[2] || 'initial')
      }
      return value
    }
    return list
      .map(([property, value]) => [property, whole(value)] as const)
      .filter(([property, value]) => !CSS.supports(property, value))
  }, declared)
  expect(dropped).toEqual([])
})

test('the exported demo page is nowhere wider than its window, and its boxes are those of the views', async ({
  page,
  app,
  context,
}) => {
  await openSite(page, app, SITE)
  const visitor = await context.newPage()
  const blocks = '.band, h1, h2, h3, p, img, nav, nav a, hr, .plan-step'
  for (const width of [375, 768, 1280]) {
    await visitor.setViewportSize({ width, height: viewportHeightFor(width) })
    // At rest, as the views are.
    await visitor.emulateMedia({ reducedMotion: 'reduce' })
    await visitor.goto(`${app.url}/visit/${/sites\/([\w-]+)/.exec(page.url())![1]}/index.html`)
    await visitor.evaluate(() => document.fonts.ready)
    const exported = await visitor.evaluate(
      (wanted) =>
        [...document.querySelectorAll(wanted)].map((element) => {
          const { left, top, width: w, height } = element.getBoundingClientRect()
          return { left, top: top + scrollY, width: w, height }
        }),
      blocks,
    )
    const seen = await boxesInView(page, width, blocks)
    expect(exported).toHaveLength(seen.length)
    exported.forEach((box, i) => {
      for (const side of ['left', 'top', 'width', 'height'] as const)
        expect(Math.abs(box[side] - seen[i]![side]), `${side} of box ${i} at ${width}`).toBeLessThanOrEqual(0.5)
    })
  }
  for (const width of [320, 480, 639, 640, 900, 1023, 1024, 1183, 1184, 1440, 1920]) {
    await visitor.setViewportSize({ width, height: 800 })
    expect(await visitor.evaluate(() => document.documentElement.scrollWidth - innerWidth), `at ${width} px`).toBeLessThanOrEqual(0)
  }
})
