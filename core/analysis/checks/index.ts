import type { Page, Site } from '#core/site/schema'
import type { Check, Finding } from '#core/analysis/finding'
import { visibleBlocks } from '#core/analysis/visible'
import { forms } from './forms'
import { head } from './head'
import { headings } from './headings'
import { leads } from './leads'
import { pictures } from './pictures'
import { emptySlots, placeholders } from './slots'
import { unfitWords } from './unfit-words'

/** Every check that a page undergoes before it is handed over, in the order in which they are read. */
const CHECKS = { head, headings, emptySlots, placeholders, unfitWords, pictures, leads, forms } satisfies Record<string, Check>

export type CheckName = keyof typeof CHECKS
export type PageFinding = Finding<CheckName> & { page: string }

/** All that stands in the way of handing one page of a site over. */
export function findingsOn(site: Site, page: Page): PageFinding[] {
  const subject = { page, site, blocks: visibleBlocks(page).map((one) => one.block) }
  return (Object.keys(CHECKS) as CheckName[]).flatMap((kind) =>
    CHECKS[kind](subject).flatMap((found) => (found ? [{ kind, page: page.id, ...found }] : [])),
  )
}

/** All that stands in the way of handing a site over, page by page. */
export const findings = (site: Site): PageFinding[] => site.pages.flatMap((page) => findingsOn(site, page))
