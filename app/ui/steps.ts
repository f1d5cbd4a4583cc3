import { copyFindings } from '#core/checks/copy'
import { pairsOn } from '#core/colour/pairs'
import { brokenRules } from '#core/colour/uses'
import type { Page, Site } from '#core/site/schema'
import { hasWords, walkPage } from '#core/site/tree'
import { plainText } from '#core/site/words'
import type { Step } from './top-bar'

/** True when every slot of a page has words and every picture is chosen. */
export function isComposed(page: Page, language: string): boolean {
  const blocks = [...walkPage(page)]
  if (blocks.length === 0) return false
  return blocks.every((block) =>
    hasWords(block)
      ? plainText(block.words[language] ?? []).trim() !== ''
      : block.kind !== 'picture' || block.picture !== undefined,
  )
}

const isBriefed = ({ brief }: Site, page: Page): boolean =>
  brief.visitors !== '' &&
  (page.brief.aim ?? brief.aim) !== null &&
  page.brief.what !== '' &&
  page.brief.why !== '' &&
  page.brief.now !== ''

function isWritten(site: Site, page: Page): boolean {
  const sections = copyFindings(site, site.language).filter((one) => one.page === page.id)
  return sections.length > 0 && sections.every((one) => one.findings.every(({ kind }) => kind === 'long' || kind === 'repeated'))
}

const isCollected = ({ board }: Site): boolean =>
  board.some((one) => one.kind === 'picture') && board.some((one) => one.kind === 'colour')

const isStyled = (site: Site, page: Page): boolean =>
  page.sections.length > 0 &&
  pairsOn(site, page).pairs.every((one) => one.ratio >= one.needed) &&
  brokenRules(site, page).length === 0

const known = new WeakMap<Page, { site: Site; done: Record<string, boolean> }>()

/** Which steps of a page are complete; remembered for as long as the site is the same. */
function doneOn(site: Site, page: Page): Record<string, boolean> {
  const before = known.get(page)
  if (before?.site === site) return before.done
  const done = {
    Brief: isBriefed(site, page),
    Copy: isWritten(site, page),
    References: isCollected(site),
    Compose: isComposed(page, site.language),
    Style: isStyled(site, page),
  }
  known.set(page, { site, done })
  return done
}

/** When each step is complete, in words. */
const WHEN = {
  Brief: 'Complete when it says who visits, what is wanted of them, and the three answers of the opening',
  Copy: 'Complete when every slot has real words and none are left over',
  References: 'Complete when the board has a picture and a colour',
  Compose: 'Complete when every slot has words and every picture is chosen',
  Style: 'Complete when every pair of colours has enough contrast and every role keeps to what it is meant for',
  Deliver: 'Complete when the newest revision has been exported',
} as const

/** The steps of the work on a page, and which are complete. */
export function stepsOf({ siteId, site, page, exported }: { siteId: string; site: Site; page: Page; exported: boolean }): Step[] {
  const done = { ...doneOn(site, page), Deliver: exported }
  return Object.entries(WHEN).map(([name, what]) => ({
    name,
    to: `/sites/${siteId}/pages/${page.id}/${name.toLowerCase()}`,
    complete: done[name as keyof typeof done]!,
    what,
  }))
}
