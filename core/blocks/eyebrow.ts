import { z } from 'zod'
import { token } from '#core/values/length'
import { worded } from './element'
import { typeRole, words } from './fields'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({ ...words, ...typeRole })
export type Eyebrow = BlockBase<'eyebrow', typeof fields>

/** A short line above a heading. */
export const eyebrow: Kind<Eyebrow> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'icon', 'ink', 'box'],
  passage: () => 'eyebrow',
  sharedClass: ({ type }) => type ?? 'eyebrow',
  defaults: () => ({ words: {} }),
  style: { spaceAfter: token('space-3') },
  element: (block, context) => worded(block, context, 'p'),
}
