import { describe, expect, test } from 'vitest'
import { ARRANGEMENTS, arrangementOf } from '#core/arrangements/index'
import { demoSite } from '#core/edits/edits.fixture'
import { capacityOf, createPreviews, fitOf, sizeOf } from './preview'

const site = demoSite()
const [page] = site.pages as [(typeof site.pages)[number]]
const reasons = page.sections.find((one) => one.job === 'reasons')!

describe('how words fit an arrangement', () => {
  test('a section keeps its words in one of its own job, and what is too much is counted', () => {
    expect(fitOf(site, page, reasons, arrangementOf('reasons-three')!)).toMatchObject({ words: 61, left: 0 })
    expect(fitOf(site, page, reasons, arrangementOf('header-minimal')!)).toMatchObject({ words: 0, left: 7 })
    expect(fitOf(site, page, 'questions', arrangementOf('questions-two')!)).toMatchObject({ words: 0, left: 0 })
  })

  test('every arrangement holds some words, and there are some of each size', () => {
    const sizes = ARRANGEMENTS.map((one) => sizeOf(capacityOf(one)))
    expect(new Set(sizes)).toEqual(new Set(['few', 'some', 'many']))
    expect(sizeOf(capacityOf(arrangementOf('opening-split')!))).toBe('few')
  })
})

describe('a preview', () => {
  const draw = createPreviews(site)
  const { section } = fitOf(site, page, reasons, arrangementOf('reasons-three')!)
  test('has the words of the section, in greys, for one width', () => {
    const wide = draw(section, { width: 1280, height: 800 })
    expect(wide).toContain('Skies without street lamps')
    expect(wide).not.toContain('@media')
    // Not part of an id, which may be any letters and figures.
    expect(wide).not.toMatch(/(?<![\w"-])-?[\d.]+v[wh]\b/)
    expect(wide).not.toContain('#ffd36b')
    expect(draw(section, { width: 375, height: 720 })).not.toBe(wide)
  })

  test('never has words as markup', () => {
    const hostile = { ...section, children: [{ ...reasons.children[0]!, words: { en: ['<img src=x onerror=alert(1)>'] } }] }
    expect(draw(hostile as typeof section, { width: 375, height: 720 })).not.toContain('<img src=x')
  })
})
