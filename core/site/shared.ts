import { z } from 'zod'
import { type Block, blockSchema } from '#core/blocks/index'
import { type Style, styleSchema } from '#core/style/registry'
import { idSchema, isFreeKey } from '#core/values/ids'

/** Most guises of one shared block. */
export const MOST_GUISES = 12

/** What one part of a shared block has otherwise in a guise: style values, and fields of its kind. */
const differsSchema = z.strictObject({
  style: styleSchema.optional(),
  fields: z
    .record(
      z
        .string()
        .regex(/^[a-zA-Z]{1,40}$/)
        .refine(isFreeKey),
      z.json(),
    )
    .optional(),
})
export type Differs = { style?: Style | undefined; fields?: Record<string, z.core.util.JSONType> | undefined }

/** An alternative of a shared block: what it has otherwise, by the ids of its parts. */
export const guiseSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1, 'A guise needs a name.').max(80),
  parts: z.record(idSchema, differsSchema),
})
export type Guise = { id: string; name: string; parts: Record<string, Differs> }

/**
 * A block that is defined once and placed many times. Its parts are the blocks in `block`; each copy on a page is a
 * whole block tree whose blocks name the parts that they are copies of, and which edits keep equal to it but for what is
 * each copy's own: words, pictures and links, and where it stands.
 */
export const sharedSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1, 'A shared block needs a name.').max(80),
  block: blockSchema,
  guises: z.array(guiseSchema).max(MOST_GUISES),
})
export type SharedBlock = { id: string; name: string; block: Block; guises: Guise[] }
