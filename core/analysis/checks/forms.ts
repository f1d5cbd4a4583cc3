import type { Check } from '#core/analysis/finding'
import { visibleIn } from '#core/site/visible'

/** Forms that reach nobody, are not confirmed, or cannot be sent. */
export const forms: Check = ({ blocks }) =>
  blocks.flatMap((block) => {
    if (block.kind !== 'form') return []
    const say = (sentence: string) => ({ block: block.id, sentence })
    return [
      block.sendTo ? undefined : say('A form sends its entries to the local inbox alone. Give it an address that takes them.'),
      block.link ? undefined : say('A form has no page that confirms it.'),
      visibleIn(block).some((one) => one.kind === 'button') ? undefined : say('A form has no button that sends it.'),
    ]
  })
