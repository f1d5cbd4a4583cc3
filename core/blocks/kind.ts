import type { Element } from 'hast'
import { z } from 'zod'
import type { StyleGuide } from '#core/guide/style-guide'
import type { Style, StyleValues } from '#core/style/registry'
import type { Trait } from '#core/style/traits'
import { idSchema, type MakeId } from '#core/values/ids'
import type { Role } from '#core/values/passage-role'
import type { ElementContext } from './element'
import type { Block, BlockKind, NewBlock } from './index'
import type { GuideColours } from './guide-colours'

/** The shared block that a block is a copy of, and the guise that it wears. */
export const copyOfSchema = z.strictObject({ shared: idSchema, guise: idSchema.optional() })
export type CopyOf = z.infer<typeof copyOfSchema>

/** What every block has, and the fields `F` of its kind. The schema of no fields infers as a record of never, which is left out. */
export type BlockBase<K extends string, F extends z.ZodObject> = {
  id: string
  kind: K
  name?: string
  hidden?: boolean
  /** True for a block that presses and drags on the page pass over. */
  locked?: true
  /** Set on the outermost block of a copy of a shared block. */
  copyOf?: CopyOf
  /** The part of that shared block which a block is a copy of. */
  sharedPart?: string
  style: Style
} & (keyof F['shape'] extends never ? unknown : z.infer<F>)

/**
 * One kind of block: all that there is to say of it. `core/blocks/index` lists the kinds, and everything else, from the
 * file's schema to the tray, follows from here.
 */
export type Kind<B extends Block> = {
  /** What it carries besides its id, name, style and children. */
  fields: z.ZodObject
  traits: readonly Trait[]
  /** The kinds that it may hold; `flow` for all with that trait. A kind without it holds nothing. */
  holds?: 'flow' | readonly BlockKind[]
  /** What its words are in the copy deck, if it takes words. */
  passage?: (block: B) => Role
  /** The class that it shares with others of its type role, kind of button or card; empty for none. */
  sharedClass?: (block: B) => string
  /** The type role that its words are set in, where that is not the name of its shared class. */
  typeRole?: (block: B, guide: StyleGuide) => string
  /** The colours that it takes from the style guide. */
  colours?: (block: B, guide: StyleGuide) => GuideColours | undefined
  /** Fields of a new block, without words. */
  defaults: (
    makeId: MakeId,
    newBlock: NewBlock,
  ) => Omit<B, 'id' | 'kind' | 'name' | 'hidden' | 'locked' | 'copyOf' | 'sharedPart' | 'style'>
  /** Style of a new block. */
  style?: StyleValues
  /** Its HTML element; `undefined` where a published page leaves it out, as a heading without words. */
  element: (block: B, context: ElementContext) => Element | undefined
}
