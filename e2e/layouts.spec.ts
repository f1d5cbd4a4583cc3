import { expect, type Page, test } from '@playwright/test'
import { keptDocuments } from '#core/kept/documents.fixture'
import { pageFile } from '#core/render/own-links'
import type { Layout } from '#core/render/rules'
import { printSite } from '#core/render/site'
import type { Site } from '#core/site/schema'

/** Widths of the window on both sides of the breakpoints, px. */
const WIDTHS = [1300, 900, 500]

/** Every property of every element of a site’s longest page, and of what stands before and after it, as the browser works it out at a width. */
async function stylesOf(page: Page, site: Site, style: Layout): Promise<string[][]> {
  const { pages, css } = printSite(site, {
    style,
    addresses: { picture: () => 'data:,', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
  })
  const longest = pages.reduce((a, b) => (b.page.sections.length > a.page.sections.length ? b : a))
  await page.setContent(longest.html.replace(/<link rel="stylesheet"[^>]*>/, `<style>${css}</style>`))
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
