import type { BlockOf } from '#core/blocks/index'
import type { FieldEdit } from '#core/edits/field'
import type { ListEdit } from '#core/edits/list'
import type { WordsEdit } from '#core/edits/words'
import type { Edit } from '#core/edits/index'
import type { MakeId } from '#core/values/ids'
import type { Role } from '#core/values/passage-role'
import type { Unplaced } from '#core/site/passage'
import type { Site } from '#core/site/schema'
import { saidByAll } from '#core/shared/said'
import type { Span } from '#core/values/words'
import { align, type Step } from './align'
import { type MatchedSection, matchDeck, type MatchOptions, pageFor } from './match'
import { orderEdits, staying } from './order'
import { deckOf } from '#core/deck/deck'
import type { DeckLinks } from '#core/deck/links'
import { sameName } from '#core/deck/names'
import type { Deck, DeckPage, DeckSection, HeldPassage, Passage } from '#core/deck/passage'
import { passageMarkdown } from '#core/deck/print'
import { type Slot, slotsOf } from '#core/deck/slots'

/** What becomes of words that the site has and the new text has not: they go, or they are kept unplaced. */
type Missing = 'go' | 'keep'

export type ReconcileOptions = MatchOptions & { language: string; links: DeckLinks; makeId: MakeId; missing: Missing }

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

/** The group of words that wait for a section, and what they are read after. */
const waitingOf = (section: DeckSection, behind: string | undefined): Pick<Unplaced, 'group' | 'after'> => {
  const { group, after = behind } = section as { group?: string; after?: string }
  return { ...(group === undefined ? {} : { group }), ...(after === undefined ? {} : { after }) }
}

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

/**
 * Edits that bring the words of a site from its own deck to a new one. Where missing words go, the site's deck says what
 * the new one says: sections move, are renamed or lose their words as it has them. Where they are kept, as in an import,
 * pages and sections that the new one does not name stay as they are.
 */
export function reconcile(site: Site, deck: Deck, options: ReconcileOptions): Edit[] {
  const edits: Edit[] = []
  const put: Unplaced[] = []
  /** Ids of the unplaced words in the order in which the text has them. */
  const read: string[] = []
  const drop: string[] = []
  const { language, links, makeId } = options
  const key = (passage: Passage) =>
    passageMarkdown({ role: passage.role, entry: 0, words: passage.words, ...(passage.link ? { link: passage.link } : {}) }, links)
  const now = deckOf(site, language)

  const keepUnplaced = (passage: Passage, page: DeckPage, section: DeckSection, after?: string) => {
    const held = 'unplaced' in passage ? site.unplaced.find((one) => one.id === passage.unplaced) : undefined
    const item: Unplaced = {
      id: held?.id ?? makeId(),
      ...(page.page === undefined ? {} : { page: page.page }),
      pageName: page.name,
      ...(section.section === undefined ? {} : { section: section.section }),
      sectionName: section.name,
      ...waitingOf(section, after),
      role: passage.role,
      entry: passage.entry,
      words: { ...held?.words, [language]: [...passage.words] },
      ...(held?.from === undefined ? {} : { from: held.from }),
      ...(passage.link ? { link: passage.link } : {}),
      ...(passage.ordered ? { ordered: true } : {}),
      ...(passage.beside ? { beside: true } : {}),
    }
    put.push(item)
    read.push(item.id)
  }

  /** Words that all copies of a shared block have stand in the deck once, and change in all of them. */
  function inAll(edit: WordsEdit | FieldEdit): Edit {
    const all = saidByAll(site, edit.block, language)
    return all ? { kind: 'shared', shared: all.shared, edit: { ...edit, block: all.part } } : edit
  }

  function setWords(old: HeldPassage, next: Passage, page: DeckPage, section: DeckSection, after?: string) {
    if ('unplaced' in old) return keepUnplaced({ ...next, unplaced: old.unplaced } as Passage, page, section, after)
    edits.push(inAll({ kind: 'words', block: old.block, words: { [language]: [...wordsAs(old.role, next)] } }))
    if (takesLink(old.role) && takesLink(next.role) && links.write(old.link) !== links.write(next.link))
      edits.push(inAll({ kind: 'field', block: old.block, field: 'link', value: (next.link ?? null) as never }))
  }

  /** True for unplaced words that are read in another place now, or belong to another section or page. */
  const isElsewhere = (one: HeldPassage, next: Passage, page: DeckPage, section: DeckSection, after: string | undefined) => {
    if (!('unplaced' in one)) return false
    const held = site.unplaced.find((other) => other.id === one.unplaced)!
    const wanted = waitingOf(section, after)
    return (
      held.page !== page.page ||
      (page.page === undefined && held.pageName !== page.name) ||
      held.section !== section.section ||
      held.group !== wanted.group ||
      held.after !== wanted.after ||
      held.ordered !== next.ordered ||
      held.beside !== next.beside ||
      (section.section === undefined && held.sectionName !== section.name)
    )
  }

  /**
   * True for words that are the same but for soft hyphens, which those who send copy know nothing of. Who writes in the deck
   * itself has them there, and may take them out.
   */
  const saysSame = (before: string, next: string) =>
    before === next || (options.missing === 'keep' && !next.includes('\u00ad') && before.replaceAll('\u00ad', '') === next)

  /** Lists with whether they have numbers from now on: as their first item says. */
  const numbers = new Map<BlockOf<'list'>, boolean>()
  const number = ({ slots }: Run, item: string, next: Passage) => {
    const list = next.role === 'item' ? slots.find(({ block }) => block.id === item)?.list : undefined
    if (list && !numbers.has(list)) numbers.set(list, next.ordered === true)
  }

  /** Brings one run of passages, those of an entry or the section's own, to another. */
  function passages(run: Run, next: readonly Passage[]) {
    const { page, old, entry } = run
    const oldKeys = new Map(run.passages.map((one) => [one, key(one)]))
    const nextKeys = new Map(next.map((one) => [one, key(one)]))
    const cost = (a: HeldPassage, b: Passage) => {
      const text = oldKeys.get(a)!
      return saysSame(text, nextKeys.get(b)!) ? 0 : seemingRole(a, text) === b.role ? 1 : OTHER_ROLE
    }
    const steps = align(run.passages, next, cost, 0.9)
    // What the words that are read next are read after: the last slot before them, or their section.
    let behind = options.missing === 'go' ? old.section : undefined
    steps.forEach(({ from, to }, i) => {
      const before = from === undefined ? undefined : run.passages[from]!
      const after = to === undefined ? undefined : { ...next[to]!, entry }
      if (before && after) {
        const changed = !saysSame(oldKeys.get(before)!, nextKeys.get(next[to!]!)!)
        if (changed || isElsewhere(before, after, page, old, behind)) setWords(before, after, page, old, behind)
        else if ('unplaced' in before) read.push(before.unplaced)
        if ('block' in before) number(run, before.block, after)
        if ('block' in before && options.missing === 'go') behind = before.block
      } else if (before) missing(before, page, old)
      else if (after) {
        const slot = emptySlot(run, after, steps, i)
        // A slot without words keeps the link that it has, unless the words bring one.
        if (slot) setWords({ ...after, link: undefined, block: slot } as HeldPassage, after, page, old)
        else keepUnplaced(after, page, old, behind)
        if (slot) number(run, slot, after)
        if (slot && options.missing === 'go') behind = slot
      }
    })
  }

  function sections(old: DeckSection<HeldPassage>, next: DeckSection, page: DeckPage) {
    const home = site.pages.flatMap((one) => one.sections).find((one) => one.id === old.section)
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
    // Copies of a shared block may have words that the deck has elsewhere.
    const full = new Set(slots.filter(({ block }) => (block.words[language] ?? []).length > 0).map((one) => one.entry))
    const vacant = [...new Set(slots.map((slot) => slot.entry))].filter(
      (n) => n > 0 && !full.has(n) && !before.some((one) => one.entry === n),
    )
    const steps = align(before, after, cost, 0.6)
    steps.forEach(({ from, to }, i) => {
      const list = to === undefined ? [] : after[to]!.list
      if (from !== undefined) passages(run(before[from]!.entry, before[from]!.list as HeldPassage[]), list)
      else passages(run(vacant.shift() ?? between(before, steps, i), []), list)
    })
  }

  /** Takes unplaced words out; those in other languages stay. */
  function takeOut(id: string) {
    const { words, ...held } = site.unplaced.find((one) => one.id === id)!
    const others = Object.fromEntries(Object.entries(words).filter(([name]) => name !== language))
    if (Object.keys(others).length === 0) drop.push(id)
    else put.push({ ...held, words: others })
  }

  function missing(before: HeldPassage, page: DeckPage, section: DeckSection) {
    if ('unplaced' in before) {
      if (options.missing === 'go') takeOut(before.unplaced)
      return
    }
    edits.push(inAll({ kind: 'words', block: before.block, words: { [language]: [] } }))
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

  /** Brings a section of the site, or words that wait for one, to what the text says of it. */
  function section({ next, before }: MatchedSection, target: DeckPage, after: string | undefined) {
    if (before?.section && !sameName(before.name, next.name) && next.name !== '')
      edits.push({ kind: 'field', block: before.section, field: 'name', value: next.name.slice(0, 80) })
    if (before?.section) return sections(before, next, target)
    // Words above every section heading come first, and follow nothing.
    const waits = next.name === '' ? {} : { group: groupOf(site, before) ?? makeId(), ...(after === undefined ? {} : { after }) }
    sections({ name: next.name, passages: before?.passages ?? [], ...waits } as Waiting, next, target)
  }

  if (options.missing === 'keep') {
    // What the text does not name stays as it is, and nothing is taken for renamed.
    for (const page of deck.pages) {
      const known = pageFor(site, page.name, options.home)
      const old = now.pages.find((one) => (known ? one.page === known.id : one.page === undefined && sameName(one.name, page.name)))
      const steps = align(old?.sections ?? [], page.sections, (a, b) => (sameName(a.name, b.name) ? 0 : 3), 1)
      for (const { from, to } of steps) {
        const before = from === undefined ? undefined : old!.sections[from]!
        if (to !== undefined)
          section({ next: page.sections[to]!, ...(before ? { before } : {}) }, targetOf(known, page.name), undefined)
      }
    }
  } else {
    const pages = matchDeck(site, now, deck, options)
    edits.push(...orderEdits(site, pages))
    for (const page of pages) {
      const known = site.pages.find((one) => one.id === page.before?.page)
      if (known && page.name !== '' && !sameName(known.name, page.name) && !sameName(known.address, page.name))
        edits.push({ kind: 'page-field', page: known.id, values: { name: page.name.slice(0, 120) } })
      const target = targetOf(known, page.name)
      let after = known?.id
      for (const one of page.sections) {
        section(one, target, after)
        after = one.before?.section ?? after
      }
    }
    const kept = new Set(pages.flatMap((page) => page.sections.map((one) => one.before)))
    for (const page of now.pages)
      for (const one of page.sections) if (!kept.has(one)) one.passages.forEach((passage) => missing(passage, page, one))
  }
  for (const [{ id, ordered }, value] of numbers)
    if (value !== ordered) edits.push({ kind: 'field', block: id, field: 'ordered', value })
  const list = listInOrder(site, put, drop, read, makeId)
  if (list) edits.push(list)
  return edits
}

/** Words that wait for a section: which group of them, and what stands before it. */
type Waiting = DeckSection<HeldPassage> & { group?: string; after?: string }

const targetOf = (known: Site['pages'][number] | undefined, name: string): DeckPage =>
  known ? { name: known.name, page: known.id, sections: [] } : { name, sections: [] }

/** The group that waiting words belong to already. */
function groupOf(site: Site, section: DeckSection<HeldPassage> | undefined): string | undefined {
  const [first] = section?.passages ?? []
  return first && 'unplaced' in first ? site.unplaced.find((one) => one.id === first.unplaced)?.group : undefined
}

/**
 * The edit of the unplaced words: some go, some are new or change, and all that the text has stand in its order. Words
 * that must change places are put in anew.
 */
function listInOrder(
  site: Site,
  put: readonly Unplaced[],
  drop: readonly string[],
  read: readonly string[],
  makeId: MakeId,
): ListEdit | undefined {
  const gone = new Set(drop)
  const changed = new Map(put.map((item) => [item.id, item]))
  const list = site.unplaced.map((one) => one.id).filter((id) => !gone.has(id))
  const still = staying(read.map((id) => list.indexOf(id)).filter((at) => at >= 0))
  const stays = new Set(list.filter((_, at) => still.has(at)))
  const anew = read.filter((id) => list.includes(id) && !stays.has(id))
  for (const id of anew) {
    gone.add(id)
    list.splice(list.indexOf(id), 1)
  }
  const puts: ListEdit['put'] = []
  read.forEach((id, i) => {
    const item = changed.get(id) ?? site.unplaced.find((one) => one.id === id)!
    if (stays.has(id)) {
      if (changed.has(id)) puts.push({ item } as never)
      return
    }
    const following = read.slice(i + 1).find((one) => stays.has(one))
    const at = following === undefined ? list.length : list.indexOf(following)
    list.splice(at, 0, id)
    puts.push({ at, item: anew.includes(id) ? { ...item, id: makeId() } : item } as never)
  })
  for (const item of put) if (!read.includes(item.id)) puts.push({ item } as never)
  return puts.length === 0 && gone.size === 0
    ? undefined
    : ({ kind: 'list', list: 'unplaced', drop: [...gone], put: puts } as ListEdit)
}
