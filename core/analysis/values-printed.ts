import { pageFile } from '#core/render/own-links'
import { printSite } from '#core/render/site'
import type { Page, Site } from '#core/site/schema'

/** Colours and faces that a page really uses, whatever the style guide has besides. */
export type PrintedValues = { hexes: ReadonlySet<string>; families: ReadonlySet<string> }

const known = new WeakMap<
  Page,
  { guide: Site['guide']; directions: Site['directions']; breakpoints: Site['breakpoints']; used: PrintedValues }
>()

/** What the stylesheet of a page alone would name; remembered for as long as page and guide are the same. */
export function valuesPrintedOn(site: Site, page: Page): PrintedValues {
  const before = known.get(page)
  const same = before?.guide === site.guide && before.directions === site.directions && before.breakpoints === site.breakpoints
  if (same) return before.used
  const nowhere = () => ''
  const addresses = { picture: nowhere, page: pageFile, form: nowhere, stylesheet: 'style.css', font: nowhere }
  const { css, fonts } = printSite({ ...site, pages: [page] }, { style: 'readable', addresses })
  const hexes = new Set([...css.matchAll(/#([0-9a-f]{6})(?:[0-9a-f]{2})?\b/g)].map(([, hex]) => `#${hex}`))
  const families = new Set(fonts.map((file) => file.family.id))
  const used = { hexes, families }
  known.set(page, { guide: site.guide, directions: site.directions, breakpoints: site.breakpoints, used })
  return used
}
