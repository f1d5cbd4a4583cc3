import { z } from 'zod'

/** Shapes of an icon on a 24 x 24 field, kept in the site so that a file needs nothing else to be drawn. */
export const iconSchema = z.strictObject({
  name: z.string().regex(/^[a-z0-9-]{1,60}$/),
  nodes: z
    .array(
      z.tuple([
        z.enum(['path', 'circle', 'rect', 'line', 'polyline', 'polygon', 'ellipse']),
        z.partialRecord(
          z.enum([
            'd',
            'cx',
            'cy',
            'r',
            'rx',
            'ry',
            'x',
            'y',
            'x1',
            'y1',
            'x2',
            'y2',
            'width',
            'height',
            'points',
            'fill',
            'stroke',
            'stroke-width',
            'fill-rule',
          ]),
          z
            .string()
            .regex(/^[\w\s.,-]*$/)
            .max(4000),
        ),
      ]),
    )
    .max(40),
  /** Where on the field something of it is seen: from the left, from the top, width and height. */
  bounds: z.tuple([z.number(), z.number(), z.number().min(0), z.number().min(0)]).optional(),
})
export type Icon = z.infer<typeof iconSchema>

/** Side of the field of an icon. */
export const ICON_FIELD = 24

/**
 * The `viewBox` of an icon: its field; or, for one that is centred, a field of the same size about the middle of what is
 * seen of it, since many icons lean to one side of theirs.
 */
export function viewBoxOf({ bounds }: Pick<Icon, 'bounds'>, centred: boolean): string {
  const round = (value: number) => Number(value.toFixed(2))
  if (!centred || !bounds) return `0 0 ${ICON_FIELD} ${ICON_FIELD}`
  const [x, y, width, height] = bounds
  return `${round(x + width / 2 - ICON_FIELD / 2)} ${round(y + height / 2 - ICON_FIELD / 2)} ${ICON_FIELD} ${ICON_FIELD}`
}
