import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { coloursOfLayers, type FillLayer, fillLayersSchema, fillLayersToCss, isGradient, newFillLayer } from './fill-layers'
import { draggedGradient, gradientHandles } from './gradient-handles'

const accent = { role: 'accent' }
const ink = { hex: '#101820', alpha: 0.5 }
const css = (layers: FillLayer[]) =>
  Object.fromEntries(fillLayersToCss(layers, (id) => (id === 'slate' ? { one: 'a.webp', two: 'b.webp' } : undefined)))

describe('fill layers', () => {
  test('are printed the uppermost first, and say only what is not usual', () => {
    const linear: FillLayer = {
      kind: 'linear',
      angle: 90,
      space: 'srgb',
      stops: [
        { at: 0, colour: accent },
        { at: 100, colour: ink },
      ],
    }
    expect(css([linear])).toEqual({ 'background-image': 'linear-gradient(90deg, var(--accent) 0%, #10182080 100%)' })
    expect(
      css([
        { ...linear, space: 'oklch' },
        { kind: 'flat', colour: accent, opacity: 0.5 },
      ])['background-image'],
    ).toBe(
      'linear-gradient(90deg in oklch, var(--accent) 0%, #10182080 100%), linear-gradient(color-mix(in srgb, var(--accent) 50%, transparent), color-mix(in srgb, var(--accent) 50%, transparent))',
    )
  })

  test('blend one by one, and opacity goes into their colours', () => {
    const made = css([
      { kind: 'flat', colour: ink, opacity: 0.5, blend: 'multiply' },
      { kind: 'flat', colour: accent },
    ])
    expect(made['background-blend-mode']).toBe('multiply, normal')
    expect(made['background-image']).toContain('#10182040')
  })

  test('of pictures offer two densities, and are left out where the site has no such picture', () => {
    const picture = (id: string): FillLayer => ({ kind: 'picture', picture: id, fit: 'tile', size: 120, x: 0, y: 50 })
    expect(css([picture('slate')])).toEqual({
      'background-image': 'image-set(url("a.webp") 1x, url("b.webp") 2x)',
      'background-size': '120px',
      'background-position': '0% 50%',
    })
    expect(css([picture('gone')])).toEqual({})
  })

  test('of every kind are valid when they are new', () => {
    for (const kind of ['flat', 'linear', 'radial', 'conic', 'picture', 'dots', 'lines', 'grain'] as const)
      expect(fillLayersSchema.safeParse([newFillLayer(kind, 'slate')]).success).toBe(true)
  })

  test('name their colours', () => {
    expect(coloursOfLayers([newFillLayer('conic')!, newFillLayer('dots')!, newFillLayer('grain')!])).toHaveLength(3)
  })
})

describe('handles of a gradient', () => {
  const size = fc.record({ width: fc.integer({ min: 60, max: 3000 }), height: fc.integer({ min: 60, max: 3000 }) })
  const spot = fc.record({ x: fc.double({ min: 0, max: 1, noNaN: true }), y: fc.double({ min: 0, max: 1, noNaN: true }) })

  test.each(['linear', 'radial', 'conic'] as const)('of a %s one stand where they were dragged', (kind) => {
    fc.assert(
      fc.property(size, spot, fc.nat(2), (box, share, which) => {
        const layer = newFillLayer(kind)!
        if (!isGradient(layer)) return
        const handles = gradientHandles(layer, box)
        const handle = handles[which % handles.length]!
        const middle = handles[0]!
        const to = {
          x: handle.name === 'down' ? middle.x : share.x * box.width,
          y: handle.name === 'across' ? middle.y : share.y * box.height,
        }
        const centre = { x: box.width / 2, y: box.height / 2 }
        fc.pre(Math.hypot(to.x - centre.x, to.y - centre.y) > 12)
        // Radii are lengths: a drag to the other side of the middle is the same one.
        fc.pre(handle.name !== 'across' || to.x > middle.x + box.width * 0.02)
        fc.pre(handle.name !== 'down' || to.y > middle.y + box.height * 0.02)
        const moved = gradientHandles(draggedGradient(layer, handle, to, box), box)[handles.indexOf(handle)]!
        if (handle.name === 'angle') {
          const way = (one: { x: number; y: number }) => Math.atan2(one.y - middle.y, one.x - middle.x)
          expect(Math.abs(Math.sin(way(moved) - way(to)))).toBeLessThan(0.02)
          return
        }
        // Angles are whole degrees and places tenths of a percent.
        const near = Math.hypot(box.width, box.height) * 0.012
        expect(Math.abs(moved.x - to.x)).toBeLessThan(near)
        expect(Math.abs(moved.y - to.y)).toBeLessThan(near)
      }),
    )
  })
})
