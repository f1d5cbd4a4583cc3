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

const shadowLayer = { x: px, y: px, blur: px.min(0), spread: px, colour: colourSchema }

/** Most shadows of one box, or of the words of one block. */
export const MOST_SHADOWS = 6

export const shadowSchema = z.union([
  z.strictObject({ token: nameSchema }),
  z.strictObject(shadowLayer),
  /** Several, the uppermost first; those that fall inwards lie in the box. */
  z.strictObject({
    layers: z
      .array(z.strictObject({ ...shadowLayer, inset: z.literal(true).optional() }))
      .min(1)
      .max(MOST_SHADOWS),
  }),
])

/** Shadows of words, the uppermost first. */
export const textShadowSchema = z
  .array(z.strictObject({ x: px, y: px, blur: px.min(0), colour: colourSchema }))
  .min(1)
  .max(MOST_SHADOWS)

export type Colour = z.infer<typeof colourSchema>
export type Shadow = z.infer<typeof shadowSchema>

/** A shadow of a box as it is listed: one without layers is its own only layer; one of the guide has none. */
export const layersOfShadow = (shadow: Shadow | undefined): OwnShadow[] =>
  shadow === undefined || 'token' in shadow ? [] : 'layers' in shadow ? shadow.layers : [shadow]
type OwnShadow = Extract<Shadow, { layers: unknown }>['layers'][number]

/** Every colour that a shadow names. */
export const coloursOfShadow = (shadow: Shadow | undefined): Colour[] => layersOfShadow(shadow).map((one) => one.colour)

/** `role('ink')`, for defaults and tests. */
export const role = (name: string, alpha?: number): Colour => (alpha === undefined ? { role: name } : { role: name, alpha })
