import type { Block } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { isSame } from '#core/values/equal'

const inReadingOrder = (a: Place, b: Place): number => {
  if (a.page !== b.page) return a.page - b.page
  for (let i = 0; i < Math.min(a.path.length, b.path.length); i++) if (a.path[i] !== b.path[i]) return a.path[i]! - b.path[i]!
  return a.path.length - b.path.length
}

/** Blocks in reading order, without those that another of them holds: what is moved, copied or deleted as one. */
export function topmost(places: readonly Place[]): Place[] {
  const ids = new Set(places.map((one) => one.block.id))
  return places.filter((one) => !one.ancestors.some((ancestor) => ids.has(ancestor.id))).sort(inReadingOrder)
}

/** The container that all of the blocks stand in, if there is one. */
export function commonParent(places: readonly Place[]): Block | undefined {
  const parent = places[0]?.ancestors.at(-1)
  return places.every((one) => one.ancestors.at(-1)?.id === parent?.id) ? parent : undefined
}

/** Fields of a block that say how it looks: its type role, its kind of button, its card, its level. */
const LOOKS = ['type', 'look', 'level', 'ordered'] as const

/** The fields that say how a block looks. */
export const looksOf = (block: Block): Partial<Record<(typeof LOOKS)[number], string | number | boolean>> =>
  Object.fromEntries(LOOKS.flatMap((name) => (name in block ? [[name, (block as never)[name]]] : [])))

/** True for blocks of one kind that are set in the same way: the same looks, and the same style at every width. */
export const isAlike = (a: Block, b: Block): boolean =>
  a.kind === b.kind && isSame(a.style, b.style) && isSame(looksOf(a), looksOf(b))

/**
 * The blocks like one, itself among them, in reading order.
 * @param within its section, or its page
 * @param like of the same kind, or also with the same style
 */
export function alikeOf(site: Site, place: Place, within: 'section' | 'page', like: 'kind' | 'style'): Block[] {
  const { sections } = site.pages[place.page]!
  const section = sections[place.path[0]!]!
  return (within === 'section' ? [section] : sections)
    .flatMap((one) => [...walk(one)])
    .filter((one) => (like === 'kind' ? one.kind === place.block.kind : isAlike(one, place.block)))
}
