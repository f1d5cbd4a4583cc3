import { type Block, type BlockKind, mayHold, roleOf } from '#core/blocks/index'
import { newBlock } from '#core/blocks/defaults'
import { positionOf } from '#core/edits/places'
import type { Edit } from '#core/edits/index'
import { unplacedList } from '#core/edits/list'
import type { MakeId } from '#core/values/ids'
import { type Role } from '#core/values/passage-role'
import { type Unplaced } from '#core/site/passage'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { hasWords, isContainer, walk } from '#core/blocks/tree'
import { cellsOfWords } from '#core/values/table-words'
import { plainText } from '#core/values/words'
import { homeOf } from '#core/deck/deck'
import { slotsOf } from '#core/deck/slots'

const KINDS: Record<Role, BlockKind> = {
  eyebrow: 'eyebrow',
  heading: 'heading',
  text: 'text',
  item: 'item',
  call: 'button',
  link: 'link',
  quote: 'quote',
  source: 'text',
  price: 'text',
  term: 'text',
  label: 'field',
}

/** A new block for words of a role. */
function blockFor(one: Unplaced, makeId: MakeId): Block {
  const part = one.role === 'source' || one.role === 'price' || one.role === 'term' ? { part: one.role } : {}
  const isTable = one.role === 'text' && Object.values(one.words).some((words) => cellsOfWords(words) !== undefined)
  const made = { ...newBlock(isTable ? 'table' : KINDS[one.role], makeId), ...part, words: one.words } as Block
  return one.link && (made.kind === 'button' || made.kind === 'link') ? { ...made, link: one.link } : made
}

const isEmpty = (block: Block) => hasWords(block) && Object.values(block.words).every((words) => plainText(words).trim() === '')

/** The edits that put unplaced words into a slot which has none. */
function intoSlot(one: Unplaced, slot: Block): Edit[] {
  const link: Edit[] =
    one.link && (slot.kind === 'button' || slot.kind === 'link')
      ? [{ kind: 'field', block: slot.id, field: 'link', value: one.link as never }]
      : []
  return [unplacedList([], [one.id]), { kind: 'words', block: slot.id, words: one.words }, ...link]
}

/**
 * The edits that put unplaced words where they are dropped: into a slot that has no words, else as a block of their
 * own after the one that they are dropped on, or at the end of what they are dropped into.
 * @returns undefined where nothing of their kind may stand
 */
export function placeOn(site: Site, one: Unplaced, target: string, makeId: MakeId): Edit[] | undefined {
  const place = findBlock(site, target)
  if (!place) return undefined
  if (isEmpty(place.block)) return intoSlot(one, place.block)
  const made = blockFor(one, makeId)
  const insert = (parent: string, index: number): Edit[] => [
    unplacedList([], [one.id]),
    { kind: 'insert', parent, index, blocks: [made] },
  ]
  if (isContainer(place.block) && mayHold(place.block.kind, made.kind)) return insert(target, place.block.children.length)
  const parent = place.ancestors.at(-1)
  if (parent && mayHold(parent.kind, made.kind)) return insert(parent.id, positionOf(site, place).index + 1)
  // An item or a link that is dropped beside its list goes into a list of its own.
  const section = place.ancestors[0] ?? (place.block.kind === 'section' ? place.block : undefined)
  if (!section || (made.kind !== 'item' && made.kind !== 'link')) return undefined
  const list = made.kind === 'item' ? { ...newBlock('list', makeId), ordered: one.ordered === true, children: [made] } : made
  return [unplacedList([], [one.id]), { kind: 'insert', parent: section.id, index: section.children.length, blocks: [list] }]
}

/** The edits that put unplaced words into the first empty slot of their role in their section, or at its end. */
export function placeAtHome(site: Site, one: Unplaced, makeId: MakeId): Edit[] | undefined {
  const { section } = homeOf(site, one)
  if (!section) return undefined
  const free = slotsOf(section).filter(({ block, role }) => role === one.role && isEmpty(block))
  const slot = free.find((other) => other.entry === one.entry) ?? free[0]
  if (slot) return intoSlot(one, slot.block)
  const nav = one.role === 'link' ? [...walk(section)].find((block) => block.kind === 'nav') : undefined
  if (nav) {
    const made = blockFor(one, makeId)
    const own: Edit[] = nav.follows ? [{ kind: 'field', block: nav.id, field: 'follows', value: null }] : []
    const insert: Edit = { kind: 'insert', parent: nav.id, index: nav.children.length, blocks: [made] }
    return [unplacedList([], [one.id]), ...own, insert]
  }
  const last = slotsOf(section).findLast(({ block, entry }) => entry === one.entry && roleOf(block) === one.role)
  return placeOn(site, one, last?.block.id ?? section.id, makeId)
}
