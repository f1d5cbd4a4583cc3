import { newBlock } from '#core/blocks/defaults'
import type { JOBS } from '#core/blocks/section'
import type { Block, BlockKind, BlockOf, Section } from '#core/blocks/index'
import type { StyleValues } from '#core/style/registry'
import { role } from '#core/values/colour'
import { token } from '#core/values/length'

export type Job = (typeof JOBS)[number]

/**
 * A ready layout of blocks for a section: a tree on a grid of 12, 8 and 4 columns, with slots and without words.
 * `entries` are its cards, plans, rows …: how many it may have, or null where it has none.
 */
export type Arrangement = {
  id: string
  job: Job
  name: string
  /** What it is good for, in one sentence. */
  note: string
  entries: { least: number; usual: number; most: number } | null
  /** Makes the tree for a number of entries. Its ids are given later. */
  build: (entries: number) => Section
}

/** Style of a part: for all widths, and what differs below the middle and the narrow breakpoint. */
export type Styling = StyleValues & { middle?: StyleValues; narrow?: StyleValues; name?: string }

const ids = () => 'new'

/** A block of a kind, styled, as part of an arrangement. */
export function part<K extends BlockKind>(kind: K, look: Styling, fields: object = {}): BlockOf<K> {
  const { middle, narrow, name, ...base } = look
  const made = newBlock(kind, ids)
  const below = { ...(middle ? { middle } : {}), ...(narrow ? { narrow } : {}) }
  const style = {
    base: { ...made.style.base, ...base },
    ...(Object.keys(below).length > 0 ? { below } : {}),
  }
  return { ...made, ...(name === undefined ? {} : { name }), style, ...fields } as BlockOf<K>
}

/** Air above and below a section of ordinary weight. */
const AIR: Styling = { paddingTop: token('space-9'), paddingBottom: token('space-9') }
const AIR_NARROW: StyleValues = { paddingTop: token('space-8'), paddingBottom: token('space-8') }

/** A section with air, whose blocks stand on the page's columns. */
export const band = (job: Job, look: Styling, children: Block[]): Section =>
  part('section', { ...AIR, ...look, narrow: { ...AIR_NARROW, ...look.narrow } }, { job, children })

/** A rule along the top, in the colour of a role. */
export const ruled = (colour = 'line', width = 1): StyleValues => ({ edgeWidth: width, edgeSides: 'top', edgeColour: role(colour) })

export const group = (look: Styling, children: Block[]): Block => part('group', look, { children })
/** One of the section's entries. */
export const entry = (look: Styling, children: Block[]): Block =>
  part('group', { name: 'Entry', ...look }, { children, entry: true })
/** A column of words: blocks under each other. */
export const column = (look: Styling, children: Block[]): Block => group({ name: 'Words', ...look }, children)
/** Blocks on the columns of what surrounds them. */
export const grid = (look: Styling, children: Block[]): Block =>
  group({ layout: 'grid', rowGap: token('space-6'), name: 'Entries', ...look }, children)

export const eyebrow = (look: Styling = {}): Block => part('eyebrow', look)
export const heading = (level: number, look: Styling = {}, fields: object = {}): Block =>
  part('heading', look, { level, ...fields })
export const text = (look: Styling = {}, fields: object = {}): Block => part('text', look, fields)
export const lead = (look: Styling = {}): Block => part('text', { maxWidth: { value: 36, unit: 'em' }, ...look }, { type: 'lead' })
export const call = (look: Styling = {}, kind = 'primary'): Block => part('button', look, { look: kind })
export const quote = (look: Styling = {}): Block => part('quote', look)
export const source = (look: Styling = {}): Block => part('text', look, { part: 'source', type: 'small' })
export const price = (look: Styling = {}): Block =>
  part('text', { spaceAfter: token('space-1'), ...look }, { part: 'price', type: 'heading-2' })
export const term = (look: Styling = {}): Block => part('text', look, { part: 'term', type: 'small' })
export const list = (look: Styling = {}): Block => part('list', look, { children: [part('item', {})] })
export const picture = (width: number, height: number, look: Styling = {}): Block =>
  part('picture', { aspect: { width, height }, ...look })
export const icon = (look: Styling = {}, size = 36): Block => part('icon', { spaceAfter: token('space-4'), ...look }, { size })
export const link = (look: Styling = {}): BlockOf<'link'> => part('link', { underline: false, ...look })
/** Links; where it folds is said as the middle or the narrow range. */
export const nav = (
  look: Styling = {},
  fields: { follows?: true; folds?: { below: 'middle' | 'narrow'; as: 'drop' | 'cover' } } = {},
): Block =>
  part(
    'nav',
    { gap: token('space-5'), rowGap: token('space-2'), wrap: true, ...look },
    { children: fields.follows ? [] : [link()], ...fields },
  )
export const field = (look: Styling = {}, fields: object = {}): Block => part('field', look, fields)
export const form = (look: Styling, children: Block[]): Block => part('form', look, { children })

/** A picture behind the whole section, under a scrim that carries the words. */
export const backdrop = (angle: number, from: number, to: number): Block =>
  part('picture', { position: 'backdrop', scrim: { colour: role('ink'), from, to, angle } })

/** The last of an odd number of entries takes the whole row where two stand side by side. */
const alone = (index: number, count: number): StyleValues => (count % 2 === 1 && index === count - 1 ? { span: 8 } : { span: 4 })

/**
 * How many of a number of entries stand in each row: as many as may, in even rows where that is possible, and never one
 * alone in the last. @param most how many stand in a row at most, 2 to 4
 */
export function rowsFor(count: number, most: number): number[] {
  if (count <= most) return [count]
  const sizes = Array.from({ length: most - 1 }, (_, i) => most - i)
  const size = sizes.find((one) => count % one === 0 && one * 2 > most) ?? sizes.find((one) => count % one !== 1)
  if (size !== undefined) return Array.from({ length: Math.ceil(count / size) }, (_, i) => Math.min(size, count - i * size))
  // Rows that differ by one at most, the fuller ones first.
  const rows = Math.ceil(count / most)
  return Array.from({ length: rows }, (_, i) => Math.floor(count / rows) + (i < count % rows ? 1 : 0))
}

/** `count` entries side by side on the columns: at most `most` of them in a row of the widest range, then two, then one. */
export function entries(count: number, most: number, look: Styling, children: (index: number) => Block[]): Block[] {
  const [first = 1, ...rest] = rowsFor(count, most)
  // What is left for the last of even rows is as wide as the others; rows that are balanced are filled.
  const even = rest.every((row, i) => row === first || (i === rest.length - 1 && count % first === row))
  const spans = [first, ...rest].flatMap((row) => Array.from({ length: row }, () => 12 / (even ? first : row)))
  return spans.map((span, i) => entry({ span, middle: first === 1 ? { span: 8 } : alone(i, count), ...look }, children(i)))
}
