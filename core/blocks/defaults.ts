import { token } from '#core/values/length'
import type { MakeId } from '#core/values/ids'
import { type Block, type BlockKind, type BlockOf, kindOf, type Section } from './index'
import type { Job } from './section'

/** A new block of a kind, without words, as it is put on the page. */
export function newBlock<K extends BlockKind>(kind: K, makeId: MakeId): BlockOf<K> {
  const { style, defaults } = kindOf(kind)
  return { id: makeId(), kind, style: style ? { base: style } : {}, ...defaults(makeId, newBlock) } as unknown as BlockOf<K>
}

/** A new section for a job, with air above and below. */
export function newSection(job: Job, makeId: MakeId): Section {
  const air = job === 'header' || job === 'footer' ? 'space-5' : 'space-8'
  return {
    ...newBlock('section', makeId),
    job,
    style: { base: { paddingTop: token(air), paddingBottom: token(air) } },
  }
}

/** The block that Enter makes after one that takes words: another of its list or nav, or a text. */
export function nextBlock(block: Block, makeId: MakeId): Block {
  return likeBefore(newBlock(block.kind === 'item' || block.kind === 'link' ? block.kind : 'text', makeId), block)
}

/** Where one block alone stands, and what it does there. */
const PLACE = ['start', 'rowStart', 'rowSpan', 'order', 'position', 'top', 'right', 'bottom', 'left', 'layer', 'motion'] as const
/** Heights are carried on in a list or a nav, whose rows are alike. */
const ROW = ['height', 'minHeight'] as const

/** A new block as the one before it looks, where both are of one kind: its type, kind of button, and style, but for its place. */
export function likeBefore<B extends Block>(made: B, before: Block | undefined): B {
  if (!before || before.kind !== made.kind || before.kind === 'section') return made
  const own: readonly string[] = made.kind === 'item' || made.kind === 'link' ? PLACE : [...PLACE, ...ROW]
  const without = <V extends object>(values: V): V =>
    Object.fromEntries(Object.entries(values).filter(([name]) => !own.includes(name))) as V
  const { below, ...scopes } = before.style
  const style = {
    ...Object.fromEntries(Object.entries(scopes).map(([scope, values]) => [scope, without(values as object)])),
    ...(below ? { below: Object.fromEntries(Object.entries(below).map(([id, values]) => [id, without(values)])) } : {}),
  }
  const looks = Object.fromEntries(Object.entries(before).filter(([name]) => name === 'type' || name === 'look'))
  return { ...made, ...looks, style }
}
