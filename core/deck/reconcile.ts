import type { ListEdit } from '#core/edits/list'
import type { Edit } from '#core/edits/index'
import type { MakeId } from '#core/site/ids'
import type { Role, Unplaced } from '#core/site/passage'
import type { Site } from '#core/site/schema'
import type { Span } from '#core/site/words'
import { align, type Step } from './align'
import { deckOf } from './deck'
import type { DeckLinks } from './links'
import { sameName } from './names'
import type { Deck, DeckPage, DeckSection, HeldPassage, Passage } from './passage'
import { passageMarkdown } from './print'
import { type Slot, slotsOf } from './slots'

/** What becomes of words that the site has and the new text has not: they go, or they are kept unplaced. */
type Missing = 'go' | 'keep'

export type ReconcileOptions = {
  language: string
  links: DeckLinks
  makeId: MakeId
  missing: Missing
  /** The page that words above every page heading belong to. */
  home: string
}

/** The page of the site that a page of the deck is: by its name, or by its address. */
export function pageFor(site: Site, name: string, home: string): Site['pages'][number] | undefined {
  if (name === '') return site.pages.find((one) => one.id === home)
  return site.pages.find((one) => sameName(one.name, name)) ?? site.pages.find((one) => sameName(one.address, name))
}

/** Words of a passage as a slot of another role takes them: what the old role said by its form is kept as a mark. */
export function wordsAs(role: Role, { role: was, words, link }: Passage): readonly Span[] {
  if (was === role) return words
  if (was === 'eyebrow' && role === 'text') return [{ kind: 'emphasis', children: [...words] }]
  if ((was === 'call' || was === 'link') && role !== 'call' && role !== 'link' && link && 'href' in link)
    return [{ kind: 'link', href: link.href, children: [...words] }]
  return words
}

/** Words of another role are other words: to take one out and put the other in costs less than this. */
const OTHER_ROLE = 2

/** The role that a passage is read with, where its words are marked throughout and so look like another's. */
function seemingRole({ role }: Passage, text: string): Role {
  if (role === 'text' && /^\*[^*].*\*$/s.test(text)) return 'eyebrow'
  if (role === 'text' && /^\[.*\)$/s.test(text)) return 'call'
  return role === 'item' && /^- \[.*\)$/s.test(text) ? 'link' : role
}

const takesLink = (role: Role) => role === 'call' || role === 'link'

type Entry<P extends Passage = Passage> = { entry: number; list: P[] }

/** The entries of a list of passages, each with its own. */
function entriesIn<P extends Passage>(list: readonly P[]): Entry<P>[] {
  const numbers = [...new Set(list.map((one) => one.entry))].filter((entry) => entry > 0)
  return numbers.map((entry) => ({ entry, list: list.filter((one) => one.entry === entry) }))
}

/** A number for a new entry, between those of its neighbours. */
function between(before: readonly Entry[], steps: readonly Step[], at: number): number {
  const known = (some: readonly Step[]) => some.flatMap(({ from }) => (from === undefined ? [] : [before[from]!.entry]))
  const low = known(steps.slice(0, at)).at(-1) ?? 0
  const high = known(steps.slice(at))[0]
  const run = (step: Step) => step.from === undefined
  const first = steps.slice(0, at).findLastIndex((step) => !run(step)) + 1
  const after = steps.slice(at).findIndex((step) => !run(step))
  const last = after < 0 ? steps.length : at + after
  // New entries that stand together share the room between their neighbours evenly.
  return high === undefined ? low + (at - first) + 1 : low + ((high - low) * (at - first + 1)) / (last - first + 1)
}

/** Passages of one entry of a section, or its own, and where they may go. */
type Run = {
  page: DeckPage
  old: DeckSection<HeldPassage>
  entry: number
  slots: readonly Slot[]
  /** Slots that new words have taken. */
  taken: Set<string>
  passages: readonly HeldPassage[]
}

/** Edits that bring the words of a site from its own deck to a new one. Pages and sections that it does not name stay. */
export function reconcile(site: Site, deck: Deck, options: ReconcileOptions): Edit[] {
  const edits: Edit[] = []
  /** Words that are to be unplaced, each before the unplaced words that follow them in the deck. */
  const put: { item: Unplaced; before?: string }[] = []
  const drop: string[] = []
  const { language, links, makeId } = options
  const key = (passage: Passage) => passageMarkdown({ ...passage, entry: 0 }, links)
  const now = deckOf(site, language)

  const keepUnplaced = (passage: Passage, page: DeckPage, section: DeckSection, before?: string) => {
    const held = 'unplaced' in passage ? site.unplaced.find((one) => one.id === passage.unplaced) : undefined
    const item: Unplaced = {
      id: held?.id ?? makeId(),
      ...(page.page === undefined ? {} : { page: page.page }),
      pageName: page.name,
      ...(section.section === undefined ? {} : { section: section.section }),
      sectionName: section.name,
      role: passage.role,
      entry: passage.entry,
      words: { ...held?.words, [language]: [...passage.words] },
      ...(passage.link ? { link: passage.link } : {}),
    }
    put.push(before === undefined ? { item } : { item, before })
  }

  function setWords(old: HeldPassage, next: Passage, page: DeckPage, section: DeckSection) {
    if ('unplaced' in old) return keepUnplaced({ ...next, unplaced: old.unplaced } as Passage, page, section)
    edits.push({ kind: 'words', block: old.block, words: { [language]: [...wordsAs(old.role, next)] } })
    if (takesLink(old.role) && takesLink(next.role) && links.write(old.link) !== links.write(next.link))
      edits.push({ kind: 'field', block: old.block, field: 'link', value: (next.link ?? null) as never })
  }

  /** True for words that wait for a section whose name has changed. */
  const isRenamed = (one: HeldPassage, section: DeckSection) =>
    'unplaced' in one &&
    section.section === undefined &&
    site.unplaced.find((other) => other.id === one.unplaced)!.sectionName !== section.name

  /** Brings one run of passages, those of an entry or the section's own, to another. */
  function passages(run: Run, next: readonly Passage[]) {
    const { page, old, entry } = run
    const oldKeys = new Map(run.passages.map((one) => [one, key(one)]))
    const nextKeys = new Map(next.map((one) => [one, key(one)]))
    const cost = (a: HeldPassage, b: Passage) => {
      const text = oldKeys.get(a)!
      return text === nextKeys.get(b) ? 0 : seemingRole(a, text) === b.role ? 1 : OTHER_ROLE
    }
    const steps = align(run.passages, next, cost, 0.9)
    steps.forEach(({ from, to }, i) => {
      const before = from === undefined ? undefined : run.passages[from]!
      const after = to === undefined ? undefined : { ...next[to]!, entry }
      if (before && after) {
        if (oldKeys.get(before) !== nextKeys.get(next[to!]!) || isRenamed(before, old)) setWords(before, after, page, old)
      } else if (before) missing(before, page, old)
      else if (after) {
        const slot = emptySlot(run, after, steps, i)
        // A slot without words keeps the link that it has, unless the words bring one.
        if (slot) setWords({ ...after, link: undefined, block: slot } as HeldPassage, after, page, old)
        else keepUnplaced(after, page, old, unplacedAfter(run, steps, i))
      }
    })
  }

  function sections(old: DeckSection<HeldPassage>, next: DeckSection, page: DeckPage) {
    const home = site.pages.find((one) => one.id === page.page)?.sections.find((one) => one.id === old.section)
    const slots = home ? slotsOf(home) : []
    const taken = new Set<string>()
    const run = (entry: number, list: readonly HeldPassage[]): Run => ({ page, old, entry, slots, taken, passages: list })
    const own = (list: readonly Passage[]) => list.filter((one) => one.entry === 0)
    passages(run(0, own(old.passages) as HeldPassage[]), own(next.passages))

    const before = entriesIn(old.passages)
    const after = entriesIn(next.passages)
    const keysOf = new Map([...before, ...after].map(({ list }) => [list, new Set(list.map(key))]))
    const cost = (a: Entry, b: Entry) => {
      const [keysA, keysB] = [keysOf.get(a.list)!, keysOf.get(b.list)!]
      const common = [...keysA].filter((one) => keysB.has(one)).length
      return 1 - common / Math.max(keysA.size, keysB.size)
    }
    const vacant = [...new Set(slots.map((slot) => slot.entry))].filter((n) => n > 0 && !before.some((one) => one.entry === n))
    const steps = align(before, after, cost, 0.6)
    steps.forEach(({ from, to }, i) => {
      const list = to === undefined ? [] : after[to]!.list
      if (from !== undefined) passages(run(before[from]!.entry, before[from]!.list as HeldPassage[]), list)
      else passages(run(vacant.shift() ?? between(before, steps, i), []), list)
    })
  }

  function missing(before: HeldPassage, page: DeckPage, section: DeckSection) {
    if ('unplaced' in before) {
      if (options.missing === 'go') drop.push(before.unplaced)
      return
    }
    edits.push({ kind: 'words', block: before.block, words: { [language]: [] } })
    if (options.missing === 'keep') keepUnplaced({ ...before }, page, section)
  }

  /** The id of an empty slot for new words: one of their role that stands between their neighbours in the entry. */
  function emptySlot(
    { slots, entry, taken, passages: list }: Run,
    { role }: Passage,
    steps: readonly Step[],
    at: number,
  ): string | undefined {
    const indexOf = ({ from }: Step): number => {
      const held = from === undefined ? undefined : list[from]
      return held && 'block' in held ? slots.findIndex((one) => one.block.id === held.block) : -1
    }
    const known = (some: readonly Step[]) => some.map(indexOf).filter((one) => one >= 0)
    const low = known(steps.slice(0, at)).at(-1) ?? -1
    const high = known(steps.slice(at))[0] ?? slots.length
    const found = slots.find(
      ({ block, ...slot }, i) =>
        i > low &&
        i < high &&
        slot.role === role &&
        slot.entry === entry &&
        !taken.has(block.id) &&
        (block.words[language] ?? []).length === 0,
    )
    if (found) taken.add(found.block.id)
    return found?.block.id
  }

  /** The next unplaced words of the run that stay. */
  function unplacedAfter({ passages: list }: Run, steps: readonly Step[], at: number): string | undefined {
    for (const { from, to } of steps.slice(at)) {
      const held = from === undefined || to === undefined ? undefined : list[from]!
      if (held && 'unplaced' in held) return held.unplaced
    }
    return undefined
  }

  /** Words that wait for a page or section which the deck no longer names were taken out of it. */
  function unnamed(section: DeckSection<HeldPassage>) {
    if (options.missing === 'keep' || section.section !== undefined) return
    for (const one of section.passages) if ('unplaced' in one) drop.push(one.unplaced)
  }

  for (const old of now.pages) {
    if (old.page === undefined && !deck.pages.some((page) => sameName(page.name, old.name))) old.sections.forEach(unnamed)
  }
  for (const page of deck.pages) {
    const known = pageFor(site, page.name, options.home)
    const old = now.pages.find((one) => (known ? one.page === known.id : one.page === undefined && sameName(one.name, page.name)))
    const target: DeckPage = known ? { name: known.name, page: known.id, sections: [] } : { name: page.name, sections: [] }
    const oldSections = old?.sections ?? []
    // While a deck is typed, a section of another name in the place of one that is gone was renamed.
    const otherName = options.missing === 'go' ? 1.5 : 3
    const steps = align(oldSections, page.sections, (a, b) => (sameName(a.name, b.name) ? 0 : otherName), 1)
    for (const { from, to } of steps) {
      const next = to === undefined ? undefined : page.sections[to]!
      const before = from === undefined ? undefined : oldSections[from]!
      if (!next) {
        if (before) unnamed(before)
        continue
      }
      if (before?.section && !sameName(before.name, next.name) && next.name !== '')
        edits.push({ kind: 'field', block: before.section, field: 'name', value: next.name.slice(0, 80) })
      sections(before?.section ? before : { name: next.name, passages: before?.passages ?? [] }, next, target)
    }
  }
  if (put.length > 0 || drop.length > 0) edits.push(inOrder(site, put, drop))
  return edits
}

/** The edit of the unplaced words, each new one at the index that its follower has by then. */
function inOrder(site: Site, put: readonly { item: Unplaced; before?: string }[], drop: string[]): ListEdit {
  const list = site.unplaced.map((one) => one.id).filter((id) => !drop.includes(id))
  const placed = put.map(({ item, before }) => {
    if (list.includes(item.id)) return { item }
    const at = before === undefined ? list.length : list.indexOf(before)
    list.splice(at, 0, item.id)
    return { at, item }
  })
  return { kind: 'list', list: 'unplaced', drop, put: placed }
}
