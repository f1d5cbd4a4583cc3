import { sameName } from '#core/deck/names'
import type { BlockOf, Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { isContainer, walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import type { Placeable } from './placeable'

type From = Placeable & { from?: string | undefined }

const navOf = (section: Section) => [...walk(section)].find((block): block is BlockOf<'nav'> => block.kind === 'nav')
const isEmpty = (block: BlockOf<'link' | 'button'>) => Object.values(block.words).every((words) => plainText(words).trim() === '')

/** True for a link that says whose page this is: the site's name, leading to its first page. */
function isName({ link, words }: Placeable, site: Site): boolean {
  const home = link && 'page' in link && link.section === undefined && link.page === site.pages[0]!.id
  return Boolean(home) && Object.values(words).some((one) => sameName(plainText(one), site.name))
}

/**
 * Says of each link of a header, and of a line of words that is its name, whether it is the name or belongs into the nav: as it stood before, or, for one that
 * comes from the deck, by what it says. @param before the header as it was
 */
export function withNavLinks<P extends From>(list: readonly P[], before: Section, site: Site): P[] {
  const links = [...walk(before)].filter((block) => block.kind === 'link').map((one) => one.id)
  const inNav = new Set(navOf(before)?.children.map((one) => one.id))
  const told = list.map((one) => {
    if (one.role !== 'link') return one
    const stood = one.from !== undefined && links.includes(one.from)
    return { ...one, inNav: stood ? inNav.has(one.from!) : !isName(one, site) }
  })
  if (told.some((one) => one.inNav === false)) return told
  // A line of words in a header is the name, which leads to the first page.
  const line = told.findIndex((one) => one.entry === 0 && (one.role === 'text' || one.role === 'heading'))
  return told.map((one, i) => (i === line ? { ...one, role: 'link', inNav: false, link: { page: site.pages[0]!.id } } : one))
}

/** Makes room for a header's own links: a nav that followed the pages holds them from now on. */
export function openNav(made: Section, list: readonly Placeable[], link: () => BlockOf<'link'>): void {
  const nav = navOf(made)
  if (!nav?.follows || !list.some((one) => one.inNav)) return
  delete nav.follows
  nav.children = [link()]
}

function dropFrom(container: Section | BlockOf<'group'>, unwanted: (block: BlockOf<'button'>) => boolean): void {
  container.children = container.children.filter((block) => block.kind !== 'button' || !unwanted(block))
  for (const child of container.children) if (isContainer(child) && child.kind === 'group') dropFrom(child, unwanted)
}

/** Finishes a header with links of its own: its name is the site's where no other was given, and no button waits for words. */
export function finishHeader(made: Section, list: readonly Placeable[], site: Site): void {
  if (!list.some((one) => one.inNav)) return
  const inNav = new Set(navOf(made)?.children.map((one) => one.id))
  const name = [...walk(made)].find((block): block is BlockOf<'link'> => block.kind === 'link' && !inNav.has(block.id))
  if (name && isEmpty(name)) Object.assign(name, { words: { [site.language]: [site.name] }, link: { page: site.pages[0]!.id } })
  if (!list.some((one) => one.role === 'call')) dropFrom(made, isEmpty)
}
