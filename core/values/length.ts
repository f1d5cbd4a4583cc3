import { z } from 'zod'
import { nameSchema } from './name'

const px = z.number().min(-10_000).max(10_000)

/** Units that a length may be written in. `columns` counts columns of the grid that the block stands in. */
export const LENGTH_UNITS = ['px', '%', 'rem', 'em', 'ch', 'vh', 'columns'] as const

/** A size that grows from one px value at one viewport width, px, to another px value at a second width. */
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

export type Fluid = z.infer<typeof fluidSchema>
export type Length = z.infer<typeof lengthSchema>

/** `pixels(16)` and `token('space-4')`, for defaults and tests. */
export const pixels = (value: number): Length => ({ value, unit: 'px' })
export const token = (name: string): { token: string } => ({ token: name })
