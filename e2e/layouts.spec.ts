import { expect, type Page, test } from '@playwright/test'
import type { Block } from '#core/blocks/index'
import { keptDocuments } from '#core/kept/documents.fixture'
import { pageFile } from '#core/render/own-links'
import type { Layout } from '#core/render/rules'
import { printSite } from '#core/render/site'
import { group, section, siteOf, worded } from '#core/site/made.fixture'
import type { Site } from '#core/site/schema'
import { pixels } from '#core/values/length'

/** Widths of the window on both sides of the breakpoints, px. */
const WIDTHS = [1300, 900, 500]

/** Puts a site's stylesheet into what a page shows, and gives the page's HTML with it. */
function printed(site: Site, style: Layout): string {
  const { pages, css } = printSite(site, {
    style,
    addresses: { picture: () => 'data:,', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
  })
  const longest = pages.reduce((a, b) => (b.page.sections.length > a.page.sections.length ? b : a))
  return longest.html.replace(/<link rel="stylesheet"[^>]*>/, `<style>${css}</style>`)
}

/** Every property of every element of a site’s longest page, and of what stands before and after it, as the browser works it out at a width. */
async function stylesOf(page: Page, site: Site, style: Layout): Promise<string[][]> {
  await page.setContent(printed(site, style))
  const all: string[][] = []
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 800 })
    all.push(
      await page.evaluate(() => {
        // Where one and the same list of values stands many times, its number says which it is.
        const known = new Map<string, number>()
        return [...document.querySelectorAll('html, body, body *')].map((element) => {
          const said = [undefined, '::before', '::after'].map((pseudo) => {
            const style = getComputedStyle(element, pseudo)
            if (pseudo && style.content === 'none') return 'none'
            // Values of the guide that are used once are written out where they are used.
            const names = Array.from(style).filter((name) => !name.startsWith('--'))
            // A figure inside a drawing means the same without its first nought.
            return names.map((name) => `${name}:${style.getPropertyValue(name).replace(/([^\d.])0\./g, '$1.')}`).join(';')
          })
          const key = said.join('|')
          const first = known.get(key)
          if (first === undefined) known.set(key, known.size)
          return `${element.tagName} ${element.className.toString()} ${first === undefined ? key : `as ${first}`}`
        })
      }),
    )
  }
  return all
}

test('minified, every element has all the values that it has in the readable code, at every range of widths', async ({ page }) => {
  // What moves has no two moments alike.
  await page.emulateMedia({ reducedMotion: 'reduce' })
  const documents = [...keptDocuments()]
  // One of each sort in every run: the demo, what presses built, and what edits grew, another each day.
  const day = Math.floor(Date.now() / 86_400_000)
  const grown = documents.filter(([name]) => name.startsWith('grown-'))
  const built = documents.slice(2, documents.length - grown.length)
  const few = [documents[0]!, built[day % built.length]!, grown[day % grown.length]!]
  const chosen = process.env.YARROWFINCH_PROOF ? documents : few
  for (const [name, site] of chosen) {
    const [readable, minified] = [await stylesOf(page, site, 'readable'), await stylesOf(page, site, 'minified')]
    expect(readable[0]!.length, name).toBeGreaterThan(7)
    for (const [n, width] of WIDTHS.entries()) {
      const other = readable[n]!.findIndex((one, i) => one !== minified[n]![i])
      const parts = (list: string[]) => list[other]?.split(/[;|]/) ?? []
      const differs = parts(readable[n]!).filter((one, i) => one !== parts(minified[n]!)[i])
      expect(differs, `${name} at ${width} px: ${readable[n]![other]?.slice(0, 80)}`).toEqual([])
    }
  }
})

test('rows of a grid stand as far apart as its columns, at every range of widths, until it is said otherwise', async ({ page }) => {
  const four = (id: string, style: Block['style']) =>
    Array.from({ length: 4 }, (_, n) => ({ ...worded('text', `${id}${n}`, 'A night'), style }))
  const half = { base: { span: 6 }, below: { middle: { span: 4 }, narrow: { span: 2 } } }
  const one = { base: { span: 1 } }
  const site = siteOf('Rows', [
    section('Plain', four('p', half)),
    section('Own', four('o', half), { gap: pixels(13) }),
    section('Said', four('s', half), { gap: pixels(13), rowGap: pixels(5) }),
    section('Groups', [
      group('plain', four('gp', half), { layout: 'grid' }),
      group('own', four('go', half), { layout: 'grid', gap: pixels(13) }),
      group('tracks', four('gt', one), { layout: 'grid', tracks: 2, gap: pixels(21) }),
      group('touching', four('gn', one), { layout: 'grid', tracks: 2 }),
    ]),
    section('Inside', [group('outer', [group('inner', four('gi', half), { layout: 'grid' })], { layout: 'grid' })]),
  ])
  await page.setContent(printed(site, 'readable'))
  for (const [n, width] of WIDTHS.entries()) {
    await page.setViewportSize({ width, height: 800 })
    const gaps = await page.evaluate(() =>
      // What holds four texts, in the order of the page.
      [...document.querySelectorAll('body *')]
        .filter(({ children }) => children.length === 4 && [...children].every((one) => one.textContent === 'A night'))
        .map(({ children }) => {
          const boxes = [...children].map((one) => one.getBoundingClientRect())
          const below = boxes.find((one) => one.top > boxes[0]!.top)!
          return [boxes[1]!.left - boxes[0]!.right, below.top - boxes[0]!.bottom].map((px) => Math.round(px * 100) / 100)
        }),
    )
    const { gutter } = site.breakpoints[n]!
    const [even, own, said, wide, none] = [
      [gutter, gutter],
      [13, 13],
      [13, 5],
      [21, 21],
      [0, 0],
    ]
    expect(gaps, `at ${width} px`).toEqual([even, own, said, even, own, wide, none, even])
  }
})
