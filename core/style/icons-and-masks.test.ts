import { expect, test } from 'vitest'
import { besideIcon, type HeadingIcon, iconToCss } from './heading-icon'
import { fillLayersToCss } from './fill-layers'
import { maskToCss } from './masks'

const icon = { name: 'star', nodes: [] } as unknown as HeadingIcon['icon']
const at = (place: HeadingIcon['place'], more: Partial<HeadingIcon> = {}): HeadingIcon => ({
  icon,
  place,
  size: 24,
  gap: 8,
  ...more,
})
const valueOf = (list: readonly (readonly [string, string])[], name: string) => list.find(([one]) => one === name)?.[1]

test('an icon stands level with the first line, at the side that it is set to, and the words leave its room free', () => {
  expect(besideIcon(at('before'))).toContainEqual(['padding-inline-start', '32px'])
  expect(besideIcon(at('after'))).toContainEqual(['padding-inline-end', '32px'])
  expect(besideIcon(at('before', { gap: -40 }))).toContainEqual(['padding-inline-start', '0px'])
  expect(besideIcon(at('above'))).toEqual([])
  const before = iconToCss(at('before'), undefined)
  expect([valueOf(before, 'position'), valueOf(before, 'inset-block-start')]).toEqual(['absolute', 'calc((1lh - 24px) / 2)'])
  expect([valueOf(before, 'inset-inline-start'), valueOf(before, 'inset-inline-end')]).toEqual(['0', undefined])
  expect(valueOf(iconToCss(at('after'), undefined), 'inset-inline-end')).toBe('0')
  expect(valueOf(before, 'background')).toBe('currentcolor')
  expect(valueOf(iconToCss(at('before', { colour: { role: 'accent' } }), undefined), 'background')).toBe('var(--accent)')
  // It is generated, and says nothing.
  expect(valueOf(before, 'content')).toBe('""')
})

test('above the words it keeps to their side', () => {
  const place = (align?: string) => / (\S+) 0 \/ 24px no-repeat$/.exec(valueOf(iconToCss(at('above'), align), 'mask')!)![1]
  expect([place(), place('center'), place('end')]).toEqual(['0', '50%', '100%'])
  expect(valueOf(iconToCss(at('above'), undefined), 'margin-block-end')).toBe('8px')
})

test('a mask fades at an angle, is a shape in the middle, or is taken away', () => {
  expect(maskToCss({ kind: 'none' })).toEqual([['mask', 'none']])
  expect(maskToCss({ kind: 'fade', angle: 90, from: 20, to: 80 } as never)).toEqual([
    ['mask', 'linear-gradient(90deg, #000 20%, #0000 80%)'],
  ])
})

test('dots repeat at their distance, and cover the whole box behind the padding', () => {
  const css = fillLayersToCss([{ kind: 'dots', colour: { hex: '#000000' }, apart: 20, thick: 6 }] as never, undefined)
  const text = JSON.stringify(css)
  expect(text).toContain('20px 20px')
  expect(text).toContain('2.75px, transparent 3.25px')
})
