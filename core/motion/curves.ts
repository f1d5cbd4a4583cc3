import { z } from 'zod'

/** Curves by their names in CSS, as the two points of a cubic Bézier (CSS Easing 2, 3.2). */
export const CURVES = {
  linear: [0, 0, 1, 1],
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
} as const satisfies Record<string, Curve>

/** Two points: x1, y1, x2, y2; x within 0 to 1, y may go past both ends. */
export type Curve = readonly [number, number, number, number]
export type CurveName = keyof typeof CURVES
export const CURVE_NAMES = Object.keys(CURVES) as CurveName[]

const x = z.number().min(0).max(1)
const y = z.number().min(-2).max(3)

/** A named curve, or one of its own. */
export const easingSchema = z.union([z.enum(CURVE_NAMES), z.tuple([x, y, x, y])])
export type Easing = z.infer<typeof easingSchema>
