import { writeSite } from '#core/formats/site-json'
import { importSite } from '../site-files'
import type { Format } from './format'

export const siteJson: Format = {
  what: 'the document alone',
  extension: '.site.json',
  type: 'application/json',
  write: async ({ record }) => writeSite(record.site),
  // What is no other format is read as JSON, whose reader says what is wrong with it.
  read: { isOf: () => true, open: importSite },
}
