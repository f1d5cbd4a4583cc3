import { z } from 'zod'
import { currentOf, linked, worded } from './element'
import { link as linkField, typeRole, words } from './fields'
import type { BlockBase, Kind } from './kind'
import { statesOf } from './guide-colours'

const fields = z.strictObject({ ...words, ...linkField, ...typeRole })
export type LinkBlock = BlockBase<'link', typeof fields>

/** Words that lead somewhere. */
export const link: Kind<LinkBlock> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'ink', 'box', 'underline'],
  passage: () => 'link',
  sharedClass: ({ type }) => type ?? '',
  colours: (_, { looks }) => ({
    ...statesOf({ rest: looks.link.rest, hover: looks.link.hover, pressed: looks.link.pressed }),
    others: [{ colour: looks.link.current?.ink, use: 'words', what: 'current link' }],
  }),
  defaults: () => ({ words: {} }),
  element: (block, context) => worded(block, context, 'a', { ...linked(block.link, context), ...currentOf(block.link, context) }),
}
