import { z } from 'zod'
import { type FieldsOf, fields } from '#core/blocks/kinds'
import { styleSchema, type Style } from '#core/style/registry'
import { idSchema } from './ids'
import { boardCardSchema } from './board'
import { pageBriefSchema, siteBriefSchema } from './brief'
import { BLOCK_KINDS, type BlockKind, CONTAINER_KINDS, type ContainerKind, type WordKind } from './kinds'
import { directionsSchema } from './directions'
import { ownFontSchema } from './fonts'
import { unplacedSchema } from './passage'
import { styleGuideSchema } from './style-guide'

export const FILE_FORMAT = 'yarrowfinch-site'
/** Version of the file format. A file with a higher one is refused by name; see `upgrade.ts` for lower ones. */
export const FILE_VERSION = 3

interface Holding {
  children: Block[]
}
type Common = { id: string; name?: string; hidden?: boolean; style: Style }
/** A block of one kind. */
export type BlockOf<K extends BlockKind> = K extends BlockKind
  ? Common & { kind: K } & FieldsOf<K> & (K extends ContainerKind ? Holding : unknown)
  : never
export type Block = BlockOf<BlockKind>
export type Section = BlockOf<'section'>
export type Container = BlockOf<ContainerKind>
export type WordBlock = BlockOf<WordKind>

const common = {
  id: idSchema,
  name: z.string().trim().min(1).max(80).optional(),
  hidden: z.boolean().optional(),
  style: styleSchema,
}
const containers: readonly BlockKind[] = CONTAINER_KINDS

const kindSchema = (kind: BlockKind) =>
  z.strictObject({
    ...common,
    kind: z.literal(kind),
    ...fields[kind].shape,
    ...(containers.includes(kind) ? { children: z.lazy(() => z.array(blockSchema).max(400)) } : {}),
  })

const kindSchemas = Object.fromEntries(BLOCK_KINDS.map((kind) => [kind, kindSchema(kind)]))
const variants = BLOCK_KINDS.map((kind) => kindSchemas[kind]!) as unknown as [z.ZodObject, ...z.ZodObject[]]

export const blockSchema: z.ZodType<Block> = z.discriminatedUnion('kind', variants).meta({ id: 'Block' }) as never
export const sectionSchema = kindSchemas.section as unknown as z.ZodType<Section>

/** The grid below one width. The first breakpoint of a site has no `below`: it is the base, for all widths. */
export const breakpointSchema = z.strictObject({
  id: idSchema,
  below: z.int().min(240).max(4000).nullable(),
  columns: z.int().min(1).max(24),
  gutter: z.number().min(0).max(200),
  margin: z.number().min(0).max(400),
  /** Greatest width of the columns together, px. */
  container: z.number().min(200).max(4000),
})
export type Breakpoint = z.infer<typeof breakpointSchema>

export const breakpointsSchema = z
  .array(breakpointSchema)
  .min(1)
  .max(12)
  .refine(
    (list) =>
      list.every((one, i) => (i === 0 ? one.below === null : one.below !== null && one.below < (list[i - 1]!.below ?? Infinity))),
    'Breakpoints run from the widest to the narrowest; the first is the base and has no width.',
  )

export const addressSchema = z
  .string()
  .max(80)
  .regex(/^([a-z0-9]+(-[a-z0-9]+)*)?$/, 'An address has lower case letters and figures, joined by hyphens.')

export const pageSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1).max(120),
  /** Last part of the page's URL; empty for the site's first page. */
  address: addressSchema,
  title: z.record(z.string(), z.string().max(200)),
  description: z.record(z.string(), z.string().max(500)),
  /** True for a page that navigation blocks leave out, as a confirmation. */
  unlisted: z.boolean().optional(),
  brief: pageBriefSchema,
  sections: z.array(sectionSchema).max(200),
})
export type Page = z.infer<typeof pageSchema>

export const pictureSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(200),
  /** SHA-256 of the original's bytes, in hex; the name that it is stored under. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/svg+xml']),
  width: z.int().positive().max(30_000),
  height: z.int().positive().max(30_000),
})
export type Picture = z.infer<typeof pictureSchema>

export const siteSchema = z.strictObject({
  format: z.literal(FILE_FORMAT),
  version: z.literal(FILE_VERSION),
  name: z.string().trim().min(1, 'A site needs a name.').max(120),
  /** The language that words are first written in; a BCP 47 tag. */
  language: z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/),
  breakpoints: breakpointsSchema,
  /** Widths of the views, px. */
  views: z.array(z.int().min(240).max(3840)).min(1).max(6),
  /** The style guide of the current direction. */
  guide: styleGuideSchema,
  directions: directionsSchema,
  /** Fonts that were uploaded. */
  fonts: z.array(ownFontSchema).max(40),
  pictures: z.array(pictureSchema).max(2000),
  pages: z.array(pageSchema).min(1).max(200),
  brief: siteBriefSchema,
  /** Words of the copy deck that stand on no page, in the order of the deck. */
  unplaced: z.array(unplacedSchema).max(5000),
  /** The references board. */
  board: z.array(boardCardSchema).max(500),
})
export type Site = z.infer<typeof siteSchema>
