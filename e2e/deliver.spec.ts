import { generate, parse, walk } from 'css-tree'
import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { composed, expect, openScreen, openSite, test } from './application'
import { boxesInView } from './views'

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
  await page.keyboard.press('Escape')
  await composed(page)
})

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
