import type { Page } from '@playwright/test'
import { stressOf } from '#core/stress/index'
import { expect, test } from './application'
import { PAPERS } from '#core/stress/print'
import { checkSite } from '#core/formats/site-json'
import { keep, withSweeper } from './sweep.fixture'
import { readFileSync } from 'node:fs'

/** What is compared of an element: how it is painted, or where it stands. */
type Seen = { tag: string; of: string[] }

/** How all elements of a document's body are painted, each with what is drawn before and after it. */
function painted(root: Document): Seen[] {
  const view = root.defaultView!
  const isGradient = (value: string) => value.includes('gradient(')
  const plain = (colour: string) =>
    colour.replace(
      /^color\(srgb ([01]) ([01]) ([01])(?: \/ ([\d.]+))?\)$/,
      (_, r: string, g: string, b: string, alpha?: string) => {
        const parts = [r, g, b].map((one) => Number(one) * 255).join(', ')
        return alpha === undefined ? `rgb(${parts})` : `rgba(${parts}, ${alpha})`
      },
    )
  return [...root.body.querySelectorAll('*')]
    .filter((one) => one.checkVisibility() && !one.matches('main, script, .skip') && !one.closest('iframe, [data-empty]'))
    .map((one) => ({
      tag: one.tagName,
      of: [undefined, '::before', '::after'].flatMap((pseudo) => {
        const style = view.getComputedStyle(one, pseudo)
        if (pseudo && (style.content === 'none' || style.content === 'normal')) return []
        const { color, backgroundColor, backgroundImage, borderTopColor, boxShadow, textShadow } = style
        return [
          pseudo ?? '',
          color,
          plain(backgroundColor),
          isGradient(backgroundImage) ? 'gradient' : '',
          borderTopColor,
          boxShadow,
          textShadow,
        ]
      }),
    }))
}

/** Where all words of a document's body stand, px, so that papers can be compared. */
function standing(root: Document): Seen[] {
  return [...root.body.querySelectorAll('h1, h2, h3, p, li, a, button, img')]
    .filter((one) => one.checkVisibility() && !one.closest('[data-empty], .skip'))
    .map((one) => {
      const { left, right, width, height } = one.getBoundingClientRect()
      return { tag: one.tagName, of: width === 0 && height === 0 ? [] : [left, right].map((px) => String(Math.round(px))) }
    })
}

/** The first things in which two documents differ. */
const differing = (a: readonly Seen[], b: readonly Seen[]): string[] =>
  a
    .flatMap((one, n) => {
      const other = b[n]
      const same = other?.tag === one.tag && JSON.stringify(other.of) === JSON.stringify(one.of)
      return same ? [] : [`${n} ${one.tag} ${JSON.stringify(one.of)} and ${other?.tag} ${JSON.stringify(other?.of)}`]
    })
    .slice(0, 6)

type Opener = {
  openHiddenFrame: (language: string) => Promise<{
    show: (...given: unknown[]) => Promise<void>
    resize: (w: number, h: number) => void
    frame: { document: Document }
  }>
}

/** Shows the first page of a site in a frame of the views, put to something, and reads it. */
const readView = (page: Page, site: unknown, css: string, forced: boolean, width: number, read: string): Promise<Seen[]> =>
  page.evaluate(
    async ([one, more, isForced, at, reader]) => {
      const { openHiddenFrame } = globalThis as unknown as Opener
      const { asForced } = globalThis as unknown as { asForced: (text: string) => string }
      const given = one as { language: string; pages: unknown[] }
      const hidden = await openHiddenFrame(given.language)
      hidden.resize(at as number, 900)
      await hidden.show(given, given.pages[0], { css: more, ...(isForced ? { restyle: asForced } : {}) })
      return (0, eval)(`(${reader as string})`)(hidden.frame.document) as Seen[]
    },
    [site, css, forced, width, read] as const,
  )

const SITES = ['observatory', 'chandler'].map((name) => checkSite(JSON.parse(readFileSync(`demo/${name}.site.json`, 'utf8'))))

for (const site of SITES)
  test(`${site.name}: forced colours are those that Chromium forces; paper has what its print has`, async ({ page, app }) => {
    test.setTimeout(120_000)
    await page.goto(`${app.url}/fonts.css`)
    await withSweeper(page)
    const visitor = await page.context().newPage()
    await visitor.setViewportSize({ width: 1280, height: 900 })
    await visitor.goto(`${keep(app, site).replace('/sites/', '/visit/')}/index.html`)
    await visitor.emulateMedia({ forcedColors: 'active', colorScheme: 'dark', reducedMotion: 'reduce' })
    await visitor.evaluate(() => document.fonts.ready)
    const forced = (await visitor.evaluate(`(${painted})(document)`)) as Seen[]
    const inView = await readView(page, site, stressOf('forced').css!, true, 1280, String(painted))
    expect(forced.length).toBeGreaterThan(12)
    expect(differing(forced, inView)).toEqual([])

    await visitor.emulateMedia({ forcedColors: 'none', media: 'print', reducedMotion: 'reduce' })
    for (const width of PAPERS) {
      await visitor.setViewportSize({ width, height: 900 })
      const printed = (await visitor.evaluate(`(${standing})(document)`)) as Seen[]
      const there = await readView(page, site, stressOf('print').css!, false, width, String(standing))
      expect([width, differing(printed, there)]).toEqual([width, []])
    }
    await visitor.close()
  })
