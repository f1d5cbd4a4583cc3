import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { contrast, hexOf } from './contrast'
import { contrastOfBlock } from '#core/analysis/contrast'

test('the ratios that WCAG gives for its own examples', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5)
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2)
  expect(contrast('#1a1d47', '#ffd36b')).toBeCloseTo(contrast('#ffd36b', '#1a1d47'), 10)
})

test('words are measured on the fill behind them, and not over a picture', () => {
  const site = demoSite()
  const named = (text: string) =>
    [...walkPage(site.pages[0]!)].find((block) => 'words' in block && plainText(block.words.en ?? []) === text)!
  const of = (text: string) => {
    return contrastOfBlock(site, site.pages[0]!, named(text).id)?.ratio
  }
  expect(of('Why people come up the hill')).toBeCloseTo(contrast('#1A1D2E', '#FFFFFF'), 5)
  expect(of('The plan, in three steps')).toBeCloseTo(contrast('#1A1D2E', '#F1F0F9'), 5)
  expect(of('Bring a coat. We will bring the galaxies.')).toBeUndefined()
})

test('a role that the guide has not has no colour', () => {
  expect(hexOf({ role: 'nowhere' }, demoSite().guide.colours)).toBeUndefined()
})
