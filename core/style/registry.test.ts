import { lexer, parse } from 'css-tree'
import { describe, expect, test } from 'vitest'
import { BLOCK_KINDS, traitsOf } from '#core/blocks/index'
import { sharedRules, tokenDeclarations } from '#core/render/guide-rules'
import { DEFAULT_BREAKPOINTS, newSite } from '#core/site/defaults'
import { pixels } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'
import type { Layout, Setting } from './property'
import { appliesTo, hasColumn } from '#core/blocks/applies'
import { inOrder, properties, type PropertyName, propertyNames, propertyOf, statesOfStyle, styleSchema, valuesIn } from './registry'
import { valueAt } from './cascade'

const px = { value: 12, unit: 'px' }
/** A value of each property, to be printed. */
const SAMPLES: Record<PropertyName, unknown> = {
  layout: 'grid',
  reach: 'full',
  rowSizes: [{ value: 200, unit: 'px' }, 'content'],
  rowSpan: 2,
  rowStart: 1,
  layer: 'raised',
  tracks: 3,
  span: 4,
  start: 2,
  gap: px,
  rowGap: px,
  justify: 'center',
  align: 'end',
  wrap: true,
  scrolls: true,
  itemWidth: { value: 240, unit: 'px' },
  shown: false,
  clips: true,
  rows: 'scroll',
  position: 'sticky',
  top: px,
  right: px,
  bottom: px,
  left: px,
  selfJustify: 'end',
  selfAlign: 'center',
  grow: true,
  order: 2,
  width: px,
  maxWidth: px,
  minHeight: { value: 80, unit: 'vh' },
  height: px,
  spaceBefore: px,
  spaceAfter: { token: 'space-4' },
  paddingTop: px,
  paddingBottom: px,
  spaceStart: px,
  spaceEnd: px,
  paddingSides: px,
  paddingStart: px,
  paddingEnd: px,
  face: 'heading',
  weight: 560,
  size: { fluid: { from: { at: 375, px: 30 }, to: { at: 1360, px: 60 } } },
  leading: 1.2,
  tracking: -0.01,
  textAlign: 'center',
  wordsAt: 'center',
  lines: 'balance',
  letterCase: 'capitals',
  italic: 'italic',
  ink: { role: 'ink' },
  fill: { hex: '#1A1D47', alpha: 0.5 },
  motion: [{ kind: 'parallax', speed: 0.5 }],
  kept: 'dome',
  fillLayers: [
    {
      kind: 'linear',
      angle: 90,
      space: 'oklch',
      stops: [
        { at: 0, colour: { role: 'ink' } },
        { at: 100, colour: { role: 'ground' } },
      ],
    },
  ],
  edgeWidth: 2,
  edgeSides: 'top',
  edgeColour: { role: 'line' },
  corner: px,
  shadow: { x: 0, y: 2, blur: 4, spread: 0, colour: { hex: '#000000', alpha: 0.2 } },
  contact: { height: 20, colour: { role: 'ink', alpha: 0.4 } },
  opacity: 0.5,
  underline: true,
  lift: 3,
  transition: { duration: 0.3, easing: 'ease-out', delay: 0.1 },
  touch: 'hover',
  aspect: { width: 4, height: 3 },
  fit: 'contain',
  zoom: 1.5,
  flip: 'across',
  filter: { brightness: 0.8, blur: 4 },
  frame: { shape: 'arch' },
  corners: [8, 8, 0, 0],
  blend: 'multiply',
  behind: { blur: 12 },
  around: { role: 'ink', alpha: 0.5 },
  edgeWidths: [1, 0, 2, 0],
  edgeLine: 'dashed',
  outline: { width: 2, offset: -8, colour: { role: 'ink' } },
  textShadow: [{ x: 0, y: 1, blur: 4, colour: { role: 'ink', alpha: 0.6 } }],
  topShape: { shape: 'slant', height: 40, colour: { role: 'ground' } },
  bottomShape: { shape: 'ridge', height: 12, every: 30, colour: { role: 'ground' } },
  mask: { kind: 'fade', angle: 180, from: 60, to: 100 },
  icon: { icon: { name: 'disc', nodes: [['circle', { cx: '12', cy: '12', r: '10' }]] }, place: 'before', size: 24, gap: -4 },
  duotone: { dark: { role: 'ink' }, light: { role: 'ground' } },
  focal: { x: 20, y: 80 },
  scrim: { colour: { role: 'ink' }, from: 0.5, to: 0, angle: 90 },
}

const setting = (layout: Layout, parent: Layout): Setting => ({
  traits: traitsOf('group'),
  parent,
  inSection: parent === 'grid',
  layout,
  columns: 12,
  viewportUnit: 'unit',
})
const LAYOUTS: Layout[] = ['grid', 'row', 'column', 'overlay']

/** Properties that are newer than what the lexer knows of. */
const NEWER = new Set(['text-wrap'])

const site = newSite('Test', testIds())
/** What the custom properties of a new site's pages stand for. */
const ROOT = new Map(
  sharedRules(site, 'everything')
    .filter((one) => one.selector === ':root')
    .flatMap((one) => one.declarations)
    .concat(tokenDeclarations(site)),
)

/** A value with its custom properties put in: the page's, or else what the value itself falls back on. */
function resolved(value: string, depth = 0): string {
  const inner = /var\((--[\w-]+)(?:,\s*([^()]*(?:\([^()]*\)[^()]*)*))?\)/
  const found = inner.exec(value)
  if (!found || depth > 50) return value
  const stands = ROOT.get(found[1]!) ?? found[2]
  if (stands === undefined) throw new Error(`Nothing says what ${found[1]} is, in ${value}.`)
  return resolved(
    value.replace(found[0], () => stands),
    depth + 1,
  )
}

describe('every style property', () => {
  test.each(propertyNames)('%s takes its sample, in the base, below a breakpoint and on hover', (name) => {
    expect(propertyOf(name).schema.safeParse(SAMPLES[name]).success).toBe(true)
    for (const style of [{ base: { [name]: SAMPLES[name] } }, { below: { narrow: { [name]: SAMPLES[name] } } }])
      expect(styleSchema.parse(style)).toEqual(style)
  })

  test.each(propertyNames)('%s refuses text that is CSS, and nonsense', (name) => {
    for (const value of ['red; background: url(x)', { value: 1, unit: 'furlong' }, Number.NaN, [], null]) {
      expect(propertyOf(name).schema.safeParse(value).success).toBe(false)
    }
  })

  test.each(propertyNames)('%s prints declarations that parse, in every layout', (name) => {
    for (const layout of LAYOUTS) {
      for (const parent of LAYOUTS) {
        for (const [property, value] of propertyOf(name).css(SAMPLES[name], setting(layout, parent))) {
          const problems: string[] = []
          parse(`a{${property}:${value}}`, { onParseError: (error) => void problems.push(error.message) })
          expect(problems).toEqual([])
          expect(value).not.toMatch(/[{};]|undefined|NaN/)
          // As a page of a new site has it: custom properties stand for values, which must be such as the property takes.
          const whole = resolved(value)
          expect(whole).not.toMatch(/var\(/)
          if (property.startsWith('--') || NEWER.has(property)) continue
          const { error } = lexer.matchProperty(property, whole)
          if (error) expect(`${property}: ${whole}: ${error.message}`).toBe('')
        }
      }
    }
  })

  test.each(propertyNames)('%s has a name in the interface, and applies to some kind of block', (name) => {
    expect(properties[name].label).toMatch(/^[A-Z][^A-Z]*$/)
    expect(BLOCK_KINDS.some((kind) => appliesTo(name, kind))).toBe(true)
  })
})

test('each kind of block has the tray columns that it has settings for', () => {
  expect(hasColumn('picture', 'picture')).toBe(true)
  expect(hasColumn('picture', 'text')).toBe(false)
  expect(hasColumn('type', 'divider')).toBe(false)
  expect(hasColumn('place', 'divider')).toBe(true)
})

describe('the value that holds', () => {
  const style = { base: { order: 1 }, below: { middle: { order: 2 } } }

  test('is the exception of the range, of the nearest wider one, or the base', () => {
    expect([0, 1, 2].map((index) => valueAt(style, 'order', DEFAULT_BREAKPOINTS, index))).toEqual([1, 2, 2])
    expect(valueAt(style, 'span', DEFAULT_BREAKPOINTS, 2)).toBeUndefined()
    expect(valueAt({ below: { narrow: { order: 5 } } }, 'order', DEFAULT_BREAKPOINTS, 1)).toBeUndefined()
  })

  test('in a scope is what the scope alone sets', () => {
    expect(valuesIn(style, 'base')).toEqual({ order: 1 })
    expect(valuesIn(style, { below: 'middle' })).toEqual({ order: 2 })
    expect(valuesIn(style, { below: 'narrow' })).toBeUndefined()
    expect(valuesIn(style, 'hover')).toBeUndefined()
  })
})

test('values are printed in one order, in whichever they were set', () => {
  const values = { paddingEnd: pixels(8), paddingSides: pixels(24), span: 4 }
  expect(Object.keys(inOrder(values))).toEqual(['span', 'paddingSides', 'paddingEnd'])
  const inside = inOrder(values)
  expect(inOrder(inside)).toBe(inside)
  expect(statesOfStyle({ hover: values }).map(([, one]) => Object.keys(one))).toEqual([['span', 'paddingSides', 'paddingEnd']])
})
