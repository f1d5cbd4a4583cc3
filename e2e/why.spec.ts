import { expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { CASES, siteOfScene } from '#core/analysis/why/why.fixture'
import { chooserOf } from '#core/edits/edits.fixture'
import { settingsWithoutEffect } from '#core/analysis/why/without-effect'
import { pageFile } from '#core/render/own-links'
import { printSite } from '#core/render/site'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { runs } from '#core/values/runs.fixture'

/** A picture that is not the same at its edges, so that every crop is seen. */
const PICTURE = `data:image/svg+xml,${encodeURIComponent(
  '<svg xmlns="http://www.w3.org/2000/svg" width="300" height="200"><rect width="300" height="200" fill="#246"/><circle cx="40" cy="40" r="30" fill="#fd0"/><path d="M300 200H150z" fill="#f42"/></svg>',
)}`

/** How many settings at random must be said to have no effect. */
const SAID = runs(15, 40)

const html = (site: Site): string => {
  const { pages, css } = printSite(site, {
    style: 'minified',
    addresses: { picture: () => PICTURE, page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
  })
  return pages[0]!.html.replace(/<link rel="stylesheet"[^>]*>/, `<style>${css.replace(/@font-face\{[^}]*\}/g, '')}</style>`)
}

/** Places of the scroll that are looked at, px. */
const PLACES = [0, 300]

/** The boxes of all elements of a page at each place of the scroll. */
async function boxesOf(page: Page, site: Site): Promise<string> {
  await page.setContent(html(site))
  return page.evaluate(
    (places) =>
      places
        .map((top) => {
          scrollTo(0, top)
          return [...document.body.querySelectorAll('*')].map((one) => {
            const { left, top: y, width, height } = one.getBoundingClientRect()
            return [left, y, width, height].map((value) => Math.round(value * 10) / 10).join()
          })
        })
        .join(' '),
    PLACES,
  )
}

/** What a page looks like at each place of the scroll. */
async function picturesOf(page: Page, site: Site): Promise<Buffer[]> {
  await page.setContent(html(site))
  const out: Buffer[] = []
  for (const top of PLACES) {
    await page.evaluate((y) => scrollTo(0, y), top)
    out.push(await page.screenshot())
  }
  return out
}

/** Steps of 255 that nobody sees: a layer of its own, as a sticky block has, may round the edge of a letter otherwise. */
const UNSEEN = 2

/** True if two sites look alike: the same boxes, and only then, since it takes long, the same pixels but for rounding. */
async function lookAlike(page: Page, one: Site, other: Site): Promise<boolean> {
  if ((await boxesOf(page, one)) !== (await boxesOf(page, other))) return false
  const [first, second] = [await picturesOf(page, one), await picturesOf(page, other)]
  for (const [i, picture] of first.entries()) {
    if (picture.equals(second[i]!)) continue
    const [a, b] = await Promise.all([picture, second[i]!].map((each) => sharp(each).raw().toBuffer()))
    if (a!.some((value, at) => Math.abs(value - b![at]!) > UNSEEN)) return false
  }
  return true
}

const without = (site: Site, id: string, property: string): Site =>
  JSON.parse(JSON.stringify(site), (_, value: unknown) => {
    const one = value as { id?: string; style?: { base?: Record<string, unknown> } } | null
    if (typeof one !== 'object' || one?.id !== id || !one.style?.base) return value
    const { [property]: _gone, ...base } = one.style.base
    return { ...one, style: { ...one.style, base } }
  }) as Site

test('a setting is said to have no effect if and only if the browser shows the same without it', async ({ browser }) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 700 } })
  const wrong: string[] = []
  let idle = 0
  for (const { scene, of, property } of CASES) {
    const made = siteOfScene(scene)
    const id = of === 'group' ? made.group : made.block
    const says = settingsWithoutEffect(made.site, findBlock(made.site, id)!, 0).some((one) => one.property === property)
    const same = await lookAlike(page, made.site, without(made.site, id, property))
    if (same) idle++
    if (says !== same)
      wrong.push(
        `${property} ${says ? 'is said to do nothing and does' : 'does nothing, which is not said'}: ${JSON.stringify(scene)}`,
      )
  }
  expect(wrong).toEqual([])
  expect(idle).toBeGreaterThan(40)
})

test('of settings put together at random none is said to have no effect that has one', async ({ browser }) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 700 } })
  const wrong: string[] = []
  let said = 0
  for (let seed = 1; said < SAID && seed < 400; seed++) {
    const { scene, of, property } = sceneAt(seed)
    const made = siteOfScene(scene)
    const id = of === 'group' ? made.group : made.block
    if (!settingsWithoutEffect(made.site, findBlock(made.site, id)!, 0).some((one) => one.property === property)) continue
    said++
    if (!(await lookAlike(page, made.site, without(made.site, id, property))))
      wrong.push(`${seed}, ${property}: ${JSON.stringify(scene)}`)
  }
  expect(wrong).toEqual([])
  // Something was said at all, as often as was wanted.
  expect(said).toBe(SAID)
})

/** Two of the scenes above laid together: the settings of both, and what is asked of the first. */
function sceneAt(seed: number): (typeof CASES)[number] {
  const { number, one } = chooserOf(seed)
  const [first, second] = [one(CASES), one(CASES)]
  const more =
    number(2) === 0
      ? { group: { ...second.scene.group, ...first.scene.group } }
      : { block: { ...second.scene.block, ...first.scene.block } }
  return { ...first, scene: { ...first.scene, ...more, deep: first.scene.deep || number(3) === 0 } }
}
