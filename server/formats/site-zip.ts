import { exportSiteFile, importSite } from '../site-files'
import type { Format } from './format'

export const siteZip: Format = {
  what: 'the site with its pictures and fonts',
  extension: '.site.zip',
  type: 'application/zip',
  write: ({ store, record }) => exportSiteFile(store, record.site),
  read: { isOf: ([p, k]) => p === 0x50 && k === 0x4b, open: importSite },
}
