import type { Block } from '#core/blocks/index'
import { chooserOf } from '#core/edits/edits.fixture'
import { checkSite } from '#core/formats/site-json'
import type { Motion } from '#core/motion/motion'
import { group, section, siteOf, worded } from '#core/site/made.fixture'
import type { Site } from '#core/site/schema'
import { SWEPT } from '#core/sweep/widths'
import { pixels } from '#core/values/length'
import { runs } from '#core/values/runs.fixture'
import { expect, test } from './application'
import { keep, sweepOf, withSweeper } from './sweep.fixture'

const PAGES = runs(2, 60)
const FRESH = Number(process.env.YARROWFINCH_SEED) || 1000 + (Date.now() % 1_000_000)
/** Widths of each page that are measured besides those at which something begins or ends. */
const OTHERS = 4

type Chooser = ReturnType<typeof chooserOf>

function poseOf(choose: Chooser): object {
  const pose: Record<string, unknown> = {}
  if (choose.number(2) === 0) pose.across = { value: choose.number(160) - 60, unit: choose.one(['px', '%']) }
  if (choose.number(3) === 0) pose.scale = 0.8 + choose.number(8) / 10
  if (choose.number(4) === 0) pose.turn = choose.number(60) - 30
  if (choose.number(3) === 0) pose.down = { value: choose.number(60), unit: 'px' }
  return pose
}

const EASINGS = ['linear', 'ease', [0.3, 0, 0.5, 1.5]] as const

function motionOf(choose: Chooser): Motion {
  const line = (value: number) => ({ value, unit: '%' as const })
  const origin = choose.number(3) === 0 ? { origin: choose.one(['left', 'right', 'top'] as const) } : {}
  switch (choose.one(['scrub', 'scrub', 'opening', 'loop', 'reveal'] as const)) {
    case 'scrub':
      return {
        kind: 'scrub',
        range:
          choose.number(2) === 0
            ? { of: 'page', begins: choose.number(200), ends: 400 + choose.number(2000) }
            : { of: 'own', begins: { edge: 'top', line: line(100) }, ends: { edge: 'bottom', line: line(0) } },
        states: [
          { at: 0, pose: poseOf(choose) },
          { at: 100, pose: poseOf(choose) },
        ],
        ...origin,
      } as Motion
    case 'opening':
      return { kind: 'opening', from: poseOf(choose), duration: 1, easing: choose.one(EASINGS), ...origin } as Motion
    case 'loop':
      return { kind: 'loop', to: poseOf(choose), duration: 2, easing: choose.one(EASINGS), ...origin } as Motion
    default:
      return { kind: 'reveal', line: line(80), from: poseOf(choose), duration: 0.4, easing: 'linear', ...origin } as Motion
  }
}

/** A page of a few sections on which blocks, and groups with blocks that move as well, are carried, grown and turned. */
function movingPage(seed: number): Site {
  const choose = chooserOf(seed)
  let count = 0
  const text = (): Block =>
    worded('text', `t${count++}`, 'The dome opens at dusk, and tea is hot.', {
      fill: { hex: '#ffe9c0' },
      width: { value: 30 + choose.number(70), unit: '%' },
      ...(choose.number(4) < 3 ? { motion: [motionOf(choose)] } : {}),
    })
  const sections = Array.from({ length: 3 }, (_, n) => {
    const inner = group(`g${n}`, [text(), text()], choose.number(3) === 0 ? { motion: [motionOf(choose)] } : {})
    const clips = choose.number(4) === 0 ? { clips: true } : {}
    return section(`s${n}`, [text(), inner], { paddingTop: pixels(120), paddingBottom: pixels(500), ...clips })
  })
  return checkSite(JSON.parse(JSON.stringify(siteOf(`Moving ${seed}`, sections))))
}

/**
 * How much wider than its window a published page gets at some widths, px, wherever it is scrolled to and however long it has
 * been open. It knows nothing of motions: it scrolls, and puts whatever the browser says that it plays to some times.
 */
async function widest([src, widths]: readonly [string, readonly number[]]): Promise<number[]> {
  const frame = () => new Promise((done) => requestAnimationFrame(done))
  const out: number[] = []
  for (const width of widths) {
    const iframe = document.createElement('iframe')
    const height = width >= 1024 ? 800 : width >= 640 ? 1024 : 812
    Object.assign(iframe.style, {
      position: 'fixed',
      inset: '0 auto auto 0',
      width: `${width}px`,
      height: `${height}px`,
      border: '0',
    })
    const html = await (await fetch(src)).text()
    iframe.srcdoc = html.replace('<head>', `<head><base href="${location.origin}${src}"><style>html{scrollbar-width:none}</style>`)
    const loaded = new Promise((done) => iframe.addEventListener('load', done))
    document.body.replaceChildren(iframe)
    await loaded
    const root = iframe.contentDocument!
    const view = iframe.contentWindow!
    await root.fonts.ready
    let most = -Infinity
    const look = () => (most = Math.max(most, root.documentElement.scrollWidth - width))
    await frame()
    look()
    // What plays by the clock, at times from its beginning to its end.
    for (const one of root.getAnimations().filter(({ timeline }) => timeline === root.timeline)) {
      const { duration, delay = 0 } = one.effect!.getTiming()
      const before = one.currentTime
      for (let share = 0; share <= 32; share++) {
        one.pause()
        one.currentTime = delay + (Number(duration) * share * 0.9999) / 32
        look()
      }
      one.currentTime = before
      one.play()
    }
    const end = root.documentElement.scrollHeight - height
    for (let step = 0; step <= 40; step++) {
      view.scrollTo({ top: (end * step) / 40, behavior: 'instant' })
      await frame()
      await frame()
      look()
    }
    out.push(most)
  }
  return out
}

test('what motions carry past the window is found at the widths at which the published page gets wider, and nowhere else', async ({
  page,
  app,
}) => {
  test.setTimeout(PAGES * 60_000)
  await page.goto(`${app.url}/fonts.css`)
  await withSweeper(page)
  const visitor = await page.context().newPage()
  await visitor.goto(`${app.url}/fonts.css`)
  const wrong: string[] = []
  let found = 0
  for (let n = 0; n < PAGES; n++) {
    const seed = n % 2 === 0 ? n + 1 : FRESH + n
    const site = movingPage(seed)
    const { findings } = await sweepOf(page, site)
    const past = findings.filter((one) => one.kind === 'carriedPast' || one.kind === 'pastWindow')
    found += past.filter((one) => one.kind === 'carriedPast').length
    const choose = chooserOf(seed + 7)
    const ends = past.flatMap((one) => one.ranges.flatMap(({ from, to }) => [from - 1, from, to, to + 1]))
    const widths = [...new Set([...ends, ...Array.from({ length: OTHERS }, () => SWEPT.from + choose.number(1600))])]
      .filter((one) => one >= SWEPT.from && one <= SWEPT.to)
      .slice(0, 24)
    const address = new URL(`${keep(app, site).replace('/sites/', '/visit/')}/index.html`).pathname
    const measured = await visitor.evaluate(widest, [address, widths] as const)
    for (const [i, width] of widths.entries()) {
      const said = past.some((one) => one.ranges.some(({ from, to }) => width >= from && width <= to))
      // Between two places that are looked at it may be a px wider, for a moment.
      const near = past.some((one) => one.ranges.some(({ from, to }) => [from, to].some((end) => Math.abs(end - width) <= 2)))
      if (said !== measured[i]! > 0 && !near)
        wrong.push(`seed ${seed} at ${width} px: ${measured[i]} px wider, ${said ? 'found' : 'not found'}`)
    }
  }
  await visitor.close()
  console.log(`${PAGES} pages, ${found} blocks carried past the window, ${wrong.length} widths told otherwise.`)
  expect(found).toBeGreaterThan(0)
  expect(wrong).toEqual([])
})
