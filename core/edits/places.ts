import type { Block, Container } from '#core/blocks/index'
import { isContainer, withChildren } from '#core/blocks/tree'
import type { Page, Site } from '#core/site/schema'
import { findBlock, type Place, withSections } from '#core/site/tree'
import { EditError } from './edit'

/** Finds a block or says that it is gone. */
export function placeOf(site: Site, id: string): Place {
  const place = findBlock(site, id)
  if (!place) throw new EditError(`The block "${id}" is no longer on any page.`)
  return place
}

/** The same block in a draft of the site. */
export function draftAt(draft: Site, place: Place): Block {
  const [first, ...rest] = place.path
  let block: Block = draft.pages[place.page]!.sections[first!]!
  for (const index of rest) block = (block as Container).children[index]!
  return block
}

/** What holds blocks: a page holds sections, a container holds the kinds that it may. */
export type Holder = { page: Page } | { container: Place & { block: Container } }

export function holderOf(site: Site, id: string): Holder {
  const page = site.pages.find((one) => one.id === id)
  if (page) return { page }
  const place = placeOf(site, id)
  if (!isContainer(place.block)) throw new EditError(`A ${place.block.kind} holds no other blocks.`)
  return { container: place as Place & { block: Container } }
}

/** The list of blocks of a holder, in a draft. */
export function childrenOf(draft: Site, site: Site, holder: Holder): Block[] {
  if ('page' in holder) return draft.pages[site.pages.indexOf(holder.page)]!.sections as Block[]
  return (draftAt(draft, holder.container) as Container).children
}

/** The id of what holds a block, and the block's index in it. */
export function positionOf(site: Site, place: Place): { parent: string; index: number } {
  const index = place.path.at(-1)!
  const parent = place.ancestors.at(-1)
  return { parent: parent ? parent.id : site.pages[place.page]!.id, index }
}

/** Index of a direction. @throws EditError if it is gone */
export function directionAt(site: Site, id: string): number {
  const index = site.directions.findIndex((one) => one.id === id)
  if (index < 0) throw new EditError(`The direction "${id}" is no longer in this site.`)
  return index
}

/** Index of a page. @throws EditError if it is gone */
export function pageAt(site: Site, id: string): number {
  const index = site.pages.findIndex((page) => page.id === id)
  if (index < 0) throw new EditError(`The page "${id}" is no longer in this site.`)
  return index
}

/** A block with blocks inside it, or itself, in the place of those that have their ids; what was there is put into `old`. */
function replacing<B extends Block>(block: B, next: ReadonlyMap<string, Block>, old: Block[]): B {
  const found = next.get(block.id)
  if (found) {
    if (found.kind !== block.kind) throw new EditError(`A ${block.kind} cannot become a ${found.kind}.`)
    old.push(block)
    return found as B
  }
  return withChildren(block, (child) => replacing(child, next, old))
}

/**
 * A site with blocks in the place of those that have their ids.
 * @returns the site, and the blocks that stood there
 * @throws EditError if one of them is gone, or of another kind
 */
export function withBlocks(site: Site, next: ReadonlyMap<string, Block>): { site: Site; old: Block[] } {
  const old: Block[] = []
  const replaced = withSections(site, (section) => replacing(section, next, old))
  const gone = [...next.keys()].find((id) => !old.some((one) => one.id === id))
  if (gone !== undefined) throw new EditError(`The block "${gone}" is no longer on any page.`)
  return { site: replaced, old }
}
