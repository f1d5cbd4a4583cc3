import { z } from 'zod'

/** Shapes of an icon on a 24 x 24 field, kept in the site so that a file needs nothing else to be drawn. */
export const iconSchema = z.strictObject({
  name: z.string().regex(/^[a-z0-9-]{1,60}$/),
  nodes: z
    .array(
      z.tuple([
        z.enum(['path', 'circle', 'rect', 'line', 'polyline', 'polygon', 'ellipse']),
        z.partialRecord(
          z.enum(['d', 'cx', 'cy', 'r', 'rx', 'ry', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'width', 'height', 'points', 'fill']),
          z
            .string()
            .regex(/^[\w\s.,-]*$/)
            .max(4000),
        ),
      ]),
    )
    .max(40),
})
export type Icon = z.infer<typeof iconSchema>
