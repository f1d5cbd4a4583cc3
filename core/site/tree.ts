import type { Block, Container, Section } from '#core/blocks/index'
import { isContainer, walk } from '#core/blocks/tree'
import type { Picture } from '#core/picture/picture'
import { pressed } from '#core/values/press'
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

/** The same block tree with new ids throughout, for duplicates and pastes; its buttons open and show what is in it. */
export function withNewIds<B extends Block>(block: B, makeId: () => string): B {
  const ids = new Map<string, string>()
  const copied = <C extends Block>(one: C): C => {
    const copy: Block = { ...one, id: makeId() }
    ids.set(one.id, copy.id)
    if (isContainer(copy)) copy.children = copy.children.map(copied)
    return copy as C
  }
  const whole = copied(block)
  for (const one of walk(whole)) {
    if (one.kind === 'group' && one.steps)
      one.steps = {
        ...one.steps,
        at: one.steps.at.map(({ block: id, of }) => ({ block: ids.get(id) ?? id, of: ids.get(of) ?? of })),
      }
    if (one.kind === 'field' && one.shownBy)
      one.shownBy = { ...one.shownBy, field: ids.get(one.shownBy.field) ?? one.shownBy.field }
    if (one.kind !== 'button' || !one.press) continue
    const inside = ids.get(pressed(one.press) ?? '')
    if (inside !== undefined) one.press = 'opens' in one.press ? { opens: inside } : { shows: inside }
  }
  return whole
}

/** The site's pictures by id. */
export function picturesById(site: Site): Map<string, Picture> {
  return new Map(site.pictures.map((picture) => [picture.id, picture]))
}
