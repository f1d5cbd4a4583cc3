import type { Page } from '@playwright/test'
import { chooserOf } from '#core/edits/edits.fixture'
import type { Section } from '#core/blocks/index'
import { pixels } from '#core/values/length'
import type { Site } from '#core/site/schema'
import { runs } from '#core/values/runs.fixture'
import { stressOf } from '#core/stress/index'
import type { WidthFinding } from '#core/sweep/find'
import { notAsPlanted, pageOf, twinOf } from '#core/sweep/planted.fixture'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { type Application, expect, openScreen, test } from './application'
import { stressedSweepOf, sweepOf, withSweeper } from './sweep.fixture'

/** Pages that are tried in every run, and as many again out of seeds that are new each time; all of them in the long run. */
const PAGES = runs(40, 200)
const PAGES_EDITED = runs(12, 24)
const PAGES_STRESSED = runs(8, 24)
/** Where the new ones begin: printed with what is wrong with them, and set to see it again. */
const FRESH = Number(process.env.YARROWFINCH_SEED) || 1000 + (Date.now() % 1_000_000)

/** Judges pages, each out of its seed. @returns what is wrong with them, each with its seed */
async function wrongOn(
  page: Page,
  app: Application,
  pages: number,
  judge: (seed: number) => Promise<string[]>,
  first = 1,
): Promise<string[]> {
  test.slow()
  await page.goto(`${app.url}/fonts.css`)
  await withSweeper(page)
  const wrong: string[] = []
  for (let seed = first; seed < first + pages; seed++) wrong.push(...(await judge(seed)).map((one) => `${seed}${one}`))
  return wrong
}

for (const [which, first] of [
  ['the same', 1],
  ['new', FRESH],
] as const)
  test(`faults that are put into ${which} random pages are found at their very px, and none on them without`, async ({
    page,
    app,
  }) => {
    const judge = async (seed: number) => {
      const { clean, broken, planted } = pageOf(seed)
      // Both as one page: each section is judged by itself.
      const { findings } = await sweepOf(page, siteOf('Both', [...clean, ...broken]))
      return notAsPlanted(findings, clean, planted)
    }
    expect(await wrongOn(page, app, PAGES, judge, first)).toEqual([])
  })

test('under stress that changes no width, planted faults are at the same px; at one width, those that hold there are found', async ({
  page,
  app,
}) => {
  const wrong = await wrongOn(page, app, PAGES_STRESSED, async (seed) => {
    const { clean, broken, planted } = pageOf(seed)
    const width = stressOf('reflow').widths![0]!
    const here = planted.filter(({ from, to }) => from <= width && (to === -1 || width <= to))
    const cases = [
      ['rtl', planted],
      ['forced', planted],
      ['reflow', here.map((one) => ({ ...one, from: width, to: width }))],
    ] as const
    const all: string[] = []
    for (const [stress, wanted] of cases) {
      const { findings } = await stressedSweepOf(page, siteOf('Both', [...clean, ...broken]), stress)
      all.push(...notAsPlanted(findings, clean, wanted).map((one) => `, ${stress}${one}`))
    }
    return all
  })
  expect(wrong).toEqual([])
})

/**
 * A site whose letters are of the same size at every width. Chromium keeps faces by sizes of a hundredth of a px, and gives
 * a size that is near to one it knows that one's letters: what breaks just there depends on all that it has shown before,
 * and two runs of the same page may differ. What is compared here is what the sweeper does.
 */
function still(site: Site): Site {
  const { scale } = site.guide
  const narrow = { base: scale.base.narrow, ratio: scale.ratio.narrow }
  const even = { ...scale, base: { narrow: narrow.base, wide: narrow.base }, ratio: { narrow: narrow.ratio, wide: narrow.ratio } }
  return { ...site, guide: { ...site.guide, scale: even } }
}

test('after edits of sections of random pages, what is found is what a run through all of the page finds', async ({
  page,
  app,
}) => {
  let planted = 0
  const wrong = await wrongOn(page, app, PAGES_EDITED, async (seed) => {
    const choose = chooserOf(seed)
    // Small links at the edges of sections are close to those of the next one, or to none.
    const edge = (id: string): Section =>
      section(
        id,
        Array.from({ length: 1 + choose.number(2) }, (_, n) => worded('link', `${id}${n}`, 'Up', { size: pixels(12) })),
        { rowGap: pixels(0), paddingTop: pixels(choose.number(2) * 12), paddingBottom: pixels(choose.number(2) * 12) },
      )
    const any = (n: number) => (choose.number(2) === 0 ? edge(`e${n}`) : twinOf(pageOf(seed * 100 + n).broken[0]!))
    const renamed = (one: Section, n: number) => JSON.parse(JSON.stringify(one).replaceAll(/"id":"/g, `"id":"p${n}`)) as Section
    let made = 0
    const fresh = () => renamed(any(made), made++)
    const first = Array.from({ length: 4 }, fresh)
    const steps = Array.from({ length: 3 }, () => 0).reduce<Section[][]>(
      (all) => {
        const [now, at, how] = [[...all.at(-1)!], choose.number(4), choose.number(3)]
        if (how === 0) now.splice(at, 1)
        else if (how === 1) now.splice(at, 0, fresh())
        else now.splice(at, 1, fresh())
        return [...all, now]
      },
      [first],
    )
    const site = still(siteOf('Edited', first))
    const [after, anew] = await page.evaluate(
      async ([given, lists]) => {
        type Run = (site: unknown) => Promise<{ findings: unknown[] }>
        const { sweepOf: run, freshSweepOf } = globalThis as unknown as { sweepOf: Run; freshSweepOf: Run }
        const whole = given as { pages: object[] }
        // As in a session: sections that were not edited stay the same objects.
        const kept = new Map<string, unknown>()
        const same = (one: unknown) => {
          const key = JSON.stringify(one)
          if (!kept.has(key)) kept.set(key, one)
          return kept.get(key)
        }
        let last: unknown
        let found: unknown[] = []
        for (const list of lists as unknown[][]) {
          last = { ...whole, pages: [{ ...whole.pages[0], sections: list.map(same) }] }
          found = (await run(last)).findings
        }
        return [found, (await freshSweepOf(last)).findings]
      },
      [site, steps] as unknown[],
    )
    // Of widths that are as bad as each other to a px, either may be the worst.
    const told = (list: unknown[] | undefined) =>
      (list as WidthFinding[]).map(({ kind, block, beside, ranges }) => JSON.stringify({ kind, block, beside, ranges })).sort()
    const [kept, found] = [told(after), told(anew)]
    planted += found.filter((one) => one.includes('smallTarget')).length
    return [
      ...kept.filter((one) => !found.includes(one)).map((one) => `: kept ${one}`),
      ...found.filter((one) => !kept.includes(one)).map((one) => `: missed ${one}`),
    ]
  })
  expect(planted).toBeGreaterThan(PAGES_EDITED / 4)
  expect(wrong).toEqual([])
})

/** Of how many px one is looked at: in the long run every one, else each run begins at another of them. */
const EVERY = runs(5, 1)

test('where the demo page is called clean, nothing reaches past the window and no word is cut at any px', async ({
  page,
  app,
  context,
}) => {
  test.slow()
  await openScreen(page, app, 'Hollin Ridge Observatory', 'check')
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '0')
  // The page as visitors get it, at every px, measured by what is nowhere in the checks; in a window of a file that has
  // no rules of its own for what may be shown in it.
  const visitor = await context.newPage()
  await visitor.goto(`${app.url}/fonts.css`)
  const wrong = await visitor.evaluate(
    async ([src, every, from]) => {
      const iframe = document.createElement('iframe')
      const html = await (await fetch(src)).text()
      iframe.srcdoc = html.replace('<head>', `<head><base href="${location.origin}${src}">`)
      Object.assign(iframe.style, { position: 'fixed', inset: '0 auto auto 0', height: '800px', width: '2560px', border: '0' })
      const loaded = new Promise((done) => iframe.addEventListener('load', done))
      document.body.replaceChildren(iframe)
      await loaded
      const root = iframe.contentDocument!
      await root.fonts.ready
      if (!root.querySelector('link[rel=stylesheet], style') || root.styleSheets[0]!.cssRules.length === 0) return ['no style']
      const leaves = [...root.querySelectorAll<HTMLElement>('h1, h2, h3, p, li, a, button, blockquote, label, summary')]
      const seen: string[] = []
      for (let width = from; width <= 2560; width += every) {
        iframe.style.width = `${width}px`
        const wide = root.documentElement.scrollWidth
        if (wide > width) seen.push(`${width}: the page is ${wide} px wide`)
        for (const leaf of leaves)
          if (leaf.clientWidth > 0 && leaf.scrollWidth > leaf.clientWidth + 1)
            seen.push(`${width}: ${leaf.textContent.slice(0, 30)}`)
      }
      return seen.slice(0, 20)
    },
    [`/visit/${/sites\/([\w-]+)/.exec(page.url())![1]}/index.html`, EVERY, 280 + (FRESH % EVERY)] as const,
  )
  expect(wrong).toEqual([])
  await visitor.close()
})
