import { z } from 'zod'
import { token } from '#core/values/length'
import { worded } from './element'
import { typeRole, words } from './fields'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({ ...words, ...typeRole, level: z.int().min(1).max(6) })
export type Heading = BlockBase<'heading', typeof fields>

/** A heading of the page's outline, level 1 to 6. */
export const heading: Kind<Heading> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'icon', 'ink', 'box'],
  passage: () => 'heading',
  // The guide has roles for four levels; deeper ones are set as the fourth.
  sharedClass: ({ type, level }) => type ?? `heading-${Math.min(level, 4)}`,
  defaults: () => ({ words: {}, level: 2 }),
  style: { spaceAfter: token('space-4') },
  element: (block, context) => worded(block, context, `h${block.level}`),
}
