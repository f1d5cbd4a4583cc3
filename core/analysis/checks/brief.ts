import type { Check } from '#core/analysis/finding'
import { verdictOn } from '#core/analysis/brief'

/** What the client wants kept to and the page does not keep to, as the brief says it. */
export const brief: Check = ({ site, page }) =>
  [...site.brief.constraints, ...page.brief.constraints]
    .map((one) => verdictOn(one, page, site))
    .filter((one) => !one.ok)
    .map(({ id, sentence, block }) => ({
      beside: id,
      sentence,
      why: 'The brief asks for it.',
      ...(block === undefined ? {} : { block }),
    }))
