import { expect, test } from 'vitest'
import { boundsOf, pathOf } from './icon-bounds'

type Shape = Parameters<typeof pathOf>[0]
const shape = (tag: string, values: Record<string, string>) => [tag, values] as unknown as Shape

test('each shape of an icon is the path that SVG gives for it', () => {
  const cases: [Shape, string][] = [
    [shape('path', { d: 'M1 2L3 4' }), 'M1 2L3 4'],
    [shape('polyline', { points: '1 2 3 4' }), 'M1 2 3 4'],
    [shape('polygon', { points: ' 1 2 3 4 5 0 ' }), 'M1 2 3 4 5 0Z'],
    [shape('polygon', {}), ''],
    [shape('line', { x1: '1', y1: '2', x2: '9', y2: '4' }), 'M1 2L9 4'],
    [shape('rect', { x: '2', y: '3', width: '10', height: '6' }), 'M2 3H12V9H2Z'],
    [shape('circle', { cx: '12', cy: '12', r: '5' }), 'M7 12A5 5 0 1 1 17 12A5 5 0 1 1 7 12Z'],
    [shape('ellipse', { cx: '12', cy: '12', rx: '6', ry: '3' }), 'M6 12A6 3 0 1 1 18 12A6 3 0 1 1 6 12Z'],
  ]
  for (const [one, path] of cases) expect(pathOf(one)).toBe(path)
  // Corners are no rounder than half of the shorter side.
  expect(pathOf(shape('rect', { width: '10', height: '4', rx: '9' }))).toContain('A2 2')
})

test('an icon is seen where its lines are, with half of their width around them', () => {
  expect(boundsOf([shape('line', { x1: '4', y1: '6', x2: '20', y2: '6' })] as never, 2)).toEqual([3, 5, 18, 2])
  expect(boundsOf([shape('circle', { cx: '12', cy: '12', r: '5' })] as never, 2)).toEqual([6, 6, 12, 12])
  expect(boundsOf([] as never)).toEqual([0, 0, 24, 24])
})
