import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { beyond, firstLoad, secondsOf, type ViewWeight, weightFindings } from './first-load'

const weights = { html: 10_000, css: 20_000, script: 5_000, fonts: 40_000, taken: 300_000, later: 200_000 }

test('a first load has no pictures that wait to be scrolled to', () => {
  expect(firstLoad(weights)).toBe(175_000)
})

test('takes its ways there and back, and its bits', () => {
  expect(secondsOf(0)).toBeCloseTo(0.9)
  expect(secondsOf(200_000)).toBeCloseTo(1.9)
})

test('is beyond its budget by bytes, by seconds, or by both', () => {
  expect(beyond(100_000, { bytes: 200_000, seconds: 6 })).toBeUndefined()
  expect(beyond(302_400, { bytes: 200_000, seconds: 6 })).toBe('100 kB beyond the budget')
  expect(beyond(1_020_000, { bytes: 2_000_000, seconds: 5 })).toBe('1.0 s beyond the budget')
  expect(beyond(1_020_000, { bytes: 916_000, seconds: 5 })).toBe('102 kB and 1.0 s beyond the budget')
})

test('of several views the heaviest is named, and a heavy picture once, at the block that shows it', () => {
  const site = { ...demoSite(), launch: { budget: { bytes: 102_400, seconds: 10 } } }
  const page = site.pages[0]!.id
  const [picture] = site.pictures
  const view = (width: number, more: Partial<ViewWeight> = {}): ViewWeight => ({
    ...{ ...weights, page, width, density: 1, naive: 0, files: 3, heavy: [] },
    ...more,
  })
  const heavy = (bytes: number) => [{ picture: picture!.id, bytes, width: 800, height: 400 }]
  const found = weightFindings(site, page, [
    view(390, { taken: 210_000 }),
    view(768, { heavy: heavy(150_000) }),
    view(1280, { taken: 400_000, heavy: heavy(204_800) }),
    view(2560, { page: 'another', taken: 900_000 }),
  ])
  expect(found).toHaveLength(2)
  expect(found[0]).toMatchObject({
    kind: 'overBudget',
    fault: true,
    why: '2 of 3 views are beyond 100 kB and 10 s on a slow connection.',
  })
  expect(found[0]!.sentence).toBe('A first load takes 269 kB at 1280 px, 1x: 169 kB beyond the budget.')
  expect(found[1]).toMatchObject({ kind: 'heavyPicture', fault: false, beside: picture!.id })
  expect(found[1]!.sentence).toBe(`“${picture!.name}” takes 200 kB for 800 × 400 px.`)
  expect(weightFindings(site, page, [view(390, { taken: 210_000 })])).toEqual([])
})
