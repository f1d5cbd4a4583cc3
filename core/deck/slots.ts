import { type Role } from '#core/values/passage-role'
import { type Block, type BlockOf, type Container, roleOf, type Section, type WordBlock } from '#core/blocks/index'
import { hasWords, isContainer, walk } from '#core/blocks/tree'

/** A place on the page that takes words from the deck. */
export type Slot = {
  block: WordBlock
  role: Role
  entry: number
  /** For an item: its list. */
  list?: BlockOf<'list'>
  /** For a call: true behind another in a row. */
  beside?: true
}

/** The roles that a group takes words for, as one text; groups that look alike have the same. */
const likeness = (block: Block): string =>
  [...walk(block)]
    .filter(hasWords)
    .map(roleOf)
    .filter((role, i, all) => all.indexOf(role) === i)
    .join()

function* flagged(container: Container): Generator<Block> {
  for (const child of container.children) {
    if (child.kind === 'group' && child.entry) yield child
    else if (isContainer(child)) yield* flagged(child)
  }
}

/**
 * The entries of a section: cards, plans, columns, quotes … that stand side by side. They are the groups that say so;
 * where none does, the first groups from the outside in of which two or more take words of the same roles.
 */
export function entriesOf(section: Section): Block[] {
  const said = [...flagged(section)]
  if (said.length > 0) return said
  const visit = (container: Container): Block[] => {
    const groups = container.children.filter((child) => child.kind === 'group' && likeness(child) !== '')
    const alike = groups.filter((one) => groups.some((other) => other !== one && likeness(other) === likeness(one)))
    if (alike.length >= 2) return alike
    return container.children.flatMap((child) => (isContainer(child) ? visit(child) : []))
  }
  return visit(section)
}

/** The buttons of a row that follow another at once. */
function* besideIn(container: Container): Generator<string> {
  if (container.style.base?.layout !== 'row') return
  for (const [i, child] of container.children.entries())
    if (child.kind === 'button' && container.children[i - 1]?.kind === 'button') yield child.id
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
    const beside = new Set<string>()
    for (const block of walk(section)) if (isContainer(block)) for (const id of besideIn(block)) beside.add(id)
    const lists = new Map<string, BlockOf<'list'>>()
    for (const block of walk(section)) if (block.kind === 'list') for (const item of block.children) lists.set(item.id, block)
    slots = [...walk(section)].filter(hasWords).map((block): Slot => {
      const list = lists.get(block.id)
      return {
        block,
        role: roleOf(block),
        entry: numbers.get(block.id) ?? 0,
        ...(list ? { list } : {}),
        ...(beside.has(block.id) ? { beside: true } : {}),
      }
    })
    if (Object.isFrozen(section)) known.set(section, slots)
  }
  return slots
}
