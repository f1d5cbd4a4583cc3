import type { Browser, Page } from '@playwright/test'
import type { Block } from '#core/blocks/index'
import { newBlock } from '#core/blocks/defaults'
import type { Motion } from '#core/motion/motion'
import { group, section, siteOf, worded } from '#core/site/made.fixture'
import { type Site, siteSchema } from '#core/site/schema'
import type { StyleValues } from '#core/style/registry'
import { testIds } from '#core/values/ids.fixture'
import { pixels } from '#core/values/length'
import { runs } from '#core/values/runs.fixture'
import { composed, expect, openSite, saved, test } from './application'
import { seriousOn } from './axe'
import { designer } from './designer'
import { readAlong } from './scrolled'
import { keep } from './sweep.fixture'

const WINDOWS = [
  { width: 1280, height: 800 },
  { width: 768, height: 1024 },
]
/** At how many positions of the scroll it is looked at, down and up again. */
const STEPS = runs(12, 20)
const PASSAGES = ['The lamps of the village go out', 'The stars come out', 'The dome opens']
const GUISES = ['Dusk', 'Night', 'Open']
/** px from the top of the window to where the frame stays. */
const FRAME = 200

/** Where the sections of a visited page stand at rest, px of the page. */
const restsAt = (page: Page) =>
  page.evaluate(() => {
    const top = (selector: string, nth = 0) => document.querySelectorAll(selector)[nth]!.getBoundingClientRect().top + scrollY
    const frame = document.querySelector('.one-shown')!
    const story = frame.parentElement!
    const { paddingBottom } = getComputedStyle(story)
    return {
      passages: [0, 1, 2].map((nth) => top(':has(> .one-shown) > :first-child > *', nth)),
      frame: top('.one-shown'),
      way: story.getBoundingClientRect().bottom - parseFloat(paddingBottom) - frame.getBoundingClientRect().bottom,
      furthest: document.documentElement.scrollHeight - innerHeight,
    }
  })

/** How the page of a visitor looks at some scroll positions. */
const seenAlong = (page: Page, positions: readonly number[]) =>
  readAlong(page, positions, () => {
    const style = (one: Element) => getComputedStyle(one)
    const { translate } = style(document.querySelector('h1 + *')!)
    const { scale } = style(document.querySelector('h1')!)
    return {
      heading: scale === 'none' ? 1 : Number(scale),
      picture: translate === 'none' ? 0 : parseFloat(translate.split(' ')[1] ?? '0'),
      passages: [...document.querySelectorAll(':has(> .one-shown) > :first-child > *')].map((one) => Number(style(one).opacity)),
      guises: [...document.querySelectorAll('.one-shown > *')].map((one) => style(one).visibility === 'visible'),
      frame: document.querySelector('.one-shown')!.getBoundingClientRect().top,
    }
  })

/** What moves on the page that is built below by presses, as a document: its colours and its picture make no difference to where things are. */
function walk(): Site {
  const motion = (...all: Motion[]): StyleValues => ({ motion: all })
  const holds = (value: number): StyleValues => ({ minHeight: { value, unit: 'vh' } })
  const growing: Motion = {
    kind: 'scrub',
    range: { of: 'page', begins: 0, ends: 600 },
    states: [
      { at: 0, pose: {} },
      { at: 100, pose: { scale: 2 } },
    ],
    origin: 'left',
  }
  const edges = { top: pixels(0), bottom: pixels(0), left: pixels(0), right: pixels(0) }
  const heading = { ...worded('heading', 'heading', 'Night comes to the ridge', motion(growing)), level: 1 } as Block
  const picture = {
    ...newBlock('picture', testIds()),
    id: 'picture',
    style: { base: { ...motion({ kind: 'parallax', speed: 1.5, rests: 'opening' }), position: 'held', ...edges, blend: 'screen' } },
  } as Block
  const comes: Motion = { kind: 'reveal', line: { value: 50, unit: '%' }, again: true, from: { opacity: 0 }, duration: 0.2 }
  const passages = PASSAGES.map((words, n) =>
    group(`passage${n}`, [worded('text', `words${n}`, words)], { ...holds(80), ...motion(comes) }),
  )
  const guises = GUISES.map((words, n) => worded('text', `guise${n}`, words))
  const frame = {
    ...group('frame', guises, { span: 5, start: 8, position: 'sticky', top: pixels(FRAME), selfAlign: 'start' }),
    oneShown: true,
    steps: { line: { value: 50, unit: '%' }, at: guises.map(({ id }, n) => ({ block: id, of: `passage${n}` })) },
  } as Block
  const story = section('story', [group('passages', passages, { layout: 'column', span: 6 }), frame])
  const sections = [section('opening', [heading, picture], holds(100)), story, section('closing', [], holds(100))]
  return siteSchema.parse(siteOf('Walk', sections))
}

test('a heading, a picture, passages and a frame follow the scroll as they are set', async ({ app, browser }) => {
  await follows(browser, `${keep(app, walk()).replace('/sites/', '/visit/')}/index.html`)
})

test(
  'a page whose parts follow the scroll is built from nothing by presses, and leaves as it was set',
  { tag: '@proof' },
  async ({ page, app, browser }) => {
    test.slow()
    await openSite(page, app, 'Hollin Ridge Observatory')
    await page.getByRole('button', { name: 'Add a page' }).click()
    await page.waitForURL(/pages\/(?!autumn)/)
    await composed(page)
    const { section: add, block, words, figure, choose, fill, out, tray } = designer(page)
    const tab = (name: string) => tray.getByRole('tab', { name, exact: true }).click()

    // An opening as high as the window: a heading that grows, and a picture that blends over it and overtakes the page.
    await add('Opening')
    await figure('Height, least', '100 vh')
    await fill('Fill', 'night')
    await fill('Ink', 'ground')
    await words('Heading', 'Night comes to the ridge')
    await page.keyboard.press('j')
    await choose('Add a motion', 'Scrub')
    await figure('Ends', '600')
    await figure('Scale, to', '2')
    await choose('Grows and turns about', 'its left')
    await out()
    await block('Picture')
    await choose('Add a motion', 'Parallax')
    await figure('Speed of parallax', '150')
    await tab('Picture')
    await choose('Picture of this site', 'ridge-at-dusk')
    await tab('Place')
    await choose('Stands', 'Held to edges')
    for (const edge of ['From top', 'From bottom', 'From left', 'From right']) await figure(edge, '0')
    await tab('Surface')
    await choose('Blends', 'Screen')
    await page.keyboard.press('j')

    // Three passages that come as they reach the middle of the window, and go on the way back.
    await add('Story')
    await block('Group')
    await choose('Layout', 'Column')
    await figure('Columns spanned', '6')
    for (const passage of PASSAGES) {
      await block('Group')
      await figure('Height, least', '80 vh')
      await words('Text', passage)
      await out()
      await page.keyboard.press('j')
      await choose('Add a motion', 'Reveal')
      await choose('How often it plays', 'Each time, both ways')
      await figure('Line of the window', '50')
      await figure('How long it takes', '200')
      await page.keyboard.press('j')
      await out()
    }
    await out()

    // A frame that stays beside them, and whose guise follows them.
    await block('Group')
    await figure('Columns spanned', '5')
    await figure('From column', '8')
    await choose('Stands', 'Sticky')
    await figure('From top', String(FRAME))
    await choose('In its place, down', 'Start')
    for (const guise of GUISES) {
      await words('Text', guise)
      await out()
    }
    await tray.getByRole('checkbox', { name: 'One of its blocks is shown at a time' }).click()
    await tray.getByRole('group', { name: 'What shows its blocks' }).getByRole('button', { name: 'The scroll' }).click()
    for (const [i, guise] of GUISES.entries()) {
      await tray.getByRole('combobox', { name: `What shows: ${guise}` }).click()
      await page.getByRole('option', { name: new RegExp(`^Group: ${PASSAGES[i]!.slice(0, 12)}`) }).click()
    }
    // Room below, so that all can pass its line.
    await add('Closing')
    await figure('Height, least', '100 vh')
    expect(await seriousOn(page)).toEqual([])
    await saved(page)
    const id = /sites\/([\w-]+)/.exec(page.url())![1]!
    await follows(browser, `${app.url}/visit/${id}/page-5.html`)
  },
)

/** That a visited page looks at each position of the scroll as it is worked out to, both ways, and can be read without any of it. */
async function follows(browser: Browser, url: string) {
  const visitor = await (await browser.newContext()).newPage()
  const wrong: string[] = []
  for (const window of WINDOWS) {
    await visitor.setViewportSize(window)
    await visitor.goto(`${url}?engine=calm`)
    const rest = await restsAt(visitor)
    const shown = { passages: [1, 1, 1], frame: rest.frame }
    expect(await seenAlong(visitor, [0])).toMatchObject([{ heading: 1, picture: 0, ...shown }])
    for (const [engine, timelines] of [
      ['', true],
      ['?engine=plain', false],
    ] as const) {
      await visitor.goto(url + engine)
      const steps = Array.from({ length: STEPS }, (_, i) => Math.round((i * rest.furthest) / (STEPS - 1)))
      const way = [...steps, ...[...steps].reverse()]
      for (const [n, seen] of (await seenAlong(visitor, way)).entries()) {
        const scroll = way[n]!
        const passed = rest.passages.map((top) => top <= scroll + window.height / 2 + 0.01)
        const wanted = {
          heading: timelines ? 1 + Math.min(1, scroll / 600) : 1,
          picture: timelines ? -0.5 * Math.min(scroll, 2 * window.height) : 0,
          passages: passed.map((one) => (one || scroll >= rest.furthest - 2 ? 1 : 0)),
          guise: Math.max(0, passed.lastIndexOf(true)),
          frame: rest.frame - scroll + Math.min(rest.way, Math.max(0, scroll + FRAME - rest.frame)),
        }
        const at = `at ${scroll} in ${window.width}${engine}`
        const differs = (what: string, a: number, b: number, by: number) =>
          Math.abs(a - b) > by && wrong.push(`${what} ${at}: ${a}, not ${b}`)
        differs('heading', seen.heading, wanted.heading, 0.01)
        differs('picture', seen.picture, wanted.picture, 0.5)
        differs('frame', seen.frame, wanted.frame, 0.6)
        seen.passages.forEach((one, i) => differs(PASSAGES[i]!, one, wanted.passages[i]!, 0.01))
        if (!seen.guises.every((one, i) => one === (i === wanted.guise))) wrong.push(`guise ${at}: ${seen.guises.join(' ')}`)
      }
    }
  }
  expect(wrong).toEqual([])
  await visitor.emulateMedia({ reducedMotion: 'reduce' })
  await visitor.goto(url)
  for (const seen of await seenAlong(visitor, [0, 900])) expect(seen).toMatchObject({ heading: 1, picture: 0, passages: [1, 1, 1] })
  expect(await seriousOn(visitor)).toEqual([])
  await visitor.context().close()
  await withoutScript(browser, url)
}

/** Without a script nothing is hidden: all passages and all guises of the frame are read. */
async function withoutScript(browser: Browser, url: string) {
  const context = await browser.newContext({ javaScriptEnabled: false })
  const plain = await context.newPage()
  await plain.goto(url)
  for (const text of [...PASSAGES, ...GUISES]) await expect(plain.getByText(text, { exact: true })).toBeVisible()
  await context.close()
}
