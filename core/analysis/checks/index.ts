import type { Page, Site } from '#core/site/schema'
import type { Check, Finding } from '#core/analysis/finding'
import { visibleBlocks } from '#core/site/visible'
import { about } from './about'
import { alternatives } from './alternatives'
import { brief } from './brief'
import { consent } from './consent'
import { forms } from './forms'
import { head } from './head'
import { headings } from './headings'
import { leads } from './leads'
import { linkNames } from './link-names'
import { out } from './out'
import { pictures } from './pictures'
import { saidTwice } from './said-twice'
import { sharedLinks } from './shared-links'
import { emptySlots, placeholders } from './slots'
import { spaces } from './spaces'
import { tongues } from './tongues'
import { unfitWords } from './unfit-words'
import { wholeSite } from './whole-site'

/** Every check that a page undergoes before it is handed over, in the order in which they are read. */
const CHECKS = {
  head,
  headings,
  emptySlots,
  placeholders,
  unfitWords,
  brief,
  pictures,
  leads,
  out,
  forms,
  consent,
  saidTwice,
  spaces,
  about,
  sharedLinks,
  wholeSite,
  linkNames,
  alternatives,
  tongues,
} satisfies Record<string, Check>

export type CheckName = keyof typeof CHECKS
export type PageFinding = Finding<CheckName> & { page: string; fault: boolean }

/** Those that are about who cannot see or point. */
const ACCESS: ReadonlySet<CheckName> = new Set(['headings', 'linkNames', 'alternatives', 'tongues'])
export const isAboutAccess = ({ kind }: PageFinding): boolean => ACCESS.has(kind)

const todayHere = () => new Date().toISOString().slice(0, 10)

/** All that is to be said of one page of a site before it is handed over: what stands in the way, and what is worth a look. */
export function findingsOn(site: Site, page: Page, today = todayHere()): PageFinding[] {
  const subject = { today, page, site, blocks: visibleBlocks(page).map((one) => one.block) }
  return (Object.keys(CHECKS) as CheckName[]).flatMap((kind) =>
    CHECKS[kind](subject).flatMap((found) => (found ? [{ kind, page: page.id, fault: true, ...found }] : [])),
  )
}

/** All that is to be said of a site before it is handed over, page by page. */
export const findings = (site: Site, today = todayHere()): PageFinding[] =>
  site.pages.flatMap((page) => findingsOn(site, page, today))

/** What stands in the way, out of all that was found. */
export const faultsIn = <F extends { fault: boolean }>(found: readonly F[]): F[] => found.filter((one) => one.fault)
