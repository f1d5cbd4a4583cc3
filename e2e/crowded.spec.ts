import { type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { newPage } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { PAGE_SCREENS } from '../app/screens'
import { awake, composed, expect, openSite, test } from './application'
import { keep } from './sweep.fixture'

const LONG = 'The society of friends of the old lighthouse and of its keepers on Inner Farther Skerry'.slice(0, 80)

/** The demo with names of 80 characters, 40 pages and 60 colours. */
function crowded(): Site {
  const site = JSON.parse(readFileSync('demo/observatory.site.json', 'utf8')) as Site
  let count = 0
  const makeId = () => `more${count++}`
  const pages = Array.from({ length: 40 - site.pages.length }, (_, i) => newPage(makeId, `${LONG.slice(0, 70)} ${i}`, `more-${i}`))
  const colours = Array.from({ length: 60 - site.guide.colours.length }, (_, i) => ({
    role: `a-colour-with-a-long-name-number-${i}`,
    hex: `#${(i * 4096 + 0x224466).toString(16).padStart(6, '0').toUpperCase()}`,
  }))
  return {
    ...site,
    name: LONG,
    guide: { ...site.guide, colours: [...site.guide.colours, ...colours] },
    pages: [{ ...site.pages[0]!, name: `${LONG} page`.slice(0, 80) }, ...site.pages.slice(1), ...pages],
  }
}

/** What of the top bar leaves it, or runs over another part of it. */
const faultsOfBar = (page: Page) =>
  page
    .locator('header')
    .first()
    .evaluate((header) => {
      const faults: string[] = []
      const bounds = header.getBoundingClientRect()
      const parts = [...header.querySelectorAll<HTMLElement>('a,button,[role=status],header > div > span')].filter(
        (one) => one.checkVisibility() && getComputedStyle(one).position !== 'absolute',
      )
      const boxes = parts.map((one) => ({
        name: one.textContent || one.getAttribute('aria-label') || '',
        box: one.getBoundingClientRect(),
        one,
      }))
      for (const { name, box } of boxes) {
        if (box.left < bounds.left - 0.5 || box.right > bounds.right + 0.5 || box.bottom > bounds.bottom + 0.5)
          faults.push(`${name} leaves the bar`)
        if (box.width < 8) faults.push(`${name} has no room`)
      }
      boxes.forEach((a, i) =>
        boxes.slice(i + 1).forEach((b) => {
          if (a.one.contains(b.one) || b.one.contains(a.one)) return
          const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left)
          const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top)
          if (across > 1 && down > 1) faults.push(`${a.name} runs over ${b.name}`)
        }),
      )
      return faults
    })

/** Things to press that are smaller than 24 px either way, or whose name lacks what is written on them (WCAG 2.5.8, 2.5.3). */
const faultsOfTargets = (page: Page) =>
  page.evaluate(() => {
    const plain = (text: string) =>
      text
        .toLowerCase()
        .replace(/[^\p{L}\p{N}]+/gu, ' ')
        .trim()
    const faults: string[] = []
    for (const one of document.querySelectorAll<HTMLElement>('button,a[href],input[type=checkbox],summary,[role=tab]')) {
      if (!one.checkVisibility({ visibilityProperty: true, opacityProperty: true }) || one.closest('[inert],[aria-hidden=true]'))
        continue
      const box = one.getBoundingClientRect()
      const label = one.closest('label')?.getBoundingClientRect()
      if (box.width <= 1 || box.bottom < 0 || box.top > innerHeight) continue
      const name = (one.getAttribute('aria-label') ?? one.textContent ?? '').trim()
      // A target in a line of text may be as high as the line (WCAG 2.5.8, inline).
      const inline = one.tagName === 'A' && one.parentElement?.tagName === 'P'
      const side = Math.min(Math.max(box.width, label?.width ?? 0), Math.max(box.height, label?.height ?? 0))
      if (!inline && side < 23.5)
        faults.push(`${name || one.outerHTML.slice(0, 80)}: ${Math.round(box.width)} by ${Math.round(box.height)} px`)
      const written = plain(one.innerText ?? '')
      if (
        one.hasAttribute('aria-label') &&
        one.getAttribute('role') !== 'combobox' &&
        /[a-z]/.test(written) &&
        !plain(name).includes(written)
      )
        faults.push(`“${written}” is called “${name}”`)
    }
    return [...new Set(faults)]
  })

test('every screen holds long names, many pages and many colours, from 1024 px on', async ({ page, app }) => {
  await page.goto(keep(app, crowded()))
  await composed(page)
  const start = page.url().replace(/compose$/, '')
  for (const screen of PAGE_SCREENS) {
    await page.goto(start + screen, { waitUntil: 'commit' })
    await awake(page)
    for (const width of [1024, 1280]) {
      await page.setViewportSize({ width, height: 800 })
      expect.soft(await faultsOfBar(page), `${screen} at ${width}`).toEqual([])
      const [wide, high] = await page.evaluate(() => [document.documentElement.scrollWidth, document.documentElement.scrollHeight])
      expect.soft([wide, high], `${screen} at ${width}`).toEqual([width, 800])
    }
    expect.soft(await faultsOfTargets(page), screen).toEqual([])
  }
  // A name that is cut is whole on hover, and to assistive technology.
  await page.goto(`${start}compose`)
  await composed(page)
  await expect(
    page
      .locator('header')
      .locator('span')
      .and(page.getByTitle(LONG, { exact: true })),
  ).toHaveText(LONG)
  // What is inside cannot scroll the screen out of its window.
  await page.evaluate(() => {
    for (const element of document.querySelectorAll('*')) element.scrollIntoView({ block: 'end' })
  })
  expect((await page.locator('header').first().boundingBox())!.y).toBe(0)
})

/** Words of the views that the name on a selection lies on. */
const coveredWords = (page: Page) =>
  page.evaluate(async () => {
    // The name is placed once the page has been painted.
    for (let n = 0; n < 4; n++) await new Promise((done) => requestAnimationFrame(done))
    return [...document.querySelectorAll<HTMLElement>('[data-view]')].flatMap((view) => {
      const tab = view.querySelector<HTMLElement>('[data-name-tab]')
      const iframe = view.querySelector('iframe')!
      if (!tab || getComputedStyle(tab).visibility === 'hidden') return []
      const [at, frame, inner] = [tab.getBoundingClientRect(), iframe.getBoundingClientRect(), iframe.contentDocument!]
      const scale = frame.width / Number(view.dataset.view)
      const range = inner.createRange()
      const texts = inner.createTreeWalker(inner.body, NodeFilter.SHOW_TEXT)
      const covered: string[] = []
      for (let node = texts.nextNode(); node; node = texts.nextNode()) {
        if (!node.parentElement!.checkVisibility({ visibilityProperty: true }) || node.textContent!.trim() === '') continue
        range.selectNodeContents(node)
        for (const line of range.getClientRects()) {
          const [left, top] = [frame.left + line.left * scale, frame.top + line.top * scale]
          const [right, bottom] = [left + line.width * scale, top + line.height * scale]
          if (left < at.right - 1 && right > at.left + 1 && top < at.bottom - 1 && bottom > at.top + 1)
            covered.push(`${tab.textContent} on “${node.textContent!.slice(0, 30)}” at ${view.dataset.view}`)
        }
      }
      return covered
    })
  })

test('the name on a selection covers no words, whichever block of a header and of what follows it is selected', async ({
  page,
  app,
}) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const order = page.getByRole('complementary', { name: 'Running order' })
  const covered: string[] = []
  let blocks = 0
  for (const section of [/^01 /, /^02 /, /^03 /]) {
    await order.getByRole('button', { name: section }).click()
    covered.push(...(await coveredWords(page)))
    const rows = order.locator('[data-row]')
    await expect(rows.first()).toBeVisible()
    for (const row of await rows.all()) {
      await row.click()
      blocks++
      covered.push(...(await coveredWords(page)))
    }
  }
  expect(blocks).toBeGreaterThan(10)
  expect(covered).toEqual([])
})
