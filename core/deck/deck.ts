import { sectionName } from '#core/render/names'
import type { Unplaced } from '#core/site/passage'
import { saidBefore } from '#core/shared/said'
import type { Page, Site } from '#core/site/schema'
import type { Section } from '#core/blocks/index'
import { plainText } from '#core/values/words'
import type { Deck, DeckPage, DeckSection, HeldPassage } from './passage'
import { slotsOf } from './slots'

/** A section as it is called in the deck: its own name, or its job. */
export function deckName(section: Section): string {
  const name = sectionName(section).replace('-', ' ')
  return name[0]!.toUpperCase() + name.slice(1)
}

const linkOf = (block: object) => ('link' in block && block.link ? { link: block.link as never } : {})

/** Passages in the slots of a section that have words, in reading order; those of a shared block once. */
function placedIn(section: Section, language: string, before: ReadonlySet<string>): HeldPassage[] {
  return slotsOf(section).flatMap(({ block, role, entry, list, beside }) => {
    const words = block.words[language] ?? []
    if (before.has(block.id)) return []
    if (plainText(words).trim() === '') return []
    const link = block.kind === 'button' || block.kind === 'link' ? linkOf(block) : {}
    return [
      { role, entry, words, block: block.id, ...link, ...(list?.ordered ? { ordered: true } : {}), ...(beside ? { beside } : {}) },
    ]
  })
}

const fromUnplaced = (one: Unplaced, language: string): HeldPassage[] => {
  const words = one.words[language] ?? []
  return words.length === 0
    ? []
    : [
        {
          role: one.role,
          entry: one.entry,
          words,
          unplaced: one.id,
          ...linkOf(one),
          ...(one.ordered ? { ordered: true } : {}),
          ...(one.beside ? { beside: true } : {}),
        },
      ]
}

type Joined = HeldPassage & { after?: string | undefined }

/** Where unplaced words are read among the passages of their section: after what they say, else behind their own entry. */
function placeAmong(all: readonly Joined[], one: Joined, section: string): number {
  const block = all.findIndex((other) => 'block' in other && other.block === one.after && other.entry === one.entry)
  const follows = (from: number) => {
    let at = from
    while (all[at]?.after !== undefined && all[at]!.after === one.after && all[at]!.entry === one.entry) at++
    return at
  }
  if (block >= 0) return follows(block + 1)
  const firstEntry = all.findIndex((other) => other.entry > 0)
  const same = all.findIndex((other) => other.entry === one.entry)
  if (one.after === section && same >= 0) return follows(same)
  if (one.entry === 0) return firstEntry < 0 ? all.length : firstEntry
  const next = all.findIndex((other) => other.entry > one.entry)
  return same >= 0 ? all.findLastIndex((other) => other.entry === one.entry) + 1 : next >= 0 ? next : all.length
}

/** Puts unplaced words among those that stand in slots. */
function join(placed: HeldPassage[], unplaced: readonly Unplaced[], section: string, language: string): HeldPassage[] {
  const all: Joined[] = [...placed]
  for (const held of unplaced) {
    for (const passage of fromUnplaced(held, language)) {
      const one = { ...passage, after: held.after }
      all.splice(placeAmong(all, one, section), 0, one)
    }
  }
  return all.map(({ after: _, ...one }) => one as HeldPassage)
}

/** Where an unplaced passage belongs now: its page and section, if they still exist. */
export function homeOf(site: Site, one: Unplaced): { page?: Page; section?: Section } {
  const page = site.pages.find((other) => other.id === one.page) ?? site.pages.find((other) => other.name === one.pageName)
  const section = page?.sections.find((other) => other.id === one.section)
  return { ...(page ? { page } : {}), ...(section ? { section } : {}) }
}

const decks = new WeakMap<Site, Map<string, Deck<HeldPassage>>>()

/**
 * The copy deck of a site in one language: the words of every slot, and those that stand nowhere. Remembered for frozen
 * sites, since a key press asks for it several times.
 */
export function deckOf(site: Site, language: string): Deck<HeldPassage> {
  if (!Object.isFrozen(site)) return makeDeck(site, language)
  let known = decks.get(site)
  if (!known) decks.set(site, (known = new Map()))
  let deck = known.get(language)
  if (!deck) known.set(language, (deck = makeDeck(site, language)))
  return deck
}

function makeDeck(site: Site, language: string): Deck<HeldPassage> {
  const homes = site.unplaced.map((one) => ({ one, ...homeOf(site, one) }))
  const before = saidBefore(site, language)
  const pages = site.pages.map((page): DeckPage<HeldPassage> => {
    const sections = page.sections.map((section): DeckSection<HeldPassage> => {
      const own = homes.filter((home) => home.section === section).map(({ one }) => one)
      const placed = placedIn(section, language, before)
      const passages = own.length === 0 ? placed : join(placed, own, section.id, language)
      return { name: deckName(section), section: section.id, passages }
    })
    const homeless = homes.filter((home) => home.page === page && !home.section).map(({ one }) => one)
    const waiting = waitingSections(homeless, language)
    // Words that stood above every section heading have no section's name; they are read first.
    const nameless = waiting.filter((one) => one.name === '')
    const named = waiting.filter((one) => one.name !== '')
    const behind = (id: string) => named.filter((one) => one.after === id)
    const ids = new Set([page.id, ...page.sections.map((one) => one.id)])
    const last = named.filter((one) => one.after === undefined || !ids.has(one.after))
    const read = [...behind(page.id), ...sections.flatMap((one) => [one, ...behind(one.section!)]), ...last]
    return {
      name: page.name,
      page: page.id,
      sections: [
        ...nameless,
        ...read.map(({ name, section, passages }) => ({ name, ...(section === undefined ? {} : { section }), passages })),
      ],
    }
  })
  const strays = homes.filter((home) => !home.page).map(({ one }) => one)
  const names = [...new Set(strays.map((one) => one.pageName))]
  const others = names.map((name) => ({
    name,
    sections: waitingSections(
      strays.filter((one) => one.pageName === name),
      language,
    ).map(({ name: title, passages }) => ({ name: title, passages })),
  }))
  return { pages: [...pages, ...others] }
}

type WaitingSection = DeckSection<HeldPassage> & { after?: string | undefined }

/** Sections that words wait for, in the order of the words: by their group, or else by their name. */
function waitingSections(list: readonly Unplaced[], language: string): WaitingSection[] {
  const keyOf = (one: Unplaced) => (one.sectionName === '' ? '' : (one.group ?? `named ${one.sectionName}`))
  const keys = [...new Set(list.map(keyOf))]
  return keys
    .map((key) => {
      const own = list.filter((one) => keyOf(one) === key)
      return { name: own[0]!.sectionName, after: own[0]!.after, passages: own.flatMap((one) => fromUnplaced(one, language)) }
    })
    .filter((one) => one.passages.length > 0)
}
