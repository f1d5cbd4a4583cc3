import { z } from 'zod'
import { colourSchema } from '#core/values/colour'
import { attributes } from './element'
import { element } from './html'
import type { BlockBase, Kind } from './kind'
import { roundedPolygon, roundedPath } from './rounded'

const coordinate = z.number().min(-10_000).max(10_000)

/** Path data (SVG 2, 9.3): letters of commands, and figures. */
export const pathSchema = z
  .string()
  .max(20_000)
  .regex(/^[MmLlHhVvCcSsQqTtAaZz\d\s.,eE+-]*$/, 'A path is written in the letters and figures of SVG path data.')

/** Most parts of one drawing. */
export const MOST_PARTS = 60

const fields = z.strictObject({
  /** The field that it is drawn on, from its top left corner. */
  view: z.strictObject({ width: z.number().positive().max(10_000), height: z.number().positive().max(10_000) }),
  parts: z
    .array(
      z.strictObject({
        /** Corners of a polygon, or the data of a path. */
        points: z
          .array(z.strictObject({ x: coordinate, y: coordinate }))
          .min(3)
          .max(60)
          .optional(),
        path: pathSchema.optional(),
        /** Radius of its corners, in units of the field. */
        radius: z.number().min(0).max(5000).optional(),
        fill: colourSchema.optional(),
        stroke: colourSchema.optional(),
        strokeWidth: z.number().min(0).max(500).optional(),
      }),
    )
    .min(1)
    .max(MOST_PARTS),
})
export type Shape = BlockBase<'shape', typeof fields>
export type ShapePart = Shape['parts'][number]

/** The path of a part, with its corners rounded. */
export const pathOfPart = ({ points, path = '', radius = 0 }: ShapePart): string =>
  points ? roundedPolygon(points, radius) : roundedPath(path, radius)

/** A leaf-like plate, to begin with. */
const PLATE: ShapePart = {
  points: [
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 120 },
    { x: 0, y: 160 },
  ],
  radius: 24,
  fill: { role: 'accent' },
}

/** A drawing of polygons and paths in colours of the guide; decoration, which those who hear the page are not told of. */
export const shape: Kind<Shape> = {
  fields,
  traits: ['flow', 'sides', 'ratio', 'drawing'],
  colours: ({ parts }) => ({
    others: parts.flatMap(({ fill, stroke }) => [
      ...(fill ? [{ colour: fill, use: 'grounds' as const, what: 'shape' }] : []),
      ...(stroke ? [{ colour: stroke, use: 'edges' as const, what: 'line of a shape' }] : []),
    ]),
  }),
  defaults: () => ({ view: { width: 200, height: 160 }, parts: [PLATE] }),
  element: (block, context) =>
    element(
      'svg',
      attributes(block, context, {
        ariaHidden: 'true',
        viewBox: `0 0 ${block.view.width} ${block.view.height}`,
        // A shape of its own is stretched to its box; without one it is as high as the field says.
        ...(block.style.base?.aspect || block.style.base?.height ? { preserveAspectRatio: 'none' } : {}),
      }),
      block.parts.map((part) => element('path', { d: pathOfPart(part) }, [])),
    ),
}
