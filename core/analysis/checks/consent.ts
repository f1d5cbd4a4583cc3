import type { Check } from '#core/analysis/finding'
import { visibleIn } from '#core/site/visible'

/** Forms that take a mail address without asking for consent (GDPR, articles 6 and 7). */
export const consent: Check = ({ blocks }) =>
  blocks.map((block) => {
    if (block.kind !== 'form') return undefined
    const fields = visibleIn(block).flatMap((one) => (one.kind === 'field' ? [one.input] : []))
    if (!fields.includes('email') || fields.includes('consent')) return undefined
    return {
      block: block.id,
      fault: false,
      sentence: 'A form takes a mail address and asks for no consent. Add a box to tick that says what the address is used for.',
    }
  })
