import { z } from 'zod'
import { colourSchema, lengthSchema, nameSchema } from '#core/style/values'

const typeRoleSchema = z.strictObject({
  role: nameSchema,
  /** Name of one of the guide's faces. */
  face: nameSchema,
  weight: z.int().min(100).max(1000),
  size: lengthSchema,
  leading: z.number().min(0.7).max(3),
  tracking: z.number().min(-0.2).max(1),
  lines: z.enum(['wrap', 'balance', 'pretty']).optional(),
  letterCase: z.enum(['as-typed', 'capitals']).optional(),
  italic: z.boolean().optional(),
})

const buttonStateSchema = z.strictObject({
  fill: colourSchema.optional(),
  ink: colourSchema.optional(),
  edge: colourSchema.optional(),
})

const buttonKindSchema = z.strictObject({
  name: nameSchema,
  type: nameSchema,
  rest: buttonStateSchema,
  hover: buttonStateSchema,
  edgeWidth: z.number().min(0).max(12),
  corner: lengthSchema,
  paddingBlock: lengthSchema,
  paddingInline: lengthSchema,
})

const layerSchema = z.strictObject({
  x: z.number(),
  y: z.number(),
  blur: z.number().min(0),
  spread: z.number(),
  colour: colourSchema,
})

/** The style guide: colour roles, faces, type roles, scales and kinds of button. */
export const styleGuideSchema = z.strictObject({
  colours: z.array(z.strictObject({ role: nameSchema, hex: z.string().regex(/^#[0-9a-fA-F]{6}$/) })).max(60),
  faces: z.array(z.strictObject({ name: nameSchema, family: nameSchema })).max(12),
  types: z.array(typeRoleSchema).max(40),
  spaces: z.array(z.strictObject({ name: nameSchema, size: lengthSchema })).max(30),
  corners: z.array(z.strictObject({ name: nameSchema, size: lengthSchema })).max(12),
  shadows: z.array(z.strictObject({ name: nameSchema, layers: z.array(layerSchema).max(6) })).max(12),
  buttons: z.array(buttonKindSchema).min(1).max(12),
})

export type StyleGuide = z.infer<typeof styleGuideSchema>
export type TypeRole = z.infer<typeof typeRoleSchema>
export type ButtonKind = z.infer<typeof buttonKindSchema>
