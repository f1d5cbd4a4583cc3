import { expect, test } from 'vitest'
import { chooserOf, demoSite } from '#core/edits/edits.fixture'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { mutateJson } from '../../torture/mutate'
import { placeIn } from './place'
import { checkSite, FormatError } from './site-json'

const site = siteOf('Tides', [section('Plan', [worded('button', 'call', 'Book a boat')])])

test('a place in a document is called by the names of what stands there', () => {
  const page = site.pages[0]!.name
  expect(placeIn(site, ['pages', 0, 'sections', 0, 'children', 0, 'style', 'base', 'span'])).toBe(
    `at "style.base.span" of the button “Book a boat” of the section “Plan” of the page “${page}”`,
  )
  expect(placeIn(site, ['guide', 'colours', 2, 'hex'])).toBe('at "guide.colours.2.hex"')
  expect(placeIn(site, [])).toBe('at its top')
  expect(placeIn({ pages: [null] }, ['pages', 0])).toBe('the page that is number 1')
})

test('what is wrong with a file is said in sentences, whatever is wrong', () => {
  const demo = demoSite()
  const one = { ...demo, pages: demo.pages.slice(1, 2) }
  const said = new Set<string>()
  for (let seed = 0; seed < 120; seed++) {
    const choose = chooserOf(seed)
    try {
      checkSite(mutateJson(one, choose, 0.003))
    } catch (error) {
      expect(error).toBeInstanceOf(FormatError)
      said.add((error as Error).message)
    }
  }
  expect(said.size).toBeGreaterThan(20)
  for (const sentence of said) {
    expect(sentence).not.toMatch(/Invalid|expected|received|Too (big|small)|pages\.\d|children\.\d/)
    expect(sentence).toMatch(/^[A-Z“].*[.!”]$/s)
  }
})
