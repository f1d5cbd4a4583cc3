import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { newBlock } from '#core/blocks/defaults'
import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from '#core/site/brief'
import { worded } from '#core/site/made.fixture'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import { pixels } from '#core/values/length'
import { checkSite } from './site-json'

type Json = Record<string, unknown>

/** The demo as a file of version 2 had it: one style guide with sizes of its own, and no directions. */
function second(): Json {
  const { directions: _, fonts: _f, shared: _sh, guide, ...site } = structuredClone(demoSite())
  const { scale: _s, leading: _l, baseline: _b, light: _li, looks: _lo, ...rest } = guide
  const types = rest.types
    .filter(({ role }) => !['display', 'label', 'figure'].includes(role))
    .map((one) => ({ ...one, size: pixels(20), leading: 1.4 }))
  const buttons = rest.buttons.map(({ hit: _h, ...one }) => one)
  return { ...site, version: 2, guide: { ...rest, types, buttons } }
}

/** The demo as a file of version 1 had it. */
function first(): Json {
  const { brief: _, unplaced: _u, board: _b, ...site } = second()
  const pages = (site.pages as Json[]).map(({ brief: _p, unlisted: _l, ...page }) => page)
  return { ...site, version: 1, pages }
}

/** Blocks without what the step to version 6 gives grids. */
const untouched = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (key, one) => (key === 'rowGap' && one.value === 0 ? undefined : one))

test('a file of version 1 opens, with an empty brief and no words left over', () => {
  const site = checkSite(first())
  expect(site.version).toBe(6)
  expect(site.brief).toEqual(EMPTY_SITE_BRIEF)
  expect(site.pages.map((page) => page.brief)).toEqual(site.pages.map(() => EMPTY_PAGE_BRIEF))
  expect([site.unplaced, site.board]).toEqual([[], []])
  // All that it had, with rows that touch as they did (version 6).
  expect(untouched(site.pages[0]!.sections)).toEqual(untouched(demoSite().pages[0]!.sections))
})

test('rows of a grid that touched in a file of version 5 still do, and no others', () => {
  const [newGrid, newColumn, newNav] = (['group', 'group', 'nav'] as const).map((kind, n) => ({
    ...newBlock(kind, () => `g${n}`),
    children: [worded('link', `a${n}`, 'One'), worded('link', `b${n}`, 'Two')],
  }))
  const below = { [demoSite().breakpoints[1]!.id]: { layout: 'grid' as const } }
  const said = { value: 8, unit: 'px' as const }
  const children = [
    { ...newGrid!, style: { base: { layout: 'grid' } } },
    { ...newColumn!, style: { base: { span: 4 } } },
    { ...newNav!, style: { below } },
    { ...newGrid!, id: 'g3', children: [], style: { base: { layout: 'grid', rowGap: said } } },
    { ...newGrid!, id: 'g4', children: [], style: { base: { layout: 'grid' } } },
  ]
  const site = demoSite()
  const [page] = site.pages
  const old = { ...site, version: 5, pages: [{ ...page, sections: [{ ...page!.sections[0], style: {}, children }] }] }
  const [section] = checkSite(JSON.parse(JSON.stringify(old)) as Json).pages[0]!.sections
  const none = { value: 0, unit: 'px' }
  expect(section!.style.base).toEqual({ rowGap: none })
  expect(section!.children.map((one) => one.style)).toEqual([
    { base: { layout: 'grid', rowGap: none } },
    { base: { span: 4 } },
    { base: { rowGap: none }, below },
    { base: { layout: 'grid', rowGap: said } },
    { base: { layout: 'grid' } },
  ])
})

describe('a file of version 2', () => {
  test('keeps the sizes and colours that it has, and gets the roles that it lacks', () => {
    const { guide, directions, fonts } = checkSite(second())
    expect(guide.types.find((one) => one.role === 'heading-1')).toMatchObject({ size: pixels(20), leading: 1.4 })
    for (const role of ['display', 'label', 'figure']) expect(guide.types.filter((one) => one.role === role)).toHaveLength(1)
    expect(guide.colours.slice(0, demoSite().guide.colours.length)).toEqual(demoSite().guide.colours)
    expect(guide.scale).toEqual(DEFAULT_GUIDE.scale)
    expect([directions.length, fonts]).toEqual([1, []])
  })

  test('whose face has another name is set in that', () => {
    const old = second()
    const guide = old.guide as Json
    const named = {
      ...guide,
      faces: [{ name: 'serif', family: 'lora' }],
      types: (guide.types as Json[]).map((one) => ({ ...one, face: 'serif' })),
    }
    expect(checkSite({ ...old, guide: named }).guide.types.every((one) => one.face === 'serif')).toBe(true)
  })
})

test('a file of version 4 has its gradients as layers, and its blurs among the filters of what is behind', () => {
  const site = demoSite()
  const [page] = site.pages
  const [section, ...rest] = page!.sections
  const style = {
    base: { gradient: { angle: 180, from: { role: 'ink' }, to: { role: 'ground' } }, backdropBlur: 8 },
    hover: { opacity: 0.5 },
  }
  const old = { ...site, version: 4, pages: [{ ...page, sections: [{ ...section, style }, ...rest] }, ...site.pages.slice(1)] }
  expect(checkSite(JSON.parse(JSON.stringify(old)) as Json).pages[0]!.sections[0]!.style).toEqual({
    base: {
      rowGap: { value: 0, unit: 'px' },
      fillLayers: [
        {
          kind: 'linear',
          angle: 180,
          space: 'srgb',
          stops: [
            { at: 0, colour: { role: 'ink' } },
            { at: 100, colour: { role: 'ground' } },
          ],
        },
      ],
      behind: { blur: 8 },
    },
    hover: { opacity: 0.5 },
  })
})

test('a broken file of version 1 is refused like the others, with what is wrong and where', () => {
  expect(() => checkSite({ ...first(), pages: 'none' })).toThrow(/broken at "pages"/)
  expect(() => checkSite({ ...first(), guide: 'none' })).toThrow(/broken at "guide"/)
  expect(() => checkSite({ ...first(), version: 7 })).toThrow(/version 7, from a newer Yarrowfinch/)
})

test('a page whose address is kept for something else gets one that is free', () => {
  const site = structuredClone(demoSite()) as unknown as { pages: Json[] }
  site.pages.push({ ...site.pages[1]!, id: 'p-a', sections: [], address: 'index' })
  site.pages.push({ ...site.pages[1]!, id: 'p-b', sections: [], address: 'index-2' })
  const addresses = checkSite(site).pages.map((page) => page.address)
  expect(addresses.slice(-2)).toEqual(['index-3', 'index-2'])
})

test('links that were once allowed are mended, and those that never were are refused', () => {
  const withLink = (href: string) => {
    const site = structuredClone(demoSite())
    return {
      ...site,
      unplaced: [
        {
          ...site.unplaced[0],
          id: 'u1',
          pageName: '',
          sectionName: '',
          role: 'link',
          entry: 0,
          words: { en: ['x'] },
          link: { href },
        },
      ],
    }
  }
  const mended = (href: string) => checkSite(withLink(href)).unplaced[0]!.link
  expect(mended('//a.example/x')).toEqual({ href: 'https://a.example/x' })
  expect(mended('/a\nb')).toEqual({ href: '/ab' })
  expect(mended('https://a.example/ü ö')).toEqual({ href: 'https://a.example/ü ö' })
  expect(mended('/\\evil.example')).toEqual({ href: 'https://evil.example' })
  expect(() => checkSite(withLink('javascript:x()'))).toThrow(/A link starts with/)
})

test('null in a list of version 2 is refused with a sentence', () => {
  for (const part of ['types', 'colours', 'faces', 'buttons']) {
    const site = second()
    ;(site.guide as Json)[part] = [null]
    expect(() => checkSite(site)).toThrow(/^The site is broken/)
  }
})
