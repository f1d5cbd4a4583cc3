import { expect, type Page, test } from '@playwright/test'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Motion } from '#core/motion/motion'
import type { Box, Scene } from '#core/motion/scene'
import { stateAt } from '#core/motion/state'
import { pageFile } from '#core/render/own-links'
import { type Engine, printSite } from '#core/render/site'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'
import { runs } from '#core/values/runs.fixture'
import { readAlong } from './scrolled'

const PLAN = 'plan'
/** How many positions of the scroll are compared. */
const POSITIONS = runs(40, 120)
const half = { value: 50, unit: '%' } as const
const own = {
  of: 'own',
  begins: { edge: 'top', line: { value: 90, unit: '%' } },
  ends: { edge: 'bottom', line: { value: 40, unit: 'px' } },
} as const
const grows = [
  { at: 0, pose: { scale: 1, opacity: 1 } },
  { at: 100, pose: { scale: 2, opacity: 0.3, turn: 30, across: { value: 10, unit: '%' as const } } },
]

/** Motions of each kind, as a block may have them. */
const CASES: Record<string, { motion: Motion[]; style?: StyleValues }> = {
  parallax: { motion: [{ kind: 'parallax', speed: 0.6 }] },
  'parallax that overtakes': { motion: [{ kind: 'parallax', speed: 1.5 }] },
  'parallax from the top of the page': { motion: [{ kind: 'parallax', speed: 0.4, rests: 'opening' }] },
  'scrub over its own box': { motion: [{ kind: 'scrub', range: own, states: grows }] },
  'scrub by its middle': {
    motion: [
      {
        kind: 'scrub',
        range: { of: 'own', begins: { edge: 'middle', line: { value: 80, unit: '%' } }, ends: { edge: 'middle', line: half } },
        states: grows,
        easing: 'ease-in-out',
      },
    ],
  },
  'scrub over a section': {
    motion: [{ kind: 'scrub', range: { ...own, of: { section: PLAN } }, states: grows, easing: [0.2, 0.8, 0.4, 1] }],
  },
  'scrub over px of the page, in three states': {
    motion: [
      {
        kind: 'scrub',
        range: { of: 'page', begins: 120, ends: 1480 },
        states: [{ at: 0, pose: { opacity: 0.1 } }, { at: 40, pose: { opacity: 0.9, down: { value: 80, unit: 'px' } } }, grows[1]!],
      },
    ],
  },
  'scrub that comes after the scroll': { motion: [{ kind: 'scrub', range: own, states: grows, smooth: 0.05 }] },
  'scrub after the scroll over a section, beside parallax': {
    motion: [
      { kind: 'parallax', speed: 0.8 },
      { kind: 'scrub', range: { ...own, of: { section: PLAN } }, states: grows, smooth: 0.05 },
    ],
  },
  'several at once': {
    motion: [
      { kind: 'parallax', speed: 0.8 },
      { kind: 'scrub', range: own, states: grows },
      {
        kind: 'scrub',
        range: { of: 'page', begins: 0, ends: 2000 },
        states: [
          { at: 0, pose: {} },
          { at: 100, pose: { scale: 1.5, down: { value: -60, unit: 'px' } } },
        ],
      },
    ],
    style: { filter: { brightness: 0.9 } },
  },
  'reveal by its own edge': {
    motion: [{ kind: 'reveal', line: half, again: true, from: { opacity: 0, down: { value: 40, unit: 'px' } }, duration: 0.05 }],
  },
  'reveal whose line cannot be passed': {
    motion: [{ kind: 'reveal', line: { value: -1900, unit: 'px' }, again: true, from: { opacity: 0 }, duration: 0.05 }],
  },
  'reveal by a section': {
    motion: [
      {
        kind: 'reveal',
        of: PLAN,
        line: { value: 300, unit: 'px' },
        again: true,
        from: { opacity: 0.2, scale: 0.5 },
        duration: 0.05,
      },
    ],
  },
}

/** A page that is long enough to scroll, with blocks that move one below the other, below a section. */
function siteOf(cases: readonly (typeof CASES)[string][]): Site {
  const makeId = testIds()
  const site = newSite('Test', makeId)
  const moved = cases.map(({ motion, style }, n) => ({
    ...newBlock('text', makeId),
    id: `moved${n}`,
    words: { en: ['It moves.'] },
    style: { base: { ...style, span: 4, start: 3, motion } },
  }))
  const tall = (id: string, height: number, children: object[] = []) => ({
    ...newSection('story', makeId),
    id,
    name: id,
    style: { base: { paddingTop: pixels(height), paddingBottom: pixels(60) } },
    children,
  })
  const sections = [tall('first', 300), tall(PLAN, 500), tall('third', 380, moved), tall('last', 1600)] as never[]
  return { ...site, pages: [{ ...site.pages[0]!, sections }] }
}

/** Loads a page with what it needs in it. */
async function load(page: Page, site: Site, engine?: Engine): Promise<void> {
  const { pages, css, motionScript } = printSite(site, {
    style: 'readable',
    engine,
    addresses: { picture: () => '', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
  })
  await page.goto('about:blank')
  await page.setContent(
    pages[0]!.html
      .replace(/<link rel="stylesheet"[^>]*>/, `<style>${css.replace(/@font-face \{[^}]*\}/g, '')}</style>`)
      .replace(/<script src="motion.js"><\/script>/, () => `<script>${motionScript ?? ''}</script>`),
  )
}

const MOVED = '#third > *'
const boxesOf = (page: Page, selector: string): Promise<Box[]> =>
  page.evaluate(
    (all) =>
      [...document.querySelectorAll(all)].map((one) => {
        const { left, top, width, height } = one.getBoundingClientRect()
        return { left, top: top + scrollY, width, height }
      }),
    selector,
  )

/** Where a block is and how it looks. */
type Look = {
  translate: number[]
  middle: { x: number; y: number }
  scale: number
  turn: number
  opacity: number
}

/** Where the blocks are and how they look at each of some scroll positions. */
const seenAlong = (page: Page, positions: readonly number[]): Promise<Look[][]> =>
  readAlong(page, positions, () =>
    [...document.querySelectorAll('#third > *')].map((block) => {
      const { translate, scale, rotate, opacity } = getComputedStyle(block)
      const { left, top, width, height } = block.getBoundingClientRect()
      return {
        translate: translate === 'none' ? [0, 0] : translate.split(' ').map(parseFloat),
        middle: { x: left + width / 2, y: top + height / 2 + scrollY },
        scale: scale === 'none' ? 1 : parseFloat(scale),
        turn: rotate === 'none' ? 0 : parseFloat(rotate),
        opacity: Number(opacity),
      }
    }),
  )

for (const window of [
  { width: 1280, height: 800 },
  { width: 768, height: 1024 },
]) {
  test(`each motion is where it is worked out to be at ${POSITIONS} positions, in a window of ${window.width} by ${window.height}`, async ({
    browser,
  }) => {
    const page = await browser.newPage({ viewport: window })
    const cases = Object.entries(CASES)
    const site = siteOf(cases.map(([, one]) => one))
    await load(page, site, 'calm')
    const boxes = await boxesOf(page, MOVED)
    expect(boxes).toHaveLength(cases.length)
    const [plan] = await boxesOf(page, '.plan')
    const height = await page.evaluate(() => document.documentElement.scrollHeight)
    const scene: Scene = { window: window.height, page: height, section: (id) => (id === PLAN ? plan : undefined) }
    // Down in steps, and in some of them back.
    const steps = Array.from({ length: POSITIONS }, (_, i) => Math.round((i / (POSITIONS - 1)) * (height - window.height)))
    const way = [...steps, ...steps.filter((_, i) => i % 10 === 5).reverse()]
    const wrong: string[] = []
    for (const engine of [undefined, 'plain'] as const) {
      await load(page, site, engine)
      for (const [n, looks] of (await seenAlong(page, way)).entries()) {
        const scroll = way[n]!
        for (const [i, [name, { motion }]] of cases.entries()) {
          // An engine without timelines has the reveals, by a script, and nothing else.
          if (engine === 'plain' && motion.every((each) => each.kind !== 'reveal')) continue
          const [seen, box] = [looks[i]!, boxes[i]!]
          const now = stateAt(motion, box, scene, { scroll })
          const far = Math.max(
            Math.abs(seen.middle.x - (box.left + box.width / 2 + now.x)),
            Math.abs(seen.middle.y - (box.top + box.height / 2 + now.y)),
          )
          const off = Math.max(
            Math.abs(seen.opacity - now.opacity),
            Math.abs(seen.scale - now.scale),
            Math.abs(seen.turn - now.turn) / 100,
          )
          if (far > 0.5 || off > 0.01)
            wrong.push(`${name}, ${engine ?? 'as it is'}, at ${scroll}: ${far.toFixed(2)} px, ${off.toFixed(3)}`)
        }
      }
    }
    expect(wrong).toEqual([])
    await page.close()
  })
}

test('a loop is where it is worked out to be at fifty times, and its colours are mixed as in the views', async ({ browser }) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const [from, to] = [
    [0x20, 0x40, 0xff],
    [0xff, 0x80, 0x00],
  ] as const
  const motion: Motion[] = [
    {
      kind: 'loop',
      to: { turn: 40, opacity: 0.3, colours: { ink: { hex: '#ff8000' } } },
      duration: 2,
      delay: 0.5,
      easing: 'ease-in-out',
    },
  ]
  const site = siteOf([{ motion }])
  const ink = site.guide.colours.map((one) => (one.role === 'ink' ? { ...one, hex: '#2040FF' } : one))
  await load(page, { ...site, guide: { ...site.guide, colours: ink } })
  const [box] = await boxesOf(page, MOVED)
  const scene: Scene = { window: 800, page: 4000, section: () => undefined }
  const wrong: string[] = []
  for (let n = 0; n < 50; n++) {
    const time = n * 0.13
    const seen = await page.evaluate(
      ([selector, ms]) => {
        const block = document.querySelector(String(selector))!
        for (const one of block.getAnimations()) {
          one.pause()
          one.currentTime = Number(ms)
        }
        const { rotate, opacity, color } = getComputedStyle(block)
        return { turn: rotate === 'none' ? 0 : parseFloat(rotate), opacity: Number(opacity), colour: color }
      },
      [MOVED, time * 1000] as const,
    )
    const now = stateAt(motion, box!, scene, { scroll: time * 100, speed: 100 })
    const share = now.colours.ink?.share ?? 0
    const colour = [...seen.colour.matchAll(/\d+/g)].map(Number)
    const off = Math.max(...from.map((one, i) => Math.abs(one + (to[i]! - one) * share - colour[i]!)))
    if (Math.abs(seen.turn - now.turn) > 0.4 || Math.abs(seen.opacity - now.opacity) > 0.01 || off > 3)
      wrong.push(`${time}: ${JSON.stringify(seen)}, not ${now.turn}, ${now.opacity}, ${share}`)
  }
  expect(wrong).toEqual([])
  await page.close()
})

test('nothing is hidden or moved for those who want no motion, without a script, or on paper', async ({ browser }) => {
  const rest = { translate: [0, 0], scale: 1, turn: 0, opacity: 1 }
  const wrong: string[] = []
  const quiet = await browser.newPage({ reducedMotion: 'reduce' })
  const scriptless = await browser.newContext({ javaScriptEnabled: false })
  const bare = await scriptless.newPage()
  const paper = await browser.newPage()
  await paper.emulateMedia({ media: 'print' })
  const names = Object.keys(CASES)
  const site = siteOf(Object.values(CASES))
  await load(quiet, site)
  await load(bare, site, 'plain')
  await load(paper, site)
  for (const [where, page] of [
    ['reduced', quiet],
    ['paper', paper],
  ] as const)
    for (const looks of await seenAlong(page, [0, 400, 900, 1500]))
      for (const [i, { middle: _, ...seen }] of looks.entries())
        if (JSON.stringify(seen) !== JSON.stringify(rest)) wrong.push(`${names[i]}, ${where}: ${JSON.stringify(seen)}`)
  const still = await bare.locator(MOVED).evaluateAll((blocks) =>
    blocks.map((block) => {
      const { opacity, animationName } = getComputedStyle(block)
      return `${opacity} ${animationName}`
    }),
  )
  expect(still).toEqual(names.map(() => '1 none'))
  await Promise.all([quiet.close(), scriptless.close(), paper.close()])
  expect(wrong).toEqual([])
})
