import { z } from 'zod'

const percent = z.number().min(0).max(100)

/** The outline that a picture or a box is cut to, in percent of its sides. */
export const frameSchema = z.union([
  z.strictObject({ shape: z.enum(['none', 'circle', 'arch']) }),
  /** One edge that rises to the right by a part of the height, or falls where it is below nought. */
  z.strictObject({ shape: z.literal('slant'), edge: z.enum(['top', 'bottom']), rise: z.number().min(-60).max(60) }),
  z.strictObject({
    shape: z.literal('polygon'),
    points: z
      .array(z.strictObject({ x: percent, y: percent }))
      .min(3)
      .max(24),
  }),
])
export type Frame = z.infer<typeof frameSchema>

const point = (x: number, y: number) => `${Number(x.toFixed(2))}% ${Number(y.toFixed(2))}%`

/** The `clip-path` of a frame. */
export function frameToCss(frame: Frame): string {
  switch (frame.shape) {
    case 'none':
      return 'none'
    case 'circle':
      return 'circle()'
    case 'arch':
      // Radii that are too large are made smaller alike, so that the two meet in the middle (CSS Backgrounds 3, 4.5).
      return 'inset(0 round 100vmax 100vmax 0 0)'
    case 'polygon':
      return `polygon(${frame.points.map(({ x, y }) => point(x, y)).join(', ')})`
    case 'slant': {
      const [left, right] = frame.rise >= 0 ? [frame.rise, 0] : [0, -frame.rise]
      return frame.edge === 'top'
        ? `polygon(${point(0, left)}, ${point(100, right)}, 100% 100%, 0% 100%)`
        : `polygon(0% 0%, 100% 0%, ${point(100, 100 - left)}, ${point(0, 100 - right)})`
    }
  }
}

/** Points typed as “0 0, 100 0, 80 100”, in percent across and down; nothing where they are none. */
export function parsePoints(text: string): { x: number; y: number }[] | undefined {
  const points = text.split(/[,;]/).map((one) => one.trim().split(/\s+/).map(Number))
  const made = points.map(([x, y]) => ({ x: x!, y: y! }))
  const fits = points.every((one) => one.length === 2) && frameSchema.safeParse({ shape: 'polygon', points: made }).success
  return fits ? made : undefined
}

export const pointsText = (points: readonly { x: number; y: number }[]): string => points.map(({ x, y }) => `${x} ${y}`).join(', ')
