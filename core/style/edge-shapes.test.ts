import { describe, expect, test } from 'vitest'
import { EDGE_SHAPES, edgePath, edgeToCss } from './edge-shapes'
import { maskToCss } from './masks'

describe('shapes of the edges of a section', () => {
  test.each(EDGE_SHAPES)('%s is a closed path that ends at the far corners', (shape) => {
    for (const mirrored of [undefined, true] as const) {
      const path = edgePath({ shape, mirrored }, 80, 40)
      expect(path).toMatch(/^M.*Z$/)
      expect(path).toContain('L80 40'.replace('80', mirrored ? '0' : '80'))
      expect(path).not.toContain('NaN')
    }
  })

  test('stand on their heads at the top, and repeat in px where they are steps', () => {
    const top = Object.fromEntries(edgeToCss({ shape: 'slant', height: 40, colour: { role: 'ground' } }, 'top'))
    expect(top.inset).toBe('-1px 0 auto')
    expect(top.mask).toContain('matrix(1 0 0 -1 0 100)')
    const steps = Object.fromEntries(edgeToCss({ shape: 'steps', height: 24, every: 60, colour: { role: 'ground' } }, 'bottom'))
    expect(steps.mask).toContain('60px 100% repeat-x')
    expect(steps.background).toBe('var(--ground)')
  })
})

test('a mask fades along its angle, or is cut to a shape', () => {
  expect(maskToCss({ kind: 'fade', angle: 90, from: 20, to: 80 })).toEqual([
    ['mask', 'linear-gradient(90deg, #000 20%, #0000 80%)'],
  ])
  const [[, shape]] = maskToCss({
    kind: 'shape',
    shape: { name: 'disc', nodes: [['circle', { cx: '12', cy: '12', r: '12' }]] },
  }) as [[string, string]]
  expect(decodeURIComponent(shape)).toContain("<circle cx='12' cy='12' r='12'/>")
  expect(maskToCss({ kind: 'none' })).toEqual([['mask', 'none']])
})
