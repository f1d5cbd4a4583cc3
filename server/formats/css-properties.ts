import { cssProperties } from '#core/formats/css-properties'
import { inDirection } from '#core/site/directions'
import type { Format } from './format'

/** The style guide, of the direction that is asked for, as CSS custom properties. */
export const cssPropertiesFormat: Format = {
  what: 'the style guide as custom properties',
  extension: '.css',
  type: 'text/css; charset=utf-8',
  write: async ({ record, query }) => {
    const direction = query.get('direction')
    return cssProperties(direction === null ? record.site : inDirection(record.site, direction))
  },
}
