import type { Block, Section } from '#core/blocks/index'
import { walk, withChildren } from '#core/blocks/tree'
import type { SharedBlock } from '#core/site/shared'
import type { Site } from '#core/site/schema'
import { withSections } from '#core/site/tree'
import { type Copy, copiesIn, independent, sharedOf } from './copies'
import { synced, withCopies } from './synced'

/** A part that stands in no copy is none. */
function freed<B extends Block>(block: B): B {
  if (block.copyOf) return block
  const held = withChildren(block, freed)
  if (held.sharedPart === undefined) return held
  const { sharedPart: _, ...rest } = held
  return rest as unknown as B
}

/** A copy as its shared block says, or, where that is gone, a block of its own. Copies inside it are none. */
function conformed(copy: Copy, shared: SharedBlock | undefined): Block {
  if (!shared || shared.block.kind !== copy.kind) return independent(copy)
  return synced(
    withChildren(copy, (child) => withCopies(child, independent)),
    shared,
    shared,
  )
}

/** A section whose copies are as their shared blocks say. */
function conformSection(section: Section, site: Site): Section {
  return freed(withCopies(section, (copy) => conformed(copy, sharedOf(site, copy.copyOf.shared))))
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
  return withSections(site, (section) => {
    const copies = copiesIn(section).length > 0
    if (known.has(section) && (same || !copies)) return section
    return copies || [...walk(section)].some((one) => one.sharedPart !== undefined) ? conformSection(section, site) : section
  })
}
