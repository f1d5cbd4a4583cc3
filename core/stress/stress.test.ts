import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { siteSchema } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { hasWords } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { pixels } from '#core/values/length'
import { doubled } from './big-text'
import { asForced } from './forced'
import { STRESS_NAMES, stressOf } from './index'
import { longerText } from './longer'
import { PAPERS } from './print'

const site = demoSite()
const under = (name: (typeof STRESS_NAMES)[number]) => stressOf(name).change!(site)
const blocksOf = (of: typeof site) => of.pages.flatMap((page) => [...walkPage(page)])
const textsOf = (of: typeof site) => blocksOf(of).flatMap((one) => (hasWords(one) ? [plainText(one.words.en ?? [])] : []))

describe('a stress', () => {
  test.each(STRESS_NAMES.filter((name) => stressOf(name).change))(
    '%s leaves a document that is one, and the site as it was',
    (name) => {
      const before = JSON.stringify(site)
      const changed = under(name)
      expect(siteSchema.safeParse(changed).error?.issues).toBeUndefined()
      expect(JSON.stringify(site)).toBe(before)
      const ids = blocksOf(changed).map((one) => one.id)
      expect(new Set(ids).size).toBe(ids.length)
    },
  )

  test('gives the same sections again for those that stay the same', () => {
    for (const name of ['longer', 'twice', 'noPicture', 'bigText'] as const)
      expect(under(name).pages[0]!.sections[0]).toBe(under(name).pages[0]!.sections[0])
  })
})

test('words become 40 % longer, a word at a time; figures and soft hyphens stay', () => {
  expect(longerText('observatory')).toHaveLength(15)
  expect(longerText('2 hrs, 45 %')).toBe('2 hrs, 45 %')
  expect(longerText('dome@hollin.example')).toBe('dome@hollin.example')
  expect(longerText('obser\u00advatory')).toContain('\u00ad')
  const [before, after] = [textsOf(site).join(' ').length, textsOf(under('longer')).join(' ').length]
  expect(after / before).toBeGreaterThan(1.25)
  expect(after / before).toBeLessThan(1.45)
})

test('each block with words has the longest of the language once', () => {
  const texts = textsOf(under('longest')).filter((one) => /\p{L}{4,}/u.test(one))
  expect(texts.every((one) => one.match(/incomprehensibilities/gi)?.length === 1)).toBe(true)
})

test('entries are twice as many, or one', () => {
  const count = (of: typeof site) => blocksOf(of).filter((one) => one.kind === 'group' && one.entry).length
  expect(count(under('twice'))).toBeGreaterThan(1.5 * count(site))
  expect(count(under('single'))).toBeLessThan(count(site) / 2)
  expect(count(under('single'))).toBeGreaterThan(0)
})

test('no picture is seen, and no fill has one', () => {
  for (const block of blocksOf(under('noPicture'))) {
    if (block.kind === 'picture') expect(block.hidden).toBe(true)
    for (const values of [block.style.base, ...Object.values(block.style.below ?? {})])
      expect(values?.fillLayers?.some((one) => one.kind === 'picture') ?? false).toBe(false)
  }
})

test('letters are twice as large, by the scale and where they have a size of their own', () => {
  expect(under('bigText').guide.scale.base.wide).toBe(2 * site.guide.scale.base.wide)
  expect(doubled(pixels(17))).toEqual(pixels(34))
  expect(doubled({ token: 'space-4' })).toEqual({ token: 'space-4' })
  expect(doubled({ value: 2, unit: 'em' })).toEqual({ value: 2, unit: 'em' })
  expect(doubled({ fluid: { from: { at: 375, px: 20 }, to: { at: 1360, px: 40 } } })).toEqual({
    fluid: { from: { at: 375, px: 40 }, to: { at: 1360, px: 80 } },
  })
})

test('where colours are forced, grounds keep how solid they are, gradients go and pictures stay', () => {
  const css = (value: string) => asForced(`.a{color:red;${value}}`)
  expect(css('background:var(--paper)')).toBe('.a{color:red;background:rgb(from var(--paper) 0 0 0/alpha)}')
  expect(css('background-color:#fff8')).toBe('.a{color:red;background-color:rgb(from #fff8 0 0 0/alpha)}')
  expect(css('background:none')).toBe('.a{color:red;background:none}')
  expect(css('background-image:linear-gradient(90deg,rgb(0 0 0/.4),red)')).toBe('.a{color:red;background-image:none}')
  const picture = 'background-image:linear-gradient(red,red),url(a.webp)'
  expect(css(picture)).toBe(`.a{color:red;${picture}}`)
  expect(css('background:linear-gradient(red,rgb(0 0 0/.2)) #123')).toBe(
    '.a{color:red;background:none;background-color:rgb(from #123 0 0 0/alpha)}',
  )
})

test('paper has the widths of its sheets, less a centimetre at each side', () => {
  expect(PAPERS).toEqual([718, 740, 980, 1046])
})
