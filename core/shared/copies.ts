import type { Block, Section } from '#core/blocks/index'
import { walk, withChildren } from '#core/blocks/tree'
import type { Guise, SharedBlock } from '#core/site/shared'
import type { Page, Site } from '#core/site/schema'
import { type Place, withNames } from '#core/site/tree'

/** A block that is a copy of a shared one. */
export type Copy = Block & { copyOf: NonNullable<Block['copyOf']> }

const isCopy = (block: Block): block is Copy => block.copyOf !== undefined

const known = new WeakMap<Section, readonly Copy[]>()

/** The copies in a section, in reading order. Remembered for frozen sections. */
export function copiesIn(section: Section): readonly Copy[] {
  let copies = known.get(section)
  if (!copies) {
    copies = [...walk(section)].filter(isCopy)
    if (Object.isFrozen(section)) known.set(section, copies)
  }
  return copies
}

/** A copy on a page. */
export type Placed = { page: Page; section: Section; copy: Copy }

/** Every copy of a shared block, in the order of the pages; of one guise, if that is asked for. */
export function copiesOf(site: Site, shared: string, guise?: string): Placed[] {
  return site.pages.flatMap((page) =>
    page.sections.flatMap((section) =>
      copiesIn(section)
        .filter(({ copyOf }) => copyOf.shared === shared && (guise === undefined || copyOf.guise === guise))
        .map((copy) => ({ page, section, copy })),
    ),
  )
}

/** The copy that a block is or stands in. */
export function copyAround(place: Place): Copy | undefined {
  if (isCopy(place.block)) return place.block
  return (place.ancestors as readonly Block[]).find(isCopy)
}

export const sharedOf = (site: Site, id: string): SharedBlock | undefined => site.shared.find((one) => one.id === id)

export const guiseOf = (shared: SharedBlock, id: string | undefined): Guise | undefined =>
  id === undefined ? undefined : shared.guises.find((one) => one.id === id)

/** The part of a shared block that a block of a copy is a copy of; the outermost block is the copy of the outermost part. */
export const partOf = (shared: SharedBlock, block: Block): string | undefined =>
  isCopy(block) ? shared.block.id : block.sharedPart

/** A part of a shared block by its id. */
export const partWith = (shared: SharedBlock, id: string | undefined): Block | undefined =>
  [...walk(shared.block)].find((one) => one.id === id)

/** The block of a copy that is a copy of a part. */
export const blockOfPart = (shared: SharedBlock, copy: Copy, part: string): Block | undefined =>
  part === shared.block.id ? copy : [...walk(copy)].find((one) => one.sharedPart === part)

/** A block that is no copy any more, nor anything in it; the same object if it was none. */
export function independent<B extends Block>(block: B): B {
  const free = plain(block)
  const { copyOf } = block
  if (!copyOf) return free
  // What named a part of the shared block, or what that was made of, names the block that it is here.
  const own = new Map([...walk(block)].flatMap((one) => (one.sharedPart === undefined ? [] : [[one.sharedPart, one.id]])))
  return withNames(free, (id) => own.get(id) ?? own.get(derivedId(copyOf.shared, id)))
}

function plain<B extends Block>(block: B): B {
  const held = withChildren(block, plain)
  if (held.copyOf === undefined && held.sharedPart === undefined) return held
  const { copyOf: _, sharedPart: _p, ...rest } = held
  return rest as unknown as B
}

/**
 * An id that follows from others, so that every client makes the same one: two 32-bit FNV-1a hashes (RFC 9923) of the
 * names in two orders, in 36 signs.
 */
export function derivedId(...names: readonly string[]): string {
  const hash = (text: string) => {
    let value = 0x811c9dc5
    for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193)
    return (value >>> 0).toString(36).padStart(7, '0')
  }
  return `c${hash(names.join('/'))}${hash([...names].reverse().join('\\'))}`
}
