import { z } from 'zod'
import { colourSchema } from '#core/values/colour'
import { lengthSchema } from '#core/values/length'
import { nameSchema } from '#core/values/name'
import { buttonKindSchema, looksSchema, USES } from './looks'

const colourRoleSchema = z.strictObject({
  role: nameSchema,
  hex: z.string().regex(/^#[0-9a-fA-F]{6}$/, 'A colour is written #RRGGBB.'),
  /** What the role is meant for; anything, where it is not said. */
  only: z.array(z.enum(USES)).min(1).max(USES.length).optional(),
})

const typeRoleSchema = z.strictObject({
  role: nameSchema,
  /** Name of one of the guide's faces. */
  face: nameSchema,
  weight: z.int().min(1).max(1000),
  /** A step of the guide's scale, or a size of its own. */
  size: z.union([z.strictObject({ step: z.number().min(-4).max(12).multipleOf(0.5) }), lengthSchema]),
  /** A figure of its own; the guide's leading, which falls as size grows, where there is none. */
  leading: z.number().min(0.7).max(3).optional(),
  tracking: z.number().min(-0.2).max(1),
  lines: z.enum(['wrap', 'balance', 'pretty']).optional(),
  letterCase: z.enum(['as-typed', 'capitals', 'small-capitals']).optional(),
  italic: z.boolean().optional(),
  /** True to hang quotation marks and full stops outside the edge, where the browser can. */
  hanging: z.boolean().optional(),
  /** Figures of one width, for columns of them. */
  figures: z.enum(['tabular', 'old-style']).optional(),
})

const px = z.number().min(-500).max(500)
const layerSchema = z.strictObject({ x: px, y: px, blur: px.min(0), spread: px, colour: colourSchema })

const ends = (value: z.ZodNumber) => z.strictObject({ narrow: value, wide: value })

export const scaleSchema = z
  .strictObject({
    /** Size of step 0, px. */
    base: ends(z.number().min(6).max(60)),
    /** Each step is the one below it times this. */
    ratio: ends(z.number().min(1).max(2)),
    /** Viewport widths between which sizes grow, px. */
    at: ends(z.int().min(200).max(4000)),
  })
  .refine(({ at }) => at.narrow < at.wide, 'The scale needs two different widths, the narrow one first.')

/** The style guide: colour roles, faces, type roles, scales, and how what can be pressed looks. */
export const styleGuideSchema = z.strictObject({
  colours: z.array(colourRoleSchema).max(60),
  faces: z
    .array(z.strictObject({ name: nameSchema, family: nameSchema }))
    .min(1)
    .max(12),
  scale: scaleSchema,
  /** Leading at 16 px and at 76 px, as multiples of the size. */
  leading: z.strictObject({ small: z.number().min(0.8).max(3), large: z.number().min(0.7).max(2) }),
  types: z.array(typeRoleSchema).max(40),
  /** Step of the rhythm that heights are multiples of, px. */
  baseline: z.number().min(1).max(40),
  spaces: z.array(z.strictObject({ name: nameSchema, size: lengthSchema })).max(30),
  corners: z.array(z.strictObject({ name: nameSchema, size: lengthSchema })).max(12),
  light: z.strictObject({
    /** Where light comes from, degrees: 0 from above, 90 from the right. */
    angle: z.number().min(-90).max(90),
    strength: z.number().min(0).max(1),
    /** Colour role of the shadows. */
    role: nameSchema,
  }),
  /** Layers of their own, or a height above the page, px, from which and from the light they follow. */
  shadows: z
    .array(
      z.union([
        z.strictObject({ name: nameSchema, height: z.number().min(0).max(100) }),
        z.strictObject({ name: nameSchema, layers: z.array(layerSchema).max(6) }),
      ]),
    )
    .max(12),
  buttons: z.array(buttonKindSchema).min(1).max(12),
  looks: looksSchema,
})

export type StyleGuide = z.infer<typeof styleGuideSchema>
export type TypeRole = z.infer<typeof typeRoleSchema>
