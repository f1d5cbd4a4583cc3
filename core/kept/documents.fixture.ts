import { readdirSync, readFileSync } from 'node:fs'
import { demoSite, chooserOf } from '#core/edits/edits.fixture'
import { EditError } from '#core/edits/edit'
import { applyEdit, EDIT_KINDS, sampleEdit } from '#core/edits/index'
import { readSite } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import { seededRandom } from '#core/values/ids.fixture'

/** How many documents grow from the demo, and by how many edits each. */
const [GROWN, EDITS] = [16, 30]

/** A document that has had edits of all kinds, drawn by a seed; those that it refuses leave it as it was. */
export function grownFrom(start: Site, seed: number): Site {
  const random = seededRandom(seed)
  const number = (below: number) => Math.floor(random() * below)
  let now = start
  for (let n = 0; n < EDITS; n++) {
    try {
      now = applyEdit(now, sampleEdit(EDIT_KINDS[number(EDIT_KINDS.length)]!, now, chooserOf(number(1e6)))).site
    } catch (error) {
      if (!(error instanceof EditError)) throw error
    }
  }
  return now
}

const fileIn = (file: string): Site => readSite(readFileSync(file, 'utf8'))

/** Documents of many kinds by their names: both demo sites, sections that presses built, and some that edits grew. */
export function keptDocuments(): Map<string, Site> {
  const demo = demoSite()
  return new Map([
    ['observatory', demo],
    ['chandler', fileIn('demo/chandler.site.json')],
    ...readdirSync('e2e/built').map((file): [string, Site] => [file.replace('.site.json', ''), fileIn(`e2e/built/${file}`)]),
    ...Array.from({ length: GROWN }, (_, n): [string, Site] => [`grown-${n + 1}`, grownFrom(demo, n + 1)]),
  ])
}
