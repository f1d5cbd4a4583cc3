import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { checkSite, writeSite } from '#core/formats/site-json'
import { chandler } from './chandler'
import { observatory } from './observatory'

// Writes the demo sites as the files that a fresh database is loaded with.
for (const [name, site] of Object.entries({ observatory: observatory(), chandler: chandler() })) {
  writeFileSync(join('demo', `${name}.site.json`), writeSite(checkSite(JSON.parse(JSON.stringify(site)))))
  console.log(`${name}: ${site.pages.length} page, ${site.pages[0]!.sections.length} sections`)
}
