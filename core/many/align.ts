import type { Edit } from '#core/edits/index'
import { gridRowGap } from '#core/render/boxes'
import { pxOf, sightOf } from '#core/render/line-box'
import { columnsAt, layoutAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { rangeOf, valueAt } from '#core/style/cascade'
import type { Scope, StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import type { MakeId } from '#core/values/ids'
import { commonParent, topmost } from './chosen'
import { wrapEdits } from './structure'

export type Edge = 'start' | 'center' | 'end'
export type Axis = 'across' | 'down'

/** What cannot be done to the blocks together, as a sentence, and what can be done instead. */
export type Impossible = { problem: string; instead?: { label: string; edits: Edit[] } }

type Changes = { [N in keyof StyleValues]?: StyleValues[N] | null }
const change = (place: Place, scope: Scope, values: Changes): Edit => ({ kind: 'style', block: place.block.id, scope, values })

const ONE_PARENT = 'Only blocks of one group or section can be set against each other. Put them in a group first.'
const parentOf = (site: Site, places: readonly Place[], range: number) => {
  const parent = commonParent(places)
  return parent && { parent, layout: layoutAt(parent, site.breakpoints, range) }
}

/**
 * Aligns blocks with each other, at an edge or their middle. On a grid those that begin at different columns are brought
 * to the outermost of them; within their columns, in columns and in rows they are aligned in their own places.
 * @param scope the range of widths, or the base, that the values are set for
 */
export function alignEdits(site: Site, places: readonly Place[], edge: Edge, axis: Axis, scope: Scope): Edit[] | Impossible {
  const blocks = topmost(places)
  const range = rangeOf(site.breakpoints, scope)
  const at = parentOf(site, blocks, range)
  if (!at) return { problem: ONE_PARENT }
  if (axis === 'down') {
    if (at.layout === 'column')
      return { problem: 'In a column, blocks stand below each other, so there is nothing to align down the page.' }
    return blocks.map((one) => change(one, scope, { selfAlign: edge }))
  }
  if (at.layout === 'row')
    return { problem: 'In a row, blocks stand beside each other, so there is nothing to align across. Align them down.' }
  if (at.layout !== 'grid') return blocks.map((one) => change(one, scope, { selfJustify: edge }))
  const taken = blocks.map((one) => columnsAt(site, one, range))
  const known = taken.filter((one) => one.start !== null)
  if (known.length < taken.length || known.every((one) => one.start === known[0]!.start && one.span === known[0]!.span))
    return blocks.map((one) => change(one, scope, { selfJustify: edge }))
  const first = Math.min(...known.map((one) => one.start!))
  const end = Math.max(...known.map((one) => one.start! + one.span))
  return blocks.map((one, n) => {
    const { span, columns } = taken[n]!
    const start = edge === 'start' ? first : edge === 'end' ? end - span : Math.round((first + end - span) / 2)
    return change(one, scope, { start: Math.max(1, Math.min(columns - span + 1, start)) })
  })
}

/**
 * Shares the columns of the grid out among blocks: equal spans from the first column to the last. Where they do not
 * divide, nothing is rounded: the numbers that do are named, and columns of their own are offered.
 */
export function distributeEdits(site: Site, places: readonly Place[], scope: Scope, makeId: MakeId): Edit[] | Impossible {
  const blocks = topmost(places)
  const range = rangeOf(site.breakpoints, scope)
  const at = parentOf(site, blocks, range)
  if (!at) return { problem: ONE_PARENT }
  if (at.layout !== 'grid')
    return { problem: 'Only a grid has columns to share out. Lay the group out as a grid, or make the gaps equal.' }
  const { columns } = columnsAt(site, blocks[0]!, range)
  if (columns % blocks.length !== 0) {
    const divisors = Array.from({ length: columns }, (_, n) => n + 1).filter((n) => columns % n === 0)
    return {
      problem: `${columns} columns cannot be shared out equally among ${blocks.length} blocks; ${divisors.slice(1).join(', ')} blocks would divide them.`,
      instead: { label: `Give them ${blocks.length} columns of their own`, edits: ownColumns(site, blocks, scope, makeId) },
    }
  }
  const span = columns / blocks.length
  return blocks.map((one, n) => change(one, scope, { span, start: n * span + 1 }))
}

/** The edits that lay blocks out on as many columns as there are of them: of what holds them alone, else of a group around them. */
function ownColumns(site: Site, blocks: readonly Place[], scope: Scope, makeId: MakeId): Edit[] {
  const parent = commonParent(blocks)!
  const alone =
    parent.kind === 'group' && parent.children.every((one) => one.hidden || blocks.some(({ block }) => block.id === one.id))
  const free = blocks.map((one) => change(one, scope, { span: 1, start: null }))
  const laid = (block: string): Edit => ({
    kind: 'style',
    block,
    scope,
    values: { layout: 'grid', tracks: Math.min(12, blocks.length) },
  })
  if (alone) return [laid(parent.id), ...free]
  const wrapped = wrapEdits(site, blocks, makeId)
  if (!wrapped) return []
  // The group takes the full row, since its blocks are to share it.
  const whole: Edit = { kind: 'style', block: wrapped.group, scope: 'base', values: { span: null, start: null } }
  return [...wrapped.edits, whole, laid(wrapped.group), ...free]
}

/** Where blocks stand in a view, px: measured, since the heights of words are the browser's to know. */
export type Boxes = ReadonlyMap<string, { left: number; top: number; width: number; height: number }>

/**
 * Makes the gaps between blocks equal: spaces of their own go, and where all that the group lays out is meant, the group's
 * gap becomes what the gaps were on average.
 * @param boxes of the blocks in a view of the scope's range
 * @param width of that view, px
 */
export function gapEdits(site: Site, places: readonly Place[], boxes: Boxes, scope: Scope, width: number): Edit[] | Impossible {
  const blocks = topmost(places)
  const range = rangeOf(site.breakpoints, scope)
  const at = parentOf(site, blocks, range)
  if (!at) return { problem: ONE_PARENT }
  if (blocks.length < 3) return { problem: 'Gaps are equal between three blocks or more.' }
  const measured = blocks.flatMap((one) => boxes.get(one.block.id) ?? [])
  if (measured.length < blocks.length) return { problem: 'Not all of the blocks are shown at these widths.' }
  const sideways =
    at.layout === 'row' || measured.every((one, n) => n === 0 || one.left >= measured[n - 1]!.left + measured[n - 1]!.width)
  if (sideways && at.layout === 'grid')
    return { problem: 'Gaps across a grid are its gutters, and equal. Share out the columns instead.' }
  const gaps = measured.slice(1).map((one, n) => {
    const before = measured[n]!
    return sideways ? one.left - before.left - before.width : one.top - before.top - before.height
  })
  const gap = Math.max(0, Math.round(gaps.reduce((sum, one) => sum + one, 0) / gaps.length))
  // A row has no spaces of its own across; its gap is the group's.
  if (sideways) return [{ kind: 'style', block: at.parent.id, scope, values: { gap: pixels(gap) } }]
  const sight = { ...sightOf(site, site.language, width, 0), index: range }
  const rowGap =
    at.layout === 'grid' ? gridRowGap(at.parent, sight) : pxOf(valueAt(at.parent.style, 'rowGap', site.breakpoints, range), sight)
  const own = pixels(Math.max(0, gap - Math.round(rowGap ?? 0)))
  return blocks.map((one, n) =>
    change(one, scope, {
      ...(n > 0 ? { spaceBefore: own } : {}),
      ...(n < blocks.length - 1 ? { spaceAfter: pixels(0) } : {}),
    }),
  )
}

/**
 * Makes blocks equally wide or high: as many columns as the widest takes, equal shares of a row, or the px of the largest;
 * as high as their row where they stand beside each other.
 */
export function equalEdits(
  site: Site,
  places: readonly Place[],
  side: 'width' | 'height',
  boxes: Boxes,
  scope: Scope,
): Edit[] | Impossible {
  const blocks = topmost(places)
  const range = rangeOf(site.breakpoints, scope)
  const at = parentOf(site, blocks, range)
  const measured = blocks.flatMap((one) => boxes.get(one.block.id) ?? [])
  if (measured.length < blocks.length) return { problem: 'Not all of the blocks are shown at these widths.' }
  if (side === 'height') {
    const beside = at && (at.layout === 'row' || at.layout === 'grid') && isOneRow(measured)
    if (beside) return blocks.map((one) => change(one, scope, { selfAlign: 'stretch', height: null, minHeight: null }))
    const most = pixels(Math.ceil(Math.max(...measured.map((one) => one.height))))
    return blocks.map((one) => change(one, scope, { minHeight: most, height: null }))
  }
  if (at?.layout === 'grid') {
    const span = Math.max(...blocks.map((one) => columnsAt(site, one, range).span))
    return blocks.map((one) => change(one, scope, { span, width: null, maxWidth: null }))
  }
  if (at?.layout === 'row') return blocks.map((one) => change(one, scope, { grow: true, width: null }))
  const most = pixels(Math.ceil(Math.max(...measured.map((one) => one.width))))
  return blocks.map((one) => change(one, scope, { width: most }))
}

const isOneRow = (boxes: readonly { top: number; height: number }[]): boolean => {
  const [first] = boxes
  return boxes.every((one) => one.top < first!.top + first!.height && first!.top < one.top + one.height)
}
