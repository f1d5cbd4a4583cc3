import { z } from 'zod'
import type { StyleGuide } from '#core/guide/style-guide'
import { styleSchema } from '#core/style/registry'
import { idSchema, type MakeId } from '#core/values/ids'
import type { Role } from '#core/values/passage-role'
import type { Trait, Traits } from '#core/style/traits'
import { type Button, button } from './button'
import { type Device, device } from './device'
import { type Divider, divider } from './divider'
import { type Eyebrow, eyebrow } from './eyebrow'
import { type FieldBlock, field } from './field'
import { type FormBlock, form } from './form'
import { type Group, group } from './group'
import { type Heading, heading } from './heading'
import { type IconBlock, icon } from './icon'
import { type Item, item } from './item'
import { copyOfSchema, type Kind } from './kind'
import { type LinkBlock, link } from './link'
import { type List, list } from './list'
import type { GuideColours } from './guide-colours'
import { type Nav, nav } from './nav'
import { type PictureBlock, picture } from './picture'
import { type Quote, quote } from './quote'
import { type Section, section } from './section'
import { type Shape, shape } from './shape'
import { type Slideshow, slideshow } from './slideshow'
import { type Table, table } from './table'
import { type Text, text } from './text'
import { type Video, video } from './video'

/** The blocks of every kind. A section is the outermost. */
interface Blocks {
  section: Section
  group: Group
  eyebrow: Eyebrow
  heading: Heading
  text: Text
  table: Table
  quote: Quote
  button: Button
  picture: PictureBlock
  icon: IconBlock
  shape: Shape
  device: Device
  video: Video
  slideshow: Slideshow
  list: List
  item: Item
  divider: Divider
  nav: Nav
  link: LinkBlock
  form: FormBlock
  field: FieldBlock
}
export type BlockKind = keyof Blocks
/** A block of one kind. */
export type BlockOf<K extends BlockKind> = Blocks[K]
export type Block = Blocks[BlockKind]

const KINDS: { [K in BlockKind]: Kind<Blocks[K]> } = {
  section,
  group,
  eyebrow,
  heading,
  text,
  table,
  quote,
  button,
  picture,
  icon,
  shape,
  device,
  video,
  slideshow,
  list,
  item,
  divider,
  nav,
  link,
  form,
  field,
}

export type { Section }
/** Blocks that hold others. */
export type Container = Extract<Block, { children: unknown }>
/** Blocks that take words. */
export type WordBlock = Extract<Block, { words: unknown }>

export type NewBlock = <K extends BlockKind>(kind: K, makeId: MakeId) => BlockOf<K>

export const BLOCK_KINDS = Object.keys(KINDS) as BlockKind[]

/** A kind without the type of its own block, for code that treats all of them alike. */
export const kindOf = (kind: BlockKind): Kind<Block> => KINDS[kind] as unknown as Kind<Block>

const traits = Object.fromEntries(BLOCK_KINDS.map((kind) => [kind, new Set(kindOf(kind).traits)])) as unknown as Record<
  BlockKind,
  Traits
>
export const traitsOf = (kind: BlockKind): Traits => traits[kind]
export const hasTrait = (kind: BlockKind, trait: Trait): boolean => traits[kind].has(trait)

/** True where a block of one kind may hold one of another. */
export function mayHold(container: BlockKind, kind: BlockKind): boolean {
  const { holds } = kindOf(container)
  return holds === 'flow' ? hasTrait(kind, 'flow') : (holds?.includes(kind) ?? false)
}

/** The class that a block shares with others of its type role, kind of button or card; empty for none. */
export const sharedClass = (block: Block): string => kindOf(block.kind).sharedClass?.(block) ?? ''

/** The type role that a block's words are set in. */
export const typeRoleOf = (block: Block, guide: StyleGuide): string => {
  const { typeRole } = kindOf(block.kind)
  return typeRole ? typeRole(block, guide) : sharedClass(block) || 'body'
}

/** The colours that a block takes from the style guide. */
export const guideColoursOf = (block: Block, guide: StyleGuide): GuideColours | undefined =>
  kindOf(block.kind).colours?.(block, guide)

/** What the words of a block are in the copy deck. */
export const roleOf = (block: WordBlock): Role => kindOf(block.kind).passage!(block)

const kindSchema = (kind: BlockKind) =>
  z.strictObject({
    id: idSchema,
    name: z.string().trim().min(1).max(80).optional(),
    hidden: z.boolean().optional(),
    locked: z.literal(true).optional(),
    copyOf: copyOfSchema.optional(),
    sharedPart: idSchema.optional(),
    style: styleSchema,
    kind: z.literal(kind),
    ...kindOf(kind).fields.shape,
    ...(kindOf(kind).holds ? { children: z.lazy(() => z.array(blockSchema).max(400)) } : {}),
  })

const kindSchemas = Object.fromEntries(BLOCK_KINDS.map((kind) => [kind, kindSchema(kind)]))
const variants = BLOCK_KINDS.map((kind) => kindSchemas[kind]!) as unknown as [z.ZodObject, ...z.ZodObject[]]

export const blockSchema: z.ZodType<Block> = z.discriminatedUnion('kind', variants).meta({ id: 'Block' }) as never
export const sectionSchema = kindSchemas.section as unknown as z.ZodType<Section>
