import type { Properties } from 'hast'
import { z } from 'zod'
import { token } from '#core/values/length'
import { nameSchema } from '#core/values/name'
import { type Press, pressSchema } from '#core/values/press'
import { type ElementContext, linked, worded } from './element'
import { link, words } from './fields'
import type { BlockBase, Kind } from './kind'
import { statesOf } from './guide-colours'

const fields = z.strictObject({
  ...words,
  ...link,
  /** Name of one of the guide's kinds of button. */
  look: nameSchema,
  /** What it does on its page, where it leads nowhere. */
  press: pressSchema.optional(),
  /** True for one that cannot be pressed; only what is no link can be so. */
  disabled: z.literal(true).optional(),
})
export type Button = BlockBase<'button', typeof fields>

/** What a button calls for (HTML, 6.12 and the command attributes of 4.10.6). */
function pressing(press: Press, { panel, panelAround }: ElementContext): Properties {
  const opens = 'opens' in press
  const about = opens ? panel(press.opens) : panelAround
  if (!about) return {}
  if (about.as === 'drop') return { popoverTarget: about.id, ...(opens ? {} : { popoverTargetAction: 'hide' }) }
  return { command: opens ? 'show-modal' : 'close', commandfor: about.id }
}

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
      : block.press && 'shows' in block.press
        ? // Without a script all that it could show is seen, and it leads there.
          worded(block, context, 'a', { href: `#${context.panel(block.press.shows)?.id ?? ''}`, dataShows: '' })
        : worded(block, context, 'button', {
            type: context.inForm && !block.press ? 'submit' : 'button',
            ...(block.press ? pressing(block.press, context) : {}),
            ...(block.disabled ? { disabled: true } : {}),
          }),
}
