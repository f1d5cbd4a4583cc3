import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import { guideOf } from '#core/site/directions'
import { isSame } from '#core/values/equal'
import { readColourList } from './colour-list'
import { cssProperties, readCssProperties } from './css-properties'
import { designTokens, readDesignTokens } from './design-tokens'

const site = demoSite()
const EMPTY = { ...DEFAULT_GUIDE, colours: [], spaces: [], corners: [], shadows: [], types: [], faces: [] }
const read = (file: object, guide = DEFAULT_GUIDE) => readDesignTokens(JSON.stringify(file), guide)

describe('design tokens', () => {
  test.each(['lamplight', 'logbook'])('of %s come back as the guide that they were', (direction) => {
    const guide = guideOf(site, direction)
    const text = JSON.stringify(designTokens({ guide }))
    expect(readDesignTokens(text, EMPTY).guide).toEqual(guide)
  })

  test('are in the format: a type and a value each, dimensions in px or rem, colours with their components', () => {
    const file = designTokens(site) as Record<string, Record<string, { $value: unknown; $type?: string }>>
    expect(file.color!.accent).toMatchObject({ $value: { colorSpace: 'srgb', components: [1, 0.8275, 0.4196], hex: '#ffd36b' } })
    expect(file.type!['heading-1']!.$value).toMatchObject({
      fontFamily: '{face.heading}',
      fontWeight: 560,
      fontSize: { unit: 'px' },
    })
    expect(file.space!['space-4']!.$value).toEqual({ value: 16, unit: 'px' })
    for (const name of ['color', 'face', 'type', 'space', 'corner', 'shadow']) expect(file[name]!.$type).toEqual(expect.any(String))
  })

  test('that another program changed hold, and what it did not change stays as it was', () => {
    const file = structuredClone(designTokens(site)) as Record<string, Record<string, { $value: Record<string, unknown> }>>
    file.type!['heading-1']!.$value.fontSize = { value: 64, unit: 'px' }
    const { guide } = read(file, site.guide)
    expect(guide.types.find((one) => one.role === 'heading-1')!.size).toEqual({ value: 64, unit: 'px' })
    expect(guide.types.find((one) => one.role === 'heading-2')).toEqual(site.guide.types.find((one) => one.role === 'heading-2'))
  })

  test('of others are read: nested groups, aliases, hex colours, rem', () => {
    const { guide, changed } = read({
      brand: { $type: 'color', deep: { blue: { $value: '#123456' } }, main: { $value: '{brand.deep.blue}' } },
      space: { wide: { $type: 'dimension', $value: '2rem' } },
      radius: { card: { $type: 'dimension', $value: { value: 6, unit: 'px' } } },
      font: { body: { $type: 'fontFamily', $value: ['Lora', 'serif'] } },
      shadow: {
        soft: { $type: 'shadow', $value: { color: '#00000080', offsetX: '0px', offsetY: '4px', blur: '8px', spread: '0px' } },
      },
      type: {
        note: {
          $type: 'typography',
          $value: { fontFamily: '{font.body}', fontSize: '14px', fontWeight: 'bold', lineHeight: 1.4, letterSpacing: '0.7px' },
        },
      },
      oklch: { $type: 'color', leaf: { $value: { colorSpace: 'oklch', components: [0.6, 0.1, 140] } } },
    })
    expect(guide.colours).toEqual(
      expect.arrayContaining([
        { role: 'brand-deep-blue', hex: '#123456' },
        { role: 'brand-main', hex: '#123456' },
      ]),
    )
    expect(guide.colours.find((one) => one.role === 'oklch-leaf')!.hex).toMatch(/^#/)
    expect(guide.spaces).toContainEqual({ name: 'wide', size: { value: 2, unit: 'rem' } })
    expect(guide.corners).toContainEqual({ name: 'card', size: { value: 6, unit: 'px' } })
    expect(guide.faces).toContainEqual({ name: 'body', family: 'lora' })
    expect(guide.shadows).toContainEqual({
      name: 'soft',
      layers: [{ x: 0, y: 4, blur: 8, spread: 0, colour: { hex: '#000000', alpha: expect.closeTo(0.5, 2) as number } }],
    })
    expect(guide.types.find((one) => one.role === 'note')).toMatchObject({ face: 'body', weight: 700, tracking: 0.05 })
    expect(changed).toHaveLength(8)
  })

  test.each<[string, unknown, RegExp]>([
    ['no JSON', '{', /no JSON/],
    ['no object', [], /is a JSON object/],
    ['no tokens', { a: {} }, /no tokens in the file/],
    [
      'a loop',
      { $type: 'color', a: { $value: '{b}' }, b: { $value: '{c}' }, c: { $value: '{a}' } },
      /“a” → “b” → “c” → “a” stand for each other in a loop/,
    ],
    ['itself', { a: { $type: 'color', $value: '{a}' } }, /loop/],
    ['an alias to nothing', { a: { $type: 'color', $value: '{b}' } }, /“a” stands for “b”, which is not in the file/],
    [
      'an unknown type',
      { motion: { fast: { $type: 'cubicBezier', $value: [0, 0, 1, 1] } } },
      /“motion.fast” is of the type “cubicBezier”/,
    ],
    ['no type', { a: { $value: 1 } }, /“a” has no type/],
    ['no colour', { a: { $type: 'color', $value: 'blueish' } }, /“a” is no colour/],
    ['no dimension', { a: { $type: 'dimension', $value: '2 miles' } }, /“a” is no dimension/],
    [
      'a family that is not installed',
      { a: { $type: 'fontFamily', $value: 'Nowhere Sans' } },
      /“Nowhere Sans”, a family that is not installed/,
    ],
    ['no shadow', { a: { $type: 'shadow', $value: 3 } }, /“a” is no shadow/],
    ['a size out of range', { a: { $type: 'dimension', $value: '99999px' } }, /make no style guide/],
  ])('with %s are refused with a sentence', (_, file, sentence) => {
    expect(() => readDesignTokens(typeof file === 'string' ? file : JSON.stringify(file), DEFAULT_GUIDE)).toThrow(sentence)
  })

  test('of any scale, light, spaces and shadows come back', () => {
    const figure = fc.integer({ min: 1, max: 400 }).map((n) => n / 4)
    const size = fc.oneof(
      fc.record({ value: figure, unit: fc.constantFrom('px' as const, 'rem' as const) }),
      fc.record({
        fluid: fc.record({
          from: fc.record({ at: fc.constant(375), px: figure }),
          to: fc.record({ at: fc.constant(1360), px: figure }),
        }),
      }),
    )
    const parts = fc.record({
      step: fc.integer({ min: -8, max: 20 }).map((n) => n / 2),
      leading: fc.option(
        fc.integer({ min: 80, max: 250 }).map((n) => n / 100),
        { nil: undefined },
      ),
      sizes: fc.array(size, { maxLength: 6 }),
      heights: fc.array(fc.integer({ min: 0, max: 100 }), { maxLength: 4 }),
      angle: fc.integer({ min: -90, max: 90 }),
    })
    fc.assert(
      fc.property(parts, ({ step, leading, sizes, heights, angle }) => {
        const guide = {
          ...DEFAULT_GUIDE,
          types: DEFAULT_GUIDE.types.map((one) => ({ ...one, size: { step }, ...(leading === undefined ? {} : { leading }) })),
          spaces: sizes.map((one, i) => ({ name: `space-${i}`, size: one })),
          corners: sizes.map((one, i) => ({ name: `corner-${i}`, size: one })),
          shadows: heights.map((height, i) => ({ name: `shadow-${i}`, height })),
          light: { ...DEFAULT_GUIDE.light, angle },
        }
        expect(read(designTokens({ guide }), EMPTY).guide).toEqual(guide)
      }),
      { numRuns: 60 },
    )
  })

  test('of any colours come back', () => {
    const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0').toUpperCase()}`)
    fc.assert(
      fc.property(fc.array(hex, { maxLength: 12 }), (list) => {
        const guide = { ...DEFAULT_GUIDE, colours: list.map((one, i) => ({ role: `c-${i}`, hex: one })) }
        expect(read(designTokens({ guide }), EMPTY).guide.colours).toEqual(guide.colours)
      }),
    )
  })
})

describe('custom properties', () => {
  test('of the guide come back as its colours, spaces and corners', () => {
    const css = cssProperties(site)
    expect(css).toContain('  --accent: #ffd36b;\n')
    const { guide } = readCssProperties(css, site.guide)
    const plain = ({ colours, spaces, corners }: typeof guide) => ({
      colours: colours.map(({ role, hex }) => [role, hex]),
      spaces,
      corners,
    })
    expect(plain(guide)).toEqual(plain(site.guide))
  })

  test('of others change what has their name, add colours, and name what has no place', () => {
    const css =
      ':root { --accent: oklch(0.7 0.15 40); --brand: rebeccapurple; --space-4: 1.25rem; --radius-big: 20px; --ease: ease-in }'
    const { guide, changed, unread } = readCssProperties(css, site.guide)
    expect(guide.colours.find((one) => one.role === 'accent')).toMatchObject({ only: ['calls'] })
    expect(guide.colours.find((one) => one.role === 'brand')!.hex).toBe('#663399')
    expect(guide.spaces.find((one) => one.name === 'space-4')!.size).toEqual({ value: 1.25, unit: 'rem' })
    expect(guide.corners.at(-1)).toEqual({ name: 'radius-big', size: { value: 20, unit: 'px' } })
    expect([changed, unread]).toEqual([['accent', 'brand', 'space-4', 'radius-big'], ['ease']])
  })

  test('that are none get a sentence', () => {
    expect(() => readCssProperties('a { color: red }', site.guide)).toThrow(/no custom properties/)
    expect(() => readCssProperties('}{', site.guide)).toThrow(/no CSS that can be read|no custom properties/)
  })
})

describe('a list of colours that is pasted', () => {
  test.each<[string, string[]]>([
    ['#FFD36B, #1a1d47', ['#FFD36B', '#1A1D47']],
    ['ffd36b 1a1d47\nabc', ['#FFD36B', '#1A1D47', '#AABBCC']],
    ['rgb(255 211 107); hsl(0, 100%, 50%)', ['#FFD36B', '#FF0000']],
    ['oklch(0.628 0.2577 29.23)', ['#FF0000']],
  ])('“%s”', (text, hexes) => {
    expect(readColourList(text).colours.map((one) => one.hex)).toEqual(hexes)
  })

  test('may have names, and says what is no colour', () => {
    expect(readColourList('Lamp Yellow: #FFD36B\n--night: #0E0F2B\nblueish')).toEqual({
      colours: [
        { name: 'lamp-yellow', hex: '#FFD36B' },
        { name: 'night', hex: '#0E0F2B' },
      ],
      unread: ['blueish'],
    })
  })
})

test('JSON values are the same whatever the order of their keys', () => {
  expect(isSame({ a: 1, b: [1, { c: 2 }] }, { b: [1, { c: 2 }], a: 1 })).toBe(true)
  expect(isSame({ a: 1, b: undefined }, { a: 1 })).toBe(true)
  expect(isSame([1], { 0: 1 })).toBe(false)
  expect(isSame({ a: 1 }, { a: 1, b: 2 })).toBe(false)
  expect(isSame(null, {})).toBe(false)
})
