import type { Arrangement, Job } from '#core/arrangements/build'
import { ARRANGEMENTS, arrangementOf, arrangementsFor } from '#core/arrangements/index'
import { newSection } from '#core/blocks/defaults'
import { deckName, deckOf, homeOf } from '#core/deck/deck'
import { sameName } from '#core/deck/names'
import type { HeldPassage } from '#core/deck/passage'
import { slotsOf } from '#core/deck/slots'
import { applyEdit, type Edit } from '#core/edits/index'
import { unplacedList } from '#core/edits/list'
import { reSet } from '#core/edits/re-set'
import { linkOfHref, ownParts } from '#core/render/own-links'
import { arrange } from '#core/arrangements/arrange'
import { newPage } from '#core/site/defaults'
import type { MakeId } from '#core/values/ids'
import type { Unplaced } from '#core/site/passage'
import type { Page, Site } from '#core/site/schema'
import type { Section } from '#core/blocks/index'
import { plainText } from '#core/values/words'
import { walkPage } from '#core/site/tree'
import { jobOf } from './job-of'

/** A section that the copy deck has and the page has not, and the arrangement that holds its words best. */
export type DeckRow = {
  /** Its place among the sections of the page's deck. */
  at: number
  name: string
  job: Job
  arrangement: string
  /** Passages, those of them that find no slot, and slots that stay without words. */
  passages: number
  left: number
  empty: number
}

const countingIds = (): MakeId => {
  let count = 0
  return () => `trial-${(count++).toString(36)}`
}

/** A site in which the words of one waiting section belong to a section that stands. */
function withSection(site: Site, page: Page, words: readonly HeldPassage[], section: Section): { site: Site; page: Page } {
  const ids = new Set(words.flatMap((one) => ('unplaced' in one ? [one.unplaced] : [])))
  const given = { ...page, sections: [section] }
  const unplaced = site.unplaced.flatMap((one) => (ids.has(one.id) ? [{ ...one, page: page.id, section: section.id }] : []))
  return { site: { ...site, unplaced, pages: site.pages.map((one) => (one === page ? given : one)) }, page: given }
}

/** How an arrangement holds the words of a section: what is left over weighs most, then empty slots. */
function fitOf(site: Site, page: Page, words: readonly HeldPassage[], job: Job, arrangement: Arrangement) {
  const makeId = countingIds()
  const section = { ...newSection(job, makeId), children: [] }
  const trial = withSection(site, page, words, section)
  const made = reSet(trial.site, trial.page, section, arrangement.id, makeId)
  const empty = slotsOf(made.section).filter(
    ({ block }) => !Object.values(block.words).some((one) => plainText(one).trim() !== ''),
  ).length
  const entries = new Set(words.map((one) => one.entry).filter((entry) => entry > 0)).size
  const range = arrangement.entries
  const unsuited = range === null ? entries > 0 : entries === 0 || entries < range.least || entries > range.most
  return { left: made.left.length, empty, cost: 10 * made.left.length + 2 * empty + (unsuited ? 3 : 0) }
}

/** The arrangement of a job that holds words best; one of another job only where that leaves fewer of them over. */
function bestFor(site: Site, page: Page, words: readonly HeldPassage[], job: Job) {
  const tried = (list: readonly Arrangement[], more: number) =>
    list.map((arrangement) => {
      const fit = fitOf(site, page, words, job, arrangement)
      return { arrangement, ...fit, cost: fit.cost + more }
    })
  const cheapest = (list: ReturnType<typeof tried>) => list.reduce((a, b) => (b.cost < a.cost ? b : a))
  const own = cheapest(tried(arrangementsFor(job), 0))
  if (own.left === 0) return own
  return cheapest([
    own,
    ...tried(
      ARRANGEMENTS.filter((one) => one.job !== job && one.job !== 'header'),
      4,
    ),
  ])
}

/** The sections of a page's deck that stand nowhere yet, in the order of the deck. */
export function deckRows(site: Site, page: Page): DeckRow[] {
  const sections = deckOf(site, site.language).pages.find((one) => one.page === page.id)?.sections ?? []
  const named = sections.flatMap((one, at) => (one.name === '' ? [] : [{ ...one, at }]))
  return named.flatMap((section, i): DeckRow[] => {
    if (section.section !== undefined) return []
    const words = [...(i === 0 ? namelessOf(sections) : []), ...section.passages]
    const job = jobOf(section.name, section.passages, { first: i === 0, last: i === named.length - 1 && named.length > 1 })
    const { arrangement, left, empty } = bestFor(site, page, words, job)
    return [{ at: section.at, name: section.name, job, arrangement: arrangement.id, passages: words.length, left, empty }]
  })
}

/** Words above every section heading; they go with the first section that is laid out. */
const namelessOf = (sections: readonly { name: string; passages: HeldPassage[] }[]): HeldPassage[] =>
  sections.filter((one) => one.name === '').flatMap((one) => one.passages)

/**
 * The edits that lay out sections of the deck on its page, in the deck's order, each in its arrangement with all its
 * words. Links that waited for one of them lead there from then on.
 */
export function layOutDeck(site: Site, pageId: string, rows: readonly DeckRow[], makeId: MakeId): Edit[] {
  const edits: Edit[] = []
  let now = site
  const make = (edit: Edit) => {
    now = applyEdit(now, edit).site
    edits.push(edit)
  }
  const sections = deckOf(site, site.language).pages.find((one) => one.page === pageId)?.sections ?? []
  const taken = new Map(rows.map((row) => [row.at, row]))
  const made: { row: DeckRow; section: Section; words: HeldPassage[] }[] = []
  /** What words that stay waiting are read after from now on. */
  const behind = new Map<string, string>()
  let last = pageId
  let index = 0
  sections.forEach((section, at) => {
    const row = taken.get(at)
    if (section.section !== undefined) {
      last = section.section
      index = now.pages.find((one) => one.id === pageId)!.sections.findIndex((one) => one.id === section.section) + 1
      return
    }
    if (!row) {
      if (section.name !== '') for (const one of section.passages) if ('unplaced' in one) behind.set(one.unplaced, last)
      return
    }
    const empty = newSection(row.job, makeId)
    const standing = sameName(deckName(empty), row.name) ? empty : { ...empty, name: row.name.slice(0, 80) }
    make({ kind: 'insert', parent: pageId, index: index++, blocks: [standing] })
    last = standing.id
    made.push({ row, section: standing, words: [...(made.length === 0 ? namelessOf(sections) : []), ...section.passages] })
  })
  const homes = new Map(
    made.flatMap(({ section, words }) => words.flatMap((one) => ('unplaced' in one ? [[one.unplaced, section.id] as const] : []))),
  )
  const given = now.unplaced.flatMap((one): Unplaced[] => {
    const { group: _group, after: _after, ...held } = one
    const [home, after] = [homes.get(one.id), behind.get(one.id)]
    if (home !== undefined && !homeOf(now, one).section) return [{ ...held, page: pageId, section: home }]
    return after === undefined || after === one.after ? [] : [{ ...one, after }]
  })
  if (given.length > 0) make(unplacedList(given))
  for (const { row, section } of made)
    make({
      kind: 're-set',
      section: section.id,
      arrangement: row.arrangement,
      ids: makeId()
        .toLowerCase()
        .replace(/[^a-z0-9]/g, 'x'),
    })
  for (const page of pagesLedTo(now, pageId, makeId)) make({ kind: 'page-add', index: now.pages.length, page })
  for (const edit of bindLinks(now)) make(edit)
  return edits
}

/**
 * Pages that a page leads to by a file's name, and that are not there: made with their name and a short opening, in no
 * nav until they are listed.
 */
function pagesLedTo(site: Site, pageId: string, makeId: MakeId): Page[] {
  const from = site.pages.find((one) => one.id === pageId)!
  const wanted = new Map<string, string>()
  for (const block of walkPage(from)) {
    const href = 'link' in block && block.link && 'href' in block.link ? block.link.href : ''
    const parts = ownParts(site, href)
    const address = /^([a-z0-9]+(?:-[a-z0-9]+)*)\.html$/.exec(parts?.path ?? '')?.[1]
    if (address && !parts?.page && address.length <= 60)
      wanted.set(address, `${address[0]!.toUpperCase()}${address.slice(1).replaceAll('-', ' ')}`)
  }
  return [...wanted].map(([address, name]): Page => {
    const section = arrange(arrangementOf('opening-short')!, 0, site.breakpoints, makeId)
    const heading = slotsOf(section).find((one) => one.role === 'heading')
    if (heading) heading.block.words = { [site.language]: [name] }
    return { ...newPage(makeId, name, address), unlisted: true, sections: [section] }
  })
}

/** The edits that turn addresses within the site into links to the pages and sections that they lead to. */
export function bindLinks(site: Site): Edit[] {
  return site.pages.flatMap((page) =>
    [...walkPage(page)].flatMap((block): Edit[] => {
      if (!('link' in block) || !block.link || !('href' in block.link)) return []
      const link = linkOfHref(site, block.link.href)
      return link ? [{ kind: 'field', block: block.id, field: 'link', value: link }] : []
    }),
  )
}
