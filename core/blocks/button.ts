import { z } from 'zod'
import { token } from '#core/values/length'
import { nameSchema } from '#core/values/name'
import { linked, worded } from './element'
import { link, words } from './fields'
import type { BlockBase, Kind } from './kind'
import { statesOf } from './guide-colours'

const fields = z.strictObject({
  ...words,
  ...link,
  /** Name of one of the guide's kinds of button. */
  look: nameSchema,
  /** True for one that cannot be pressed; only what is no link can be so. */
  disabled: z.literal(true).optional(),
})
export type Button = BlockBase<'button', typeof fields>

/** A call to action. Without a link it sends the form that it stands in. */
export const button: Kind<Button> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'ink', 'box', 'layers', 'contact', 'underline', 'call'],
  passage: () => 'call',
  sharedClass: ({ look }) => `button-${look}`,
  typeRole: ({ look }, { buttons }) => buttons.find((one) => one.name === look)?.type ?? 'button',
  colours: ({ look }, { buttons }) => {
    const kind = buttons.find((one) => one.name === look)
    return kind && statesOf(kind)
  },
  defaults: () => ({ words: {}, look: 'primary' }),
  style: { spaceAfter: token('space-4') },
  element: (block, context) =>
    block.link
      ? worded(block, context, 'a', linked(block.link, context))
      : worded(block, context, 'button', {
          type: context.inForm ? 'submit' : 'button',
          ...(block.disabled ? { disabled: true } : {}),
        }),
}
