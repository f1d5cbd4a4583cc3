import type { Block, Container, Section } from '#core/blocks/index'
import { isContainer, walk, withChildren } from '#core/blocks/tree'
import type { Picture } from '#core/picture/picture'
import type { Page, Site } from './schema'

/** Every block of a page, in reading order. */
export function* walkPage(page: Page): Generator<Block> {
  for (const section of page.sections) yield* walk(section)
}

const idsOf = new WeakMap<Section, Set<string>>()

/** The ids in a section; remembered per section object, so that finding a block does not walk the unchanged ones. */
function sectionIds(section: Section): Set<string> {
  let ids = idsOf.get(section)
  if (!ids) {
    ids = new Set()
    for (const block of walk(section)) ids.add(block.id)
    if (Object.isFrozen(section)) idsOf.set(section, ids)
  }
  return ids
}

/** Where a block stands: indexes from the page down. */
export type Place = { page: number; path: number[]; ancestors: Container[]; block: Block }

function findIn(container: Container, id: string, path: number[], ancestors: Container[]): Block | undefined {
  for (let i = 0; i < container.children.length; i++) {
    const child = container.children[i]!
    path.push(i)
    if (child.id === id) {
      ancestors.push(container)
      return child
    }
    if (isContainer(child)) {
      ancestors.push(container)
      const found = findIn(child, id, path, ancestors)
      if (found) return found
      ancestors.pop()
    }
    path.pop()
  }
  return undefined
}

/** Finds a block anywhere in a site; `undefined` if it is gone. */
export function findBlock(site: Site, id: string): Place | undefined {
  for (let page = 0; page < site.pages.length; page++) {
    const { sections } = site.pages[page]!
    for (let i = 0; i < sections.length; i++) {
      const section = sections[i]!
      if (!sectionIds(section).has(id)) continue
      if (section.id === id) return { page, path: [i], ancestors: [], block: section }
      const path = [i]
      const ancestors: Container[] = []
      const block = findIn(section, id, path, ancestors)
      if (block) return { page, path, ancestors, block }
    }
  }
  return undefined
}

/** A site with the sections of its pages changed; pages in which none is stay the same objects, and so does the site. */
export function withSections(site: Site, change: (section: Section) => Section): Site {
  const pages = site.pages.map((page) => {
    const sections = page.sections.map(change)
    return sections.every((one, i) => one === page.sections[i]) ? page : { ...page, sections }
  })
  return pages.every((one, i) => one === site.pages[i]) ? site : { ...site, pages }
}

/** Keys under which a block is named by its id; other texts may happen to be spelt as one. */
const NAMED: ReadonlySet<string> = new Set(['opens', 'shows', 'block', 'field', 'section', 'of'])

/** The id that a block has now, by the one that it is named by; nothing for one that keeps its own. */
type IdNow = (id: string) => string | undefined

/** A value in which every mention of a block by its id is of another. */
function renamed<T>(value: T, idNow: IdNow): T {
  if (Array.isArray(value)) return value.map((one) => renamed(one as unknown, idNow)) as T
  if (typeof value !== 'object' || value === null) return value
  const now = (key: string, one: unknown) =>
    typeof one === 'string' ? (NAMED.has(key) ? (idNow(one) ?? one) : one) : renamed(one, idNow)
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, now(key, one)])) as T
}

/** Fields of a block that may name others: what a press, a step, a condition and a motion are about. */
const NAMING = ['press', 'steps', 'shownBy', 'style'] as const

/** The same block tree with new ids throughout, for duplicates and pastes; what names a block in it names the new one. */
export function withNewIds<B extends Block>(block: B, makeId: () => string): B {
  const ids = new Map<string, string>()
  const copied = <C extends Block>(one: C): C => {
    const copy = { ...one, id: makeId() }
    ids.set(one.id, copy.id)
    if (isContainer(copy)) copy.children = copy.children.map(copied)
    return copy
  }
  const whole = copied(block)
  // Once all are known, since a block may name one that comes after it.
  return withNames(whole, (id) => ids.get(id))
}

/** A block tree in which what names a block names it by the id that it has now. */
export function withNames<B extends Block>(block: B, idNow: IdNow): B {
  const next = { ...withChildren(block, (one) => withNames(one, idNow)) }
  const fields = next as Partial<Record<(typeof NAMING)[number], unknown>>
  for (const field of NAMING) if (fields[field] !== undefined) fields[field] = renamed(fields[field], idNow)
  return next
}

/** The site's pictures by id. */
export function picturesById(site: Site): Map<string, Picture> {
  return new Map(site.pictures.map((picture) => [picture.id, picture]))
}
