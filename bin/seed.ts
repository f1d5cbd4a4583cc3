import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readSite } from '#core/formats/site-json'
import { pictureFile } from '#core/formats/holdings'
import { writeSiteZip } from '#core/formats/site-zip'
import { forgetDeleted, siteIds } from '#server/sites'
import { importSite } from '#server/site-files'
import { openStore } from '#server/database'

/** The demo sites, the one to be listed last first. */
const DEMO = ['chandler', 'observatory']

// Loads the demo sites into a fresh database; one that has sites is left alone.
const store = openStore()
forgetDeleted(store)
if (siteIds(store).length === 0) {
  for (const name of DEMO) {
    const site = readSite(readFileSync(join('demo', `${name}.site.json`), 'utf8'))
    const pictures = new Map(
      site.pictures.map((one) => [one.hash, new Uint8Array(readFileSync(join('demo', 'pictures', pictureFile(one))))]),
    )
    await importSite(store, writeSiteZip({ site, pictures }))
    console.log(`· ${site.name} loaded`)
  }
}
store.close()
