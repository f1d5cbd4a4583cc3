import type { Block, Section } from '#core/blocks/index'
import { isContainer, walk } from '#core/blocks/tree'
import type { SharedBlock } from '#core/site/shared'
import type { Site } from '#core/site/schema'
import { type Copy, copiesIn, independent, sharedOf } from './copies'
import { synced, withCopies } from './synced'

/** A part that stands in no copy is none. */
function freed(block: Block): Block {
  if (block.copyOf) return block
  const children = isContainer(block) ? block.children.map(freed) : undefined
  if (
    block.sharedPart === undefined &&
    (!children || children.every((one, i) => one === (block as { children: Block[] }).children[i]))
  )
    return block
  const { sharedPart: _, ...rest } = block
  return { ...rest, ...(children ? { children } : {}) } as Block
}

/** A copy as its shared block says, or, where that is gone, a block of its own. Copies inside it are none. */
function conformed(copy: Copy, shared: SharedBlock | undefined): Block {
  if (!shared || shared.block.kind !== copy.kind) return independent(copy)
  const nested = [...walk(copy)].some((one) => one !== copy && one.copyOf)
  const plain = nested ? withCopiesInside(copy) : copy
  return synced(plain, shared, shared)
}

const withCopiesInside = (copy: Copy): Copy =>
  isContainer(copy) ? ({ ...copy, children: copy.children.map((child) => withCopies(child, independent)) } as Copy) : copy

/** A section whose copies are as their shared blocks say. */
function conformSection(section: Section, site: Site): Section {
  const inside = withCopies(section, (copy) => conformed(copy, sharedOf(site, copy.copyOf.shared)))
  return freed(inside) as Section
}

/**
 * A site in which every copy is as its shared block says, whatever was put into its pages: from the clipboard, a file, or
 * a request made by hand.
 * @param before a site in which that holds: sections that are the same objects there are not looked at, as long as the
 *   shared blocks are the same
 */
export function conform(site: Site, before?: Site): Site {
  const known = new Set(before?.pages.flatMap((page) => page.sections))
  const same = before?.shared === site.shared
  const pages = site.pages.map((page) => {
    const sections = page.sections.map((section) => {
      const copies = copiesIn(section).length > 0
      if (known.has(section) && (same || !copies)) return section
      return copies || [...walk(section)].some((one) => one.sharedPart !== undefined) ? conformSection(section, site) : section
    })
    return sections.every((one, i) => one === page.sections[i]) ? page : { ...page, sections }
  })
  return pages.every((one, i) => one === site.pages[i]) ? site : { ...site, pages }
}
