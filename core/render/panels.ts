import type { Block } from '#core/blocks/index'
import type { PanelOfPage } from '#core/blocks/element'
import { isOpened, showsOne } from '#core/blocks/panel'
import { isContainer, walk } from '#core/blocks/tree'
import { derivedId } from '#core/shared/copies'
import type { Page } from '#core/site/schema'
import { pressed } from '#core/values/press'
import { slug, unique } from './names'

/** A block and all in it that are printed. */
function* printed(block: Block): Generator<Block> {
  if (block.hidden) return
  yield block
  if (isContainer(block)) for (const child of block.children) yield* printed(child)
}

/** The blocks inside that buttons open or show, and those that another waits for as they pass a line. */
function panelsIn(section: Block): Set<Block> {
  const found = new Set<Block>()
  const all = [...printed(section)]
  const followed = new Set(all.flatMap((one) => (one.kind === 'group' && one.steps ? one.steps.at.map(({ of }) => of) : [])))
  for (const block of all) {
    if (block.kind !== 'section' && followed.has(block.id)) found.add(block)
    if (isOpened(block) || (block.kind === 'nav' && block.folds)) found.add(block)
    if (showsOne(block)) for (const child of block.children) if (!child.hidden) found.add(child)
  }
  return found
}
const known = new WeakMap<Block, Set<Block>>()

/** The blocks of a page that buttons open or show, with ids that no other has, in the order of the page. */
export function panelsOf(page: Page): Map<string, PanelOfPage> {
  const taken = new Set<string>()
  const panels = new Map<string, PanelOfPage>()
  for (const section of page.sections) {
    let found = known.get(section)
    if (!found) {
      found = panelsIn(section)
      if (Object.isFrozen(section)) known.set(section, found)
    }
    for (const block of found) {
      const id = unique(`panel-${slug(block.name ?? block.kind)}`, taken)
      panels.set(block.id, { id, ...(block.kind === 'group' && block.panel ? { as: block.panel } : {}) })
    }
  }
  return panels
}

/**
 * The block that a press is about. In a copy of a shared block it is the part of that copy.
 * @param ancestors what the button stands in, the outermost first
 */
export function pressedIn(id: string, ancestors: readonly Block[]): string {
  const copy = ancestors.findLast((one) => one.copyOf)
  if (!copy?.copyOf) return id
  // The shared block names its own part, or what that was made of.
  const named = [id, derivedId(copy.copyOf.shared, id)]
  for (const part of walk(copy)) if (part.sharedPart !== undefined && named.includes(part.sharedPart)) return part.id
  return id
}

/** The panel that a block stands in, the innermost. */
export function panelAround(ancestors: readonly Block[], panels: ReadonlyMap<string, PanelOfPage>): PanelOfPage | undefined {
  const holder = ancestors.findLast(isOpened)
  return holder && panels.get(holder.id)
}

/** What the buttons of a page open, show or close, by the buttons' ids; a button whose block is gone has nothing. */
export function pressesOn(page: Page): Map<string, string | undefined> {
  const there = panelsOf(page)
  const presses = new Map<string, string | undefined>()
  const visit = (block: Block, ancestors: readonly Block[]) => {
    if (block.kind === 'button' && block.press && !block.link) {
      const named = pressed(block.press)
      const id = named === undefined ? ancestors.findLast(isOpened)?.id : pressedIn(named, ancestors)
      presses.set(block.id, id !== undefined && there.has(id) ? id : undefined)
    }
    if (isContainer(block)) for (const child of block.children) visit(child, [...ancestors, block])
  }
  for (const section of page.sections) visit(section, [])
  return presses
}
