import { z } from 'zod'
import { nameSchema } from './name'

export const colourSchema = z
  .union([
    z.strictObject({ role: nameSchema, alpha: z.number().min(0).max(1).optional() }),
    z.strictObject({
      hex: z.string().regex(/^#[0-9a-fA-F]{6}$/, 'A colour is written #RRGGBB.'),
      alpha: z.number().min(0).max(1).optional(),
    }),
  ])
  .meta({ id: 'Colour' })

/** Px of an offset, a blur or a spread. */
const px = z.number().min(-10_000).max(10_000)

export const shadowSchema = z.union([
  z.strictObject({ token: nameSchema }),
  z.strictObject({ x: px, y: px, blur: px.min(0), spread: px, colour: colourSchema }),
])

export type Colour = z.infer<typeof colourSchema>
export type Shadow = z.infer<typeof shadowSchema>

/** `role('ink')`, for defaults and tests. */
export const role = (name: string, alpha?: number): Colour => (alpha === undefined ? { role: name } : { role: name, alpha })
