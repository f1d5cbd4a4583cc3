import { type Role, roleOf } from '#core/site/passage'
import type { Block, Container, Section, WordBlock } from '#core/site/schema'
import { hasWords, isContainer, walk } from '#core/site/tree'

/** A place on the page that takes words from the deck. */
export type Slot = { block: WordBlock; role: Role; entry: number }

const takesWords = (block: Block): boolean => [...walk(block)].some(hasWords)

/**
 * The entries of a section: cards, plans, columns, quotes … that stand side by side. They are the first groups, from
 * the outside in, of which two or more with words stand in one container.
 */
export function entriesOf(section: Section): Block[] {
  const visit = (container: Container): Block[] => {
    const groups = container.children.filter((child) => child.kind === 'group' && takesWords(child))
    const lone = container.children.some((child) => hasWords(child))
    // A text column beside a form or another column is layout; a row of groups alone is what entries look like.
    if (groups.length >= 2 && !(lone && container.kind === 'group')) return groups
    return container.children.flatMap((child) => (isContainer(child) ? visit(child) : []))
  }
  return visit(section)
}

const known = new WeakMap<Section, readonly Slot[]>()

/** The slots of a section in reading order, each with its role and entry. Remembered for frozen sections. */
export function slotsOf(section: Section): readonly Slot[] {
  let slots = known.get(section)
  if (!slots) {
    const numbers = new Map<string, number>()
    entriesOf(section).forEach((entry, i) => {
      for (const block of walk(entry)) numbers.set(block.id, i + 1)
    })
    slots = [...walk(section)].filter(hasWords).map((block) => ({ block, role: roleOf(block), entry: numbers.get(block.id) ?? 0 }))
    if (Object.isFrozen(section)) known.set(section, slots)
  }
  return slots
}
