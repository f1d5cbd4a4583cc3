import type { Block } from '#core/blocks/index'
import { columnWidth } from '#core/grid/columns'
import { reachOf, sidesOf } from '#core/grid/reach'
import { layoutAt, surroundAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { valuesByRange } from '#core/style/cascade'
import type { Layout } from '#core/style/property'
import type { StyleValues } from '#core/style/registry'
import type { MeasuredBlock, Sides } from './measured'

export type Edge = keyof Sides

/** A part of the way to an edge, px, what it comes from, and what it follows from in turn. */
export type Cause = { px: number; what: string; note?: string }

/** One step inwards: a block, what holds it, and how that lays it out. */
type Step = {
  holder: MeasuredBlock
  measured: MeasuredBlock
  held: Block
  values: StyleValues
  around: StyleValues
  layout: Layout
  columns: number
  name: string
  /** Of what opens under its first block: whether that is held, which is pressed, or what follows it. */
  opens: 'pressed' | 'follows' | undefined
  /** What its padding at an edge is. */
  padding: (px: number) => Cause
}

const WHOLE = 0.5
const px = (value: number) => String(Number(value.toFixed(1)))
const called = (block: Block) => block.name ?? (block.kind === 'section' ? 'the section' : `the ${block.kind}`)
const isAcross = (edge: Edge) => edge === 'left' || edge === 'right'
const some = (count: number, one: string) => (count === 1 ? one : `${count} ${one}s`)

/** Distance between two edges of the same side, counted inwards. */
const inwards = (edge: Edge, outer: Sides, inner: Sides) =>
  edge === 'left' || edge === 'top' ? inner[edge] - outer[edge] : outer[edge] - inner[edge]

/** Columns that lie between a block and the edge of what holds it, on a grid. */
function columnsBefore(edge: 'left' | 'right', { holder, measured, columns }: Step): Cause[] {
  const { padding, border, columnGap: gap } = holder
  const inner = {
    left: holder.edges.left + padding.left + border.left,
    right: holder.edges.right - padding.right - border.right,
  }
  const free = edge === 'left' ? measured.edges.left - inner.left : inner.right - measured.edges.right
  const width = inner.right - inner.left
  const equal = columnWidth({ columns, gutter: gap, margin: 0, container: width }, width)
  const tracks = holder.columns.length > 0 ? holder.columns : Array.from({ length: columns }, () => equal)
  const inOrder = edge === 'left' ? tracks : [...tracks].reverse()
  let [count, taken] = [0, 0]
  // A block may stand further in than its columns; it begins in the last one that ends before it.
  while (count < inOrder.length - 1 && taken + inOrder[count]! + (count + 1) * gap <= free + WHOLE) taken += inOrder[count++]!
  if (count === 0) return []
  return [{ px: taken, what: some(count, 'column') }, ...(gap > 0 ? [{ px: count * gap, what: some(count, 'gutter') }] : [])]
}

/** What stands between a block and an edge of what holds it: blocks before it, with the gaps between them. */
function blocksBefore(edge: Edge, { holder, held, measured }: Step, gap: number): Cause[] {
  const [from, to] = isAcross(edge) ? (['left', 'right'] as const) : (['top', 'bottom'] as const)
  const isPast = ({ edges }: { edges: Sides }) =>
    edge === from ? edges[to] <= measured.edges[from] + WHOLE : edges[from] >= measured.edges[to] - WHOLE
  const beside = holder.laidOut.filter(
    (one) => one.id !== held.id && inwards(edge, measured.edges, one.edges) < -WHOLE && isPast(one),
  )
  if (beside.length === 0) return []
  // Those that share a row count once, each with the space before and after it.
  const runs: { from: number; to: number }[] = []
  for (const { edges, margin } of [...beside].sort((a, b) => a.edges[from] - b.edges[from])) {
    const last = runs.at(-1)
    const [start, end] = [edges[from] - margin[from], edges[to] + margin[to]]
    if (last && edges[from] < last.to - margin[to] - WHOLE) last.to = Math.max(last.to, end)
    else runs.push({ from: start, to: end })
  }
  const word = isAcross(edge) ? 'block' : 'row'
  const side = { left: 'before it', right: 'after it', top: 'above', bottom: 'below' }[edge]
  return [
    { px: runs.reduce((sum, run) => sum + run.to - run.from, 0), what: `${some(runs.length, word)} ${side}` },
    ...(gap > 0 ? [{ px: runs.length * gap, what: some(runs.length, 'gap') }] : []),
  ]
}

/** Why what is left of the way is there: alignment, a distance from an edge, a reach past the columns. */
function restOf(edge: Edge, rest: number, step: Step): Omit<Cause, 'px'> {
  const { values, around, held, holder } = step
  const across = isAcross(edge)
  const room = across ? holder.edges.right - holder.edges.left : holder.edges.bottom - holder.edges.top
  if (values.position === 'held' && values[edge] !== undefined) {
    const length = values[edge]
    return {
      what: `from the ${edge}`,
      ...('unit' in length && length.unit === '%' ? { note: `${length.value} % of ${px(room)}` } : {}),
    }
  }
  if (values.position === 'sticky' && edge === 'top') return { what: 'held by the scroll' }
  if (sidesOf(reachOf(values.reach)) > 0 && rest < 0) return { what: 'past the columns' }
  const word = (at: string | undefined) => (at === 'center' ? 'centred' : at === 'end' || at === 'start' ? 'aligned' : undefined)
  const given = word(across ? values.selfJustify : values.selfAlign) ?? word(across ? around.justify : around.align)
  if (given) return { what: given, note: `in ${px(room)}` }
  if (around.justify === 'space-between' || around.align === 'space-between') return { what: 'set apart' }
  if (edge === 'top' && step.opens)
    return { what: step.opens === 'pressed' ? 'in the middle of the line that is pressed' : 'below the line that is pressed' }
  if (edge === 'right' || edge === 'bottom')
    return {
      what: 'left free',
      note: `by ${held.kind === 'picture' || held.kind === 'icon' ? 'its size' : values.width || values.maxWidth ? 'its width' : 'its content'}`,
    }
  return { what: 'as the browser lays it out' }
}

/** The way from the edge of a holder to the same edge of what it holds. */
function inside(edge: Edge, step: Step): Cause[] {
  const { holder, measured, layout, values } = step
  const across = isAcross(edge)
  const whole = inwards(edge, holder.edges, measured.edges)
  const out = values.position === 'held' || values.position === 'backdrop'
  const causes: Cause[] = []
  const add = (cause: Cause) => Math.abs(cause.px) >= WHOLE && causes.push(cause)
  add({ px: holder.border[edge], what: `edge of ${step.name}` })
  if (!out) {
    add(step.padding(holder.padding[edge]))
    if (across && layout === 'grid') columnsBefore(edge, step).forEach(add)
    else if (across && layout === 'row') blocksBefore(edge, step, holder.columnGap).forEach(add)
    else if (!across && layout !== 'overlay' && (layout !== 'row' || step.around.wrap))
      blocksBefore(edge, step, holder.rowGap).forEach(add)
    if (!across) add({ px: measured.margin[edge], what: edge === 'top' ? 'space before' : 'space after' })
  }
  const rest = whole - causes.reduce((sum, one) => sum + one.px, 0)
  add({ px: rest, ...restOf(edge, rest, step) })
  return causes
}

/** Which part of what opens under its first block another is; nothing for other groups. */
const opensIn = (holder: Block, held: Block): Step['opens'] =>
  holder.kind === 'group' && holder.panel === 'details' ? (holder.children[0] === held ? 'pressed' : 'follows') : undefined

/** The space left or right of a section's columns: what the greatest width leaves, or the margin. */
function besideColumns(site: Site, range: number, viewport: number, padding: number): Cause {
  const { container, margin } = site.breakpoints[range]!
  return padding > margin + WHOLE
    ? { px: padding, what: 'margin', note: `${px(container)} centred in ${px(viewport)}` }
    : { px: padding, what: 'margin' }
}

/**
 * Why an edge of a block is where it is: the parts of the way to it, the outermost first. They add up to it exactly: at
 * the left and the right from the edge of the window, at the top from that of the section, at the bottom from the top
 * edge of the block itself, px.
 * @param measured the blocks that hold it, from the section inwards, and the block itself
 */
export function causesOfEdge(edge: Edge, site: Site, place: Place, range: number, measured: readonly MeasuredBlock[]): Cause[] {
  const chain: Block[] = [...place.ancestors, place.block]
  const valuesOf = (block: Block) => valuesByRange(block.style, site.breakpoints)[range]!
  if (edge === 'bottom') return heightOf(place.block, valuesOf(place.block), measured.at(-1)!)
  const causes: Cause[] = []
  for (let n = 1; n < chain.length; n++) {
    const [holder, held] = [chain[n - 1]!, chain[n]!]
    const surround = surroundAt(site, { ancestors: place.ancestors.slice(0, n) }).ranges[range]!
    const step: Step = {
      holder: measured[n - 1]!,
      measured: measured[n]!,
      held,
      values: valuesOf(held),
      around: valuesOf(holder),
      layout: layoutAt(holder, site.breakpoints, range),
      columns: surround.columns,
      name: called(holder),
      opens: opensIn(holder, held),
      padding: (space) =>
        n === 1 && isAcross(edge)
          ? besideColumns(site, range, measured[0]!.edges.right - measured[0]!.edges.left, space)
          : { px: space, what: `padding of ${called(holder)}` },
    }
    causes.push(...inside(edge, step))
  }
  return causes
}

/** What makes a block as high as it is. */
function heightOf(block: Block, values: StyleValues, { edges }: MeasuredBlock): Cause[] {
  const height = edges.bottom - edges.top
  const what = values.height
    ? 'its height'
    : values.aspect
      ? `${values.aspect.width} : ${values.aspect.height} of its width`
      : values.minHeight
        ? 'its least height, or its content'
        : block.kind === 'picture'
          ? 'the picture’s own shape'
          : 'its content'
  return [{ px: height, what }]
}

/** The causes in a line: "margin 32 + 2 columns 152 + 2 gutters 48 = 232". */
export function causesInWords(causes: readonly Cause[]): string {
  if (causes.length === 0) return 'at the very edge'
  const parts = causes.map((one) => `${one.what} ${px(Math.abs(one.px))}${one.note ? ` (${one.note})` : ''}`)
  const sum = causes.reduce((total, one) => total + one.px, 0)
  const signOf = (one: Cause, n: number) => (one.px < 0 ? (n === 0 ? '−' : '− ') : n === 0 ? '' : '+ ')
  const joined = causes.map((one, n) => signOf(one, n) + parts[n]!).join(' ')
  return causes.length === 1 ? joined : `${joined} = ${px(sum)}`
}
