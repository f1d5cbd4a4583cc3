import type { Site } from '#core/site/schema'
import { createFinder } from '#core/sweep/find'
import { modelled } from '#core/sweep/model.fixture'
import { pageOf } from '#core/sweep/planted.fixture'
import { siteOf } from '#core/site/made.fixture'
import { isStraight } from '#core/sweep/straight'
import { sweep } from '#core/sweep/sweep'
import { stepAt, SWEPT, turningWidths } from '#core/sweep/widths'

/** How many random pages with planted faults are swept. */
const PAGES = 20

function swept(site: Site) {
  const { sections } = site.pages[0]!
  const finder = createFinder(site, sections)
  const run = sweep(SWEPT.from, SWEPT.to, stepAt, turningWidths(site.breakpoints), isStraight)
  let next = run.next()
  while (!next.done) {
    const seen = modelled(sections, next.value)
    next = run.next({ keys: finder.look(seen), seen })
  }
  return finder.findings(next.value)
}

/** What a sweep finds on random pages, read without a browser: with its sentences, ranges and repairs. */
export const sweptPages = (): Map<string, unknown> =>
  new Map(
    Array.from({ length: PAGES }, (_, n) => {
      const { clean, broken } = pageOf(n + 1)
      return [`page ${n + 1}`, swept(siteOf('Both', [...clean, ...broken]))]
    }),
  )
