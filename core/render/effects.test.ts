import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { newSite } from '#core/site/defaults'
import type { StyleValues } from '#core/style/registry'
import { testIds } from '#core/values/ids.fixture'
import { pageFile } from './own-links'
import { printSite } from './site'

/** A page with one picture. */
function printed(base: StyleValues) {
  const makeId = testIds()
  const site = newSite('Test', makeId)
  const picture = { id: makeId(), hash: 'a'.repeat(64), name: 'a.png', type: 'image/png' as const, width: 6000, height: 4000 }
  const block = { ...newBlock('picture', makeId), picture: picture.id, style: { base } }
  const section = { ...newSection('opening', makeId), children: [block] }
  const made = { ...site, pictures: [picture], pages: [{ ...site.pages[0]!, sections: [section] }] }
  const addresses = {
    picture: (_: unknown, width: number | null) => `${width}.png`,
    page: pageFile,
    form: () => '#',
    stylesheet: 'style.css',
    font: () => 'none',
  }
  return printSite(made, { style: 'minified', addresses })
}
const cssOf = (base: StyleValues): string => printed(base).css
const htmlOf = (base: StyleValues): string => printed(base).pages[0]!.html

describe('a picture', () => {
  test('that is zoomed is cut off by a box around it, and its focal point stays', () => {
    const css = cssOf({ zoom: 2, focal: { x: 25, y: 50 } })
    expect(css).toMatch(/> ?img\{[^}]*scale:2[^}]*translate:25% 0%/)
    expect(css).toMatch(/\{[^}]*overflow:hidden/)
  })

  test('that is flipped as well goes the other way', () => {
    expect(cssOf({ zoom: 2, flip: 'across', focal: { x: 25, y: 50 } })).toMatch(/rotate:y 180deg[^}]*translate:-25% 0%/)
  })

  test('that is blurred goes past its box by as much as its edge is soft', () => {
    expect(cssOf({ filter: { blur: 5 } })).toMatch(
      /filter:blur\(5px\);width:calc\(100% \+ 20px\);height:calc\(100% \+ 20px\);margin:-10px/,
    )
  })

  test('that is zoomed asks for as much more of its file', () => {
    const widest = (zoom: number) => Math.max(...[...htmlOf({ zoom }).matchAll(/(\d+)w/g)].map((one) => Number(one[1])))
    expect(widest(2)).toBe(2 * widest(1))
  })

  test('that stands in a box keeps the ratio that it was given, whatever its own is', () => {
    const duotone = { dark: { role: 'ink' }, light: { role: 'ground' } }
    expect(cssOf({ duotone, aspect: { width: 21, height: 9 } })).toMatch(/aspect-ratio:21 ?\/ ?9[^}]*min-height:0/)
    expect(cssOf({ duotone })).not.toContain('min-height:0')
  })

  test('that is only flipped or lit needs no box', () => {
    const css = cssOf({ flip: 'down', filter: { greyscale: 1 } })
    expect(css).toContain('rotate:x 180deg')
    expect(css).not.toMatch(/> ?img\{/)
  })
})
