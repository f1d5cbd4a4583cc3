import { expect, test } from 'vitest'
import type { FillLayer } from '#core/style/fill-layers'
import { isUneven, layersOfFill, seenColour } from './layers'

const rect = { left: 0, top: 0, width: 200, height: 100 }
const roles = [{ role: 'ink', hex: '#102030' }]
const around = {
  colour: (colour: Parameters<typeof seenColour>[0]) => seenColour(colour, roles),
  picture: (id: string) => (id === 'sea' ? { url: '/sea', size: { width: 400, height: 300 } } : undefined),
}
const painted = (...layers: FillLayer[]) => layersOfFill(layers, rect, around)
const ink = { r: 16, g: 32, b: 48, a: 1 }
const flat = (colour: FillLayer & { kind: 'flat' } extends infer F ? (F extends { colour: infer C } ? C : never) : never) =>
  ({ kind: 'flat', colour }) as FillLayer

test('the uppermost layer is the last that is painted, each with its opacity and blend', () => {
  const made = painted({ ...flat({ hex: '#ffffff' }), opacity: 0.5, blend: 'multiply' } as FillLayer, flat({ role: 'ink' }))
  expect(made).toEqual([
    { rect, kind: 'colour', colour: ink },
    { rect, opacity: 0.5, blend: 'multiply', kind: 'colour', colour: { r: 255, g: 255, b: 255, a: 1 } },
  ])
})

test('dots and lines count with the share of the box that they cover, and never for more than all of it', () => {
  const dots = (thick: number) => painted({ kind: 'dots', colour: { hex: '#000000' }, apart: 10, thick } as FillLayer)[0]
  // A disc of 4 px in each square of 10 px: π · 2² / 10².
  expect(dots(4)).toMatchObject({ colour: { a: expect.closeTo(0.12566, 4) as number } })
  expect(dots(40)).toMatchObject({ colour: { a: 1 } })
  const lines = (thick: number) =>
    painted({ kind: 'lines', colour: { hex: '#000000', alpha: 0.5 }, apart: 12, thick, angle: 45 } as FillLayer)[0]
  expect(lines(3)).toMatchObject({ colour: { a: 0.125 } })
  expect(lines(30)).toMatchObject({ colour: { a: 0.5 } })
})

test('grain is black or white with the mean of its noise', () => {
  expect(painted({ kind: 'grain', light: true } as FillLayer)[0]).toMatchObject({
    kind: 'colour',
    colour: { r: 255, g: 255, b: 255 },
  })
  expect(painted({ kind: 'grain', light: false } as FillLayer)[0]).toMatchObject({ colour: { r: 0, g: 0, b: 0, a: 0.35 } })
})

test('a gradient is painted with all its stops, or, where a role of one is gone, not at all', () => {
  const gradient = (...names: string[]) =>
    ({
      kind: 'linear',
      angle: 90,
      space: 'srgb',
      opacity: 0.4,
      stops: names.map((role, n) => ({ at: n * 100, colour: { role } })),
    }) as unknown as FillLayer
  const [one] = painted(gradient('ink', 'ink'))
  expect(one).toMatchObject({ kind: 'gradient', opacity: 0.4, gradient: { kind: 'linear', angle: 90, space: 'srgb' } })
  expect(one).toMatchObject({
    gradient: {
      stops: [
        { at: 0, colour: ink },
        { at: 100, colour: ink },
      ],
    },
  })
  expect((one as { gradient: object }).gradient).not.toHaveProperty('opacity')
  expect(painted(gradient('ink', 'gone'))).toEqual([])
  expect(isUneven(one!)).toBe(true)
})

test('a picture is whole, fills, or is repeated, as it is set; one that is gone is nothing', () => {
  const picture = (more: object) => painted({ kind: 'picture', picture: 'sea', x: 30, y: 70, ...more } as FillLayer)[0]
  expect(picture({ fit: 'contain' })).toMatchObject({ crop: { fit: 'contain', focal: { x: 30, y: 70 } }, url: '/sea' })
  expect(picture({ fit: 'cover' })).not.toHaveProperty('tile')
  expect(picture({ fit: 'tile' })).toMatchObject({ tile: 200, crop: { fit: 'cover' } })
  expect(picture({ fit: 'tile', size: 90 })).toMatchObject({ tile: 90 })
  expect(painted({ kind: 'picture', picture: 'lost', fit: 'cover', x: 0, y: 0 } as FillLayer)).toEqual([])
})

test('a role that lets all through has no hue; one that the guide has not got is not seen', () => {
  expect(seenColour({ role: 'gone', alpha: 0 }, roles)).toEqual({ r: 0, g: 0, b: 0, a: 0 })
  expect(seenColour({ role: 'gone' }, roles)).toBeUndefined()
  expect(painted(flat({ role: 'gone' } as never))).toEqual([])
  expect(isUneven({ rect, kind: 'colour', colour: ink })).toBe(false)
})
