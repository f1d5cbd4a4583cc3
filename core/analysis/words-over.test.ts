import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { visibleBlocks } from '#core/site/visible'
import { overFindings } from './words-over'

const site = demoSite()
const page = site.pages[0]!
const heading = visibleBlocks(page).find(({ block }) => block.kind === 'heading')!.block.id

test('words that cannot be read at some widths are a fault; those that can are no finding', () => {
  const over = { block: heading, ratio: 2.14, needed: 4.5, worst: 640 }
  const found = overFindings(site, page, [
    { ...over, ranges: [{ from: 600, to: 703 }] },
    { ...over, ranges: [] },
  ])
  expect(found).toMatchObject([{ kind: 'wordsOver', page: page.id, block: heading, fault: true, ranges: [{ from: 600, to: 703 }] }])
  expect(found[0]!.sentence).toMatch(/has 2\.1 : 1 over what is behind it at 640 px; 4\.5 : 1 is needed\.$/)
})

test('where they are read worst while the page is scrolled, that is said; a block that is gone is left out', () => {
  const over = { ratio: 1, needed: 3, worst: 390, scroll: 412, ranges: [{ from: 280, to: 500 }] }
  const found = overFindings(site, page, [
    { ...over, block: heading },
    { ...over, block: 'gone' },
  ])
  expect(found).toHaveLength(1)
  expect(found[0]).toMatchObject({ sentence: expect.stringContaining('at 390 px, 412 px down the page') as string })
  expect(found[0]!.why).toContain('while the page is scrolled')
})
