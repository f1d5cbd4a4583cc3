import { designTokens } from '#core/formats/design-tokens'
import { inDirection } from '#core/site/directions'
import type { Format } from './format'

/** The style guide, of the direction that is asked for, as design tokens (DTCG). */
export const designTokensFormat: Format = {
  what: 'the style guide as design tokens',
  extension: '.tokens.json',
  type: 'application/json',
  write: async ({ record, query }) => {
    const direction = query.get('direction')
    const site = direction === null ? record.site : inDirection(record.site, direction)
    return `${JSON.stringify(designTokens(site), null, 2)}\n`
  },
}
