import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import { tokenDeclarations } from '#core/render/guide-rules'
import { webFiles } from '#core/formats/web-files'
import { type OwnFont, ownFontSchema } from './own-font'
import type { Site } from '#core/site/schema'
import { averageAdvance } from './advance'
import { FAMILIES, fallbackCss, familiesOf, familyOf, fontFaceCss, fontFiles, fontStack, measuresOf, ownFamilyId } from './families'
import { pairingsFor } from './pairing'

const font: OwnFont = {
  id: 'f1',
  name: 'Hollin Grotesk',
  hash: 'ab'.repeat(32),
  class: 'sans',
  weights: [400, 400],
  italic: false,
  licence: 'Made for this site',
  metrics: { ascent: 0.95, descent: 0.25, lineGap: 0, capHeight: 0.7, xHeight: 0.5, averageAdvance: 0.5 },
}
const site = demoSite()
const withFont = applyEdit(site, { kind: 'list', list: 'fonts', drop: [], put: [{ item: font }] }).site
const set = applyEdit(withFont, {
  kind: 'guide',
  part: 'faces',
  value: withFont.guide.faces.map((one) => (one.name === 'text' ? { ...one, family: ownFamilyId(font) } : one)),
}).site

describe('a font of one’s own', () => {
  test('is a family of its site before all others, and of no other site', () => {
    expect(familiesOf(withFont.fonts)[0]).toMatchObject({ id: 'own-f1', name: 'Hollin Grotesk', own: font })
    expect(familiesOf(withFont.fonts)).toHaveLength(FAMILIES.length + 1)
    expect(familyOf('own-f1')).toBeUndefined()
    expect(familyOf('own-f1', withFont.fonts)!.own).toEqual(font)
  })

  test('comes in one file without a range of characters, of its one weight', () => {
    const family = familyOf('own-f1', withFont.fonts)!
    const files = fontFiles(family)
    expect(files.map((one) => one.name)).toEqual([`${font.hash}.woff2`])
    const css = fontFaceCss(files[0]!, '/fonts/x.woff2')
    expect(css).toContain('font-weight: 400;')
    expect(css).not.toContain('unicode-range')
    expect(fallbackCss(family)).toContain('font-family: "Hollin Grotesk fallback"')
    expect(measuresOf(family)).toEqual(font.metrics)
    expect(pairingsFor(familyOf('fraunces')!, [family])[0]!.reasons.length).toBeGreaterThan(1)
  })

  test('is in the stack of its face, and in the export of the site', () => {
    expect(new Map(tokenDeclarations(set)).get('--face-text')).toBe('"Hollin Grotesk", "Hollin Grotesk fallback", sans-serif')
    expect(fontStack('own-f1')).toBe('system-ui, sans-serif')
    const files = webFiles(set, 'readable')
    expect(files.fonts.map((one) => one.file)).toContain(`fonts/${font.hash}.woff2`)
    expect(files.texts.find((one) => one.file === 'style.css')!.text).toContain(`url("fonts/${font.hash}.woff2")`)
  })

  test('is put in, changed and taken out, and each is taken back', () => {
    const changed: Site = applyEdit(withFont, {
      kind: 'list',
      list: 'fonts',
      drop: [],
      put: [{ item: { ...font, licence: 'Bought' } }],
    }).site
    expect(changed.fonts[0]!.licence).toBe('Bought')
    const { site: gone, inverse } = applyEdit(changed, { kind: 'list', list: 'fonts', drop: ['f1'], put: [] })
    expect(gone.fonts).toEqual([])
    expect(applyEdit(gone, inverse).site).toEqual(changed)
  })

  test.each<[string, Partial<OwnFont>]>([
    ['CSS in its name', { name: 'A"; } body { display: none' }],
    ['another kind of hash', { hash: '../../etc/passwd' }],
    ['a weight that is none', { weights: [0, 400] }],
    ['measures that are none', { metrics: { ...font.metrics, ascent: 900 } }],
  ])('with %s is refused', (_, values) => {
    expect(ownFontSchema.safeParse({ ...font, ...values }).success).toBe(false)
  })
})

describe('what a font must have', () => {
  test('is every character of the pages, capitals of what is shown in capitals, and what may be typed into a field', () => {
    const characters = webFiles(site, 'readable').characters()
    for (const one of 'Bring a coat. We will bring the galaxies.') expect(characters).toContain(one)
    expect(characters).toContain('Z')
    expect(characters).toContain('@')
    expect(new Set(characters).size).toBe([...characters].length)
    const alone = webFiles({ ...site, pages: site.pages.slice(2) }, 'readable').characters()
    expect(alone).not.toContain('@')
    expect(alone.length).toBeLessThan(characters.length)
  })

  test('mean advance weighs letters by how often they stand in text', () => {
    expect(averageAdvance(() => 0.5)).toBeCloseTo(0.5, 6)
    expect(averageAdvance((letter) => (letter === 'e' ? 1 : 0))).toBeGreaterThan(
      averageAdvance((letter) => (letter === 'z' ? 1 : 0)) * 20,
    )
  })
})
