import type { Page } from '@playwright/test'
import { chooserOf } from '#core/edits/edits.fixture'
import type { Block, Section } from '#core/blocks/index'
import { pixels } from '#core/values/length'
import type { Site } from '#core/site/schema'
import { runs } from '#core/values/runs.fixture'
import { stressOf } from '#core/stress/index'
import type { WidthFinding } from '#core/sweep/find'
import { type Application, expect, openScreen, test } from './application'
import { group, section, siteOf, stressedSweepOf, sweepOf, withSweeper, worded } from './sweep.fixture'

/** Pages that are tried in every run, and as many again out of seeds that are new each time; all of them in the long run. */
const PAGES = runs(40, 200)
const PAGES_EDITED = runs(12, 24)
const PAGES_STRESSED = runs(8, 24)
/** Where the new ones begin: printed with what is wrong with them, and set to see it again. */
const FRESH = Number(process.env.YARROWFINCH_SEED) || 1000 + (Date.now() % 1_000_000)
const WORDS = 'the dome opens at dusk and the tea is hot when all of you are here'.split(' ')

/** Margin left of the first column, px, as the breakpoints of a new site have it. */
const marginAt = (width: number) => Math.max(width < 640 ? 20 : 32, (width - 1120) / 2)

/** A fault that is put into a page, and the widths at which it must be found, worked out from what was put in. */
type Planted = { kind: string; block: string; from: number; to: number; spare?: number }

/** A block and all that it holds under other ids. */
function twinOf<B extends Block>(block: B): B {
  const inside = 'children' in block ? { children: block.children.map(twinOf) } : {}
  return { ...block, ...inside, id: `${block.id}k` }
}

/** A page of sections with short words, and its twin with a fault in each section. */
function pageOf(seed: number): { clean: Section[]; broken: Section[]; planted: Planted[] } {
  const choose = chooserOf(seed)
  const words = (count: number) => Array.from({ length: count }, () => choose.one(WORDS)).join(' ')
  const planted: Planted[] = []
  const sections = Array.from({ length: 1 + choose.number(2) }, (_, n) => {
    const id = `s${n}`
    const heading = worded('heading', `${id}h`, words(2 + choose.number(3)))
    const text = worded('text', `${id}t`, words(12 + choose.number(30)), { maxWidth: { value: 60, unit: 'ch' } })
    const entries = ['a', 'b', 'c'].map((one) => worded('text', `${id}${one}`, words(3 + choose.number(9))))
    const cards = group(`${id}g`, entries, { layout: 'grid', itemWidth: pixels(150 + choose.number(100)) })
    const rest = choose.number(2) === 0 ? [text] : [text, cards]
    const clean = twinOf(section(id, [heading, ...rest]))
    const broken = (() => {
      const kind = choose.one(['wide', 'long', 'over', 'small'] as const)
      if (kind === 'wide') {
        // It reaches past the window as long as margin and width are more than that; a px is left to rounding.
        const px = 320 + choose.number(900)
        const at = Array.from({ length: 2560 - 280 + 1 }, (__, i) => 280 + i).filter((width) => marginAt(width) + px > width + 1)
        // The margin changes at breakpoints, where it may fit for some px and not again after them.
        for (const from of at.filter((width) => !at.includes(width - 1)))
          planted.push({
            kind: 'pastWindow',
            block: `${id}x`,
            from,
            to: at.find((width) => width >= from && !at.includes(width + 1))!,
          })
        return section(id, [heading, ...rest, worded('text', `${id}x`, words(4), { width: pixels(px) })])
      }
      if (kind === 'small') {
        const [least, most] = [6 + choose.number(5), 14 + choose.number(6)]
        const fluid = { from: { at: 300, px: least }, to: { at: 1500, px: most } }
        // The straight line between the two reaches 12 px there.
        const to = Math.ceil(300 + ((12 - least) / (most - least)) * 1200) - 1
        // A px is left to the figures of the size, which are rounded where they are printed.
        planted.push({ kind: 'smallWords', block: `${id}x`, from: 280, to, spare: 1 })
        return section(id, [
          heading,
          ...rest,
          worded('text', `${id}x`, words(4), { size: { fluid }, maxWidth: { value: 60, unit: 'ch' } }),
        ])
      }
      if (kind === 'over') {
        planted.push({ kind: 'overEachOther', block: `${id}x`, from: 280, to: 2560 })
        return section(id, [
          heading,
          worded('text', `${id}y`, words(4)),
          worded('text', `${id}x`, words(4), { spaceBefore: pixels(-24) }),
        ])
      }
      const word = choose.one(['Spectrohelioscope', 'Observatoriesatdusk', 'Mmmmmmmmmmmmmm'])
      planted.push({ kind: 'brokenWord', block: `${id}x`, from: 280, to: -1 })
      return section(id, [heading, ...rest, worded('heading', `${id}x`, word, { size: pixels(44 + choose.number(40)) })])
    })()
    return { clean, broken }
  })
  return { clean: sections.map((one) => one.clean), broken: sections.map((one) => one.broken), planted }
}

/** What of the clean twins was found to be a fault, and what was planted and not found where it is. */
function notAsPlanted(findings: readonly WidthFinding[], clean: readonly Section[], planted: readonly Planted[]): string[] {
  const wrong = findings
    .filter(({ fault, section: at }) => fault && clean.some(({ id }) => id === at))
    .map((one) => `, clean: ${one.sentence} ${JSON.stringify(one.ranges)}`)
  for (const { kind, block, from, to, spare = 0 } of planted) {
    const found = findings.find((one) => one.kind === kind && one.block === block)
    const wanted = planted.filter((one) => one.block === block)
    const range = found?.ranges.find((one) => one.from === from)
    const ends = to === -1 || (range && Math.abs(range.to - to) <= spare && found!.ranges.length === wanted.length)
    if (!range || !ends) wrong.push(`: ${kind} of ${block} at ${from} to ${to}, not ${JSON.stringify(found?.ranges)}`)
  }
  return wrong
}

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
    const width = stressOf('reflow').width!
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
        { paddingTop: pixels(choose.number(2) * 12), paddingBottom: pixels(choose.number(2) * 12) },
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
