import { applyEdit } from '#core/edits/index'
import { forAllCopies } from '#core/edits/through-shared'
import type { Repair } from '#core/analysis/finding'
import type { Site } from '#core/site/schema'
import { keyOf, type WidthFinding } from '#core/sweep/find'
import { priceOf } from '#core/sweep/mended'
import { candidatesFor } from '#core/sweep/repairs/index'
import type { Sweeper } from '../live/sweep/sweeper'
import { findBlock } from '#core/site/tree'
import { wordsToPart } from '#core/sweep/repairs/hyphens'
import { ask } from '../ui/ask'
import { makeId } from '../session/store'

/** Most repairs that are offered of one finding. */
const OFFERED = 4

type Trying = {
  signal: AbortSignal
  /** Told how many of how many were tried, and those that mend it so far. */
  onTried: (tried: number, of: number, found: readonly Repair[]) => void
}

/** Tries what could mend a finding on a copy of the site, each through all widths of its section. Given up, it tells no more. */
export async function tryRepairs(
  finding: WidthFinding,
  site: Site,
  pageId: string,
  before: readonly WidthFinding[],
  sweeper: Sweeper,
  { signal, onTried }: Trying,
): Promise<void> {
  const parts = await partsOf(finding, site, signal)
  if (signal.aborted) return
  const candidates = candidatesFor(finding, site, makeId, parts)
  const found: Repair[] = []
  onTried(0, candidates.length, found)
  for (const [n, candidate] of candidates.entries()) {
    if (signal.aborted || found.filter((one) => !one.price).length >= OFFERED) break
    const edit = forAllCopies(site, candidate.edit)
    const price = await priceIn(edit, finding, site, pageId, before, sweeper, signal)
    if (price)
      found.push({ label: candidate.label, edit, ...(price.length > 0 ? { price: price.map((one) => one.sentence) } : {}) })
    if (!signal.aborted) onTried(n + 1, candidates.length, cheapest(found))
  }
  if (!signal.aborted) onTried(candidates.length, candidates.length, cheapest(found))
}

/** Those that are offered: the free ones first, then those that make least else. */
const cheapest = (found: readonly Repair[]): Repair[] =>
  found.toSorted((a, b) => (a.price?.length ?? 0) - (b.price?.length ?? 0)).slice(0, OFFERED)

/** The long words of a finding's block with soft hyphens where their language parts them; none where that cannot be had. */
async function partsOf(finding: WidthFinding, site: Site, signal: AbortSignal): Promise<ReadonlyMap<string, string>> {
  const { language } = site
  const words = wordsToPart(finding, finding.block === undefined ? undefined : findBlock(site, finding.block)?.block, language)
  if (words.length === 0) return new Map()
  const answer = await ask<string[]>('The words were not parted', '/hyphens', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ language, words }),
    signal,
  })
  return new Map(Array.isArray(answer) ? words.map((word, n) => [word, answer[n] ?? word]) : [])
}

/** What a change costs that mends a finding; nothing where it does not, or was given up. */
async function priceIn(
  edit: Repair['edit'],
  finding: WidthFinding,
  site: Site,
  pageId: string,
  before: readonly WidthFinding[],
  sweeper: Sweeper,
  signal: AbortSignal,
): Promise<WidthFinding[] | undefined> {
  let tried: Site
  try {
    tried = applyEdit(site, edit).site
  } catch {
    // One that the document does not take, as a value that its block does not have, is no repair.
    return undefined
  }
  const page = tried.pages.find((one) => one.id === pageId)!
  // A breakpoint that nothing needs is taken away for the whole page; all else changes one section, or those with its copies.
  const same = new Set(site.pages.find((one) => one.id === pageId)!.sections)
  const isConcerned = ({ id }: { id: string }) => finding.section === undefined || id === finding.section
  const concerned = page.sections.filter((one) => isConcerned(one) || !same.has(one))
  const ids = new Set<string | undefined>(concerned.map((one) => one.id))
  const result = await sweeper.run(tried, page, {
    signal,
    unless: { width: finding.worst, key: keyOf(finding) },
    ...(finding.section === undefined ? {} : { only: ids as ReadonlySet<string> }),
  })
  if (!result) return undefined
  const isAbout = (one: WidthFinding) => finding.section === undefined || ids.has(one.section)
  return priceOf(finding, before.filter(isAbout), result.findings.filter(isAbout))
}
