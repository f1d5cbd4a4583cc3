import { converter } from 'culori'
import { expect, test } from 'vitest'
import { contrast } from '#core/colour/contrast'
import { demoSite } from '#core/edits/edits.fixture'
import { crossedFrame, greyOf, wireGuide, wireSite } from './wire'

const site = demoSite()

// OKLab lightness of sRGB's primaries, from Ottosson's reference implementation.
test.each([
  ['#ff0000', 0.62796],
  ['#00ff00', 0.86644],
  ['#0000ff', 0.45201],
])('the grey of %s is as light as it', (hex, lightness) => {
  const grey = converter('oklab')(greyOf(hex))!
  expect(grey.l).toBeCloseTo(lightness, 2)
  expect(greyOf(hex)).toMatch(/^#(..)\1\1$/)
})

test('the wire look has greys and one face, and every size as it was', () => {
  const guide = wireGuide(site.guide)
  expect(guide.colours.every((one) => /^#(..)\1\1$/.test(one.hex))).toBe(true)
  expect(new Set(guide.faces.map((one) => one.family)).size).toBe(1)
  expect({ ...guide, colours: [], faces: [] }).toEqual({ ...site.guide, colours: [], faces: [] })
  expect(wireSite(site).guide).toBe(wireSite({ ...site }).guide)
})

test('words keep about the contrast that they have', () => {
  const hex = (role: string, from = site.guide) => from.colours.find((one) => one.role === role)!.hex
  const grey = wireGuide(site.guide)
  expect(contrast(hex('ink', grey), hex('ground', grey))).toBeGreaterThan(12)
  expect(contrast(hex('on-primary', grey), hex('primary', grey))).toBeGreaterThan(9)
})

test('a crossed frame is a drawing of the picture’s size', () => {
  const svg = decodeURIComponent(crossedFrame(site.pictures[0]!).replace('data:image/svg+xml,', ''))
  expect(svg).toContain(`width="${site.pictures[0]!.width}" height="${site.pictures[0]!.height}"`)
  expect(svg).toContain('preserveAspectRatio="none"')
})
