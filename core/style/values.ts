import { z } from 'zod'

/** A name of a role or token: lower case words joined by hyphens, so that it can stand in a CSS custom property. */
export const nameSchema = z
  .string()
  .regex(/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/)
  .max(40)

const px = z.number().min(-10_000).max(10_000)

/** Units that a length may be written in. `columns` counts columns of the grid that the block stands in. */
export const LENGTH_UNITS = ['px', '%', 'rem', 'em', 'ch', 'vh', 'columns'] as const

/** A size that grows from one px value at one viewport width to another px value at a second width. */
export const fluidSchema = z
  .strictObject({ from: z.strictObject({ at: px, px }), to: z.strictObject({ at: px, px }) })
  .refine((value) => value.from.at < value.to.at, 'A fluid size needs two different widths, the narrow one first.')

export const lengthSchema = z
  .union([
    z.strictObject({ value: px, unit: z.enum(LENGTH_UNITS) }),
    z.strictObject({ token: nameSchema }),
    z.strictObject({ fluid: fluidSchema }),
  ])
  .meta({ id: 'Length' })

export const colourSchema = z
  .union([
    z.strictObject({ role: nameSchema, alpha: z.number().min(0).max(1).optional() }),
    z.strictObject({
      hex: z.string().regex(/^#[0-9a-fA-F]{6}$/, 'A colour is written #RRGGBB.'),
      alpha: z.number().min(0).max(1).optional(),
    }),
  ])
  .meta({ id: 'Colour' })

export const shadowSchema = z.union([
  z.strictObject({ token: nameSchema }),
  z.strictObject({ x: px, y: px, blur: px.min(0), spread: px, colour: colourSchema }),
])

export type Fluid = z.infer<typeof fluidSchema>
export type Length = z.infer<typeof lengthSchema>
export type Colour = z.infer<typeof colourSchema>
export type Shadow = z.infer<typeof shadowSchema>

/** `px(16)`, for defaults and tests. */
export const pixels = (value: number): Length => ({ value, unit: 'px' })
export const token = (name: string): Length => ({ token: name })
export const role = (name: string, alpha?: number): Colour => (alpha === undefined ? { role: name } : { role: name, alpha })
