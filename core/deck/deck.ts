import { sectionName } from '#core/render/names'
import type { Unplaced } from '#core/site/passage'
import type { Page, Section, Site } from '#core/site/schema'
import { plainText } from '#core/site/words'
import type { Deck, DeckPage, DeckSection, HeldPassage } from './passage'
import { slotsOf } from './slots'

/** A section as it is called in the deck: its own name, or its job. */
export function deckName(section: Section): string {
  const name = sectionName(section).replace('-', ' ')
  return name[0]!.toUpperCase() + name.slice(1)
}

const linkOf = (block: object) => ('link' in block && block.link ? { link: block.link as never } : {})

/** Passages in the slots of a section that have words, in reading order. */
function placedIn(section: Section, language: string): HeldPassage[] {
  return slotsOf(section).flatMap(({ block, role, entry }) => {
    const words = block.words[language] ?? []
    if (plainText(words).trim() === '') return []
    const link = block.kind === 'button' || block.kind === 'link' ? linkOf(block) : {}
    return [{ role, entry, words, block: block.id, ...link }]
  })
}

const fromUnplaced = (one: Unplaced, language: string): HeldPassage[] => {
  const words = one.words[language] ?? []
  return words.length === 0 ? [] : [{ role: one.role, entry: one.entry, words, unplaced: one.id, ...linkOf(one) }]
}

/** Puts unplaced words behind those of their own entry, so that the deck reads in its order. */
function join(placed: HeldPassage[], unplaced: HeldPassage[]): HeldPassage[] {
  const all = [...placed]
  for (const one of unplaced) {
    const firstEntry = all.findIndex((other) => other.entry > 0)
    let at: number
    if (one.entry === 0) at = firstEntry < 0 ? all.length : firstEntry
    else {
      const same = all.findLastIndex((other) => other.entry === one.entry)
      const next = all.findIndex((other) => other.entry > one.entry)
      at = same >= 0 ? same + 1 : next >= 0 ? next : all.length
    }
    all.splice(at, 0, one)
  }
  return all
}

/** Where an unplaced passage belongs now: its page and section, if they still exist. */
export function homeOf(site: Site, one: Unplaced): { page?: Page; section?: Section } {
  const page = site.pages.find((other) => other.id === one.page) ?? site.pages.find((other) => other.name === one.pageName)
  const section = page?.sections.find((other) => other.id === one.section)
  return { ...(page ? { page } : {}), ...(section ? { section } : {}) }
}

/** The copy deck of a site in one language: the words of every slot, and those that stand nowhere. */
export function deckOf(site: Site, language: string): Deck<HeldPassage> {
  const homes = site.unplaced.map((one) => ({ one, ...homeOf(site, one) }))
  const pages = site.pages.map((page): DeckPage<HeldPassage> => {
    const sections = page.sections.map((section): DeckSection<HeldPassage> => {
      const own = homes.filter((home) => home.section === section).flatMap(({ one }) => fromUnplaced(one, language))
      return { name: deckName(section), section: section.id, passages: join(placedIn(section, language), own) }
    })
    const homeless = homes.filter((home) => home.page === page && !home.section).map(({ one }) => one)
    const named = byName(homeless, language)
    // Words that stood above every section heading have no section's name; they are read first.
    const nameless = named.filter((one) => one.name === '')
    return { name: page.name, page: page.id, sections: [...nameless, ...sections, ...named.filter((one) => one.name !== '')] }
  })
  const strays = homes.filter((home) => !home.page).map(({ one }) => one)
  const names = [...new Set(strays.map((one) => one.pageName))]
  const others = names.map((name) => ({
    name,
    sections: byName(
      strays.filter((one) => one.pageName === name),
      language,
    ),
  }))
  return { pages: [...pages, ...others] }
}

function byName(list: Unplaced[], language: string): DeckSection<HeldPassage>[] {
  const names = [...new Set(list.map((one) => one.sectionName))]
  return names
    .map((name) => ({
      name,
      passages: list.filter((one) => one.sectionName === name).flatMap((one) => fromUnplaced(one, language)),
    }))
    .filter((one) => one.passages.length > 0)
}
