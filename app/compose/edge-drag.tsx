import { type PointerEvent, useRef, useState } from 'react'
import { type GuideLine, nearestLine } from '#core/blocks/guide-line'
import { columnWidth, rangeAt, spanWidth } from '#core/grid/columns'
import { placementIn } from '#core/grid/placement'
import type { Reach } from '#core/grid/reach'
import { reachAt, type Surround, surroundAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import type { Edit } from '#core/edits/index'
import { ofWidths, type Scope, type StyleValues } from '#core/style/registry'
import { valueAt } from '#core/style/cascade'
import { pixels } from '#core/values/length'
import { useSession, useSessionStore } from '../session/context'
import { type Box, boxOf, boxOfElement, type StageView, useFrames } from '../live/frames'
import { allSelected, editAll, makeId, selected } from '../session/store'
import { edgeInWords } from './edge-causes'
import { EqualGaps } from './equal-gaps-shown'
import { PointerTab } from './pointer-tab'

type Edge = 'left' | 'right' | 'bottom'
/** How near an edge must come to a guide line to stand on it, px of the screen. */
const NEAR_LINE = 6
type Changes = { [N in keyof StyleValues]?: StyleValues[N] | null }

/** In a narrower range a wider one's reach is taken back by saying so. */
const noReach = (scope: Scope) => (typeof scope === 'string' ? null : ('columns' as const))

/**
 * How far a block reaches when one of its edges has been dragged: past the columns by half of the space beside them, and
 * it goes on to the edge of the window. All in px of the page, from the first column.
 */
export function reachAfter(
  edge: 'left' | 'right',
  box: { left: number; right: number; by: number },
  columns: number,
  side: number,
): Reach | undefined {
  const left = box.left + (edge === 'left' ? box.by : 0) < -side / 2
  const right = box.right + (edge === 'right' ? box.by : 0) > columns + side / 2
  if (side < 8) return undefined
  return left && right ? 'full' : left ? 'left' : right ? 'right' : undefined
}

/** The same size for the block and for those that are selected beside it; a first column is its own. */
function sizeEdits(places: readonly Place[], lead: Place, scope: Scope, values: Changes): Edit[] {
  const { start: _, ...shared } = values
  const parent = lead.ancestors.at(-1)?.id
  return places
    .filter((one) => one.block.id === lead.block.id || one.ancestors.at(-1)?.id === parent)
    .map(({ block }): Edit => ({ kind: 'style', block: block.id, scope, values: block.id === lead.block.id ? values : shared }))
}

/** The edges of the selected block, to drag: on a grid they snap to the columns, elsewhere to whole px. */
export function EdgeDrag({ index }: { index: number }) {
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const place = useSession(selected)
  const editing = useSession((state) => state.words !== null)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const box = view && place && boxOf(view, place.block.id)
  if (!view || !place || !box || editing || place.block.locked || place.ancestors.length === 0) return null
  return <Edges view={view} place={place} box={box} range={rangeAt(breakpoints, view.width)} />
}

function Edges({ view, place, box, range }: { view: StageView; place: Place; box: Box; range: number }) {
  const store = useSessionStore()
  const [tab, setTab] = useState<{ x: number; y: number; text: string } | null>(null)
  const [causes, setCauses] = useState<{ x: number; y: number; text: string } | null>(null)
  const drag = useRef<{ edge: Edge; gesture: string; x: number; y: number } | null>(null)

  function valuesFor(edge: Edge, dx: number, dy: number): { values: Changes; text: string } {
    const { site } = store.getState().session
    if (edge === 'bottom') {
      const px = onGuideLine('across', (box.height + dy) / view.scale)
      const height = Math.max(0, px ?? Math.round((box.height + dy) / view.scale / 4) * 4)
      return { values: { minHeight: pixels(height) }, text: `${height} px high at least` }
    }
    const surround = surroundAt(site, place).ranges[range]!
    const container = view.frame.find(place.block.id)?.parentElement
    if (surround.layout !== 'grid' || !container) {
      const dragged = (edge === 'right' ? box.width + dx : box.width - dx) / view.scale
      const px = Math.max(8, (edge === 'right' ? onGuideLine('down', dragged) : undefined) ?? Math.round(dragged))
      return { values: { width: pixels(px) }, text: `${px} px` }
    }
    return onColumns(edge, dx, site, surround, boxOfElement(container, view.scale))
  }

  /** The size at which the right or the lower edge stands on a guide line of the section, where one is near. */
  function onGuideLine(axis: GuideLine['axis'], size: number): number | undefined {
    const [section] = place.ancestors
    const around = section?.kind === 'section' && section.guideLines ? boxOf(view, section.id) : undefined
    if (!around || section?.kind !== 'section') return undefined
    const start = axis === 'down' ? (box.left - around.left) / view.scale : (box.top - around.top) / view.scale
    const inside = { width: around.width / view.scale, height: around.height / view.scale }
    const at = nearestLine(start + size, axis, section.guideLines!, inside, NEAR_LINE / view.scale)
    return at === undefined ? undefined : Math.round(at - start)
  }

  function onColumns(edge: 'left' | 'right', dx: number, site: Site, surround: Surround['ranges'][number], container: Box) {
    const style = view.frame.document.defaultView!.getComputedStyle(view.frame.find(place.block.id)!.parentElement!)
    const padding = Number.parseFloat(style.paddingLeft) + Number.parseFloat(style.borderLeftWidth)
    const inner =
      container.width / view.scale - padding - Number.parseFloat(style.paddingRight) - Number.parseFloat(style.borderRightWidth)
    const grid = {
      columns: surround.columns,
      gutter: Number.parseFloat(style.columnGap) || 0,
      margin: 0,
      container: inner,
    }
    const step = columnWidth(grid, inner) + grid.gutter
    const from = (box.left - container.left) / view.scale - padding
    const to = from + box.width / view.scale
    const first = Math.max(0, Math.round(from / step))
    const last = Math.min(grid.columns, Math.round((to + grid.gutter) / step))
    const pulled = dx / view.scale
    const reach = surround.inSection
      ? reachAfter(edge, { left: from, right: to, by: pulled }, inner, (view.width - inner) / 2)
      : undefined
    const moved = Math.round(((edge === 'left' ? from : to + grid.gutter) + pulled) / step) - (edge === 'left' ? first : last)
    const start = edge === 'left' ? Math.min(last - 1, Math.max(0, first + moved)) : first
    const end = edge === 'right' ? Math.max(first + 1, Math.min(grid.columns, last + moved)) : last
    const span = end - start
    const keepsStart = edge === 'left' || valueAt(place.block.style, 'start', site.breakpoints, range) !== undefined
    // What reaches to an edge begins or ends there, whatever first column it has.
    const before = reachAt(place.block, surround, site.breakpoints, range)
    const values: Changes = {
      span,
      ...(keepsStart && !reach ? { start: start + 1 } : {}),
      ...(reach !== before ? { reach: reach ?? noReach(store.getState().scope) } : {}),
    }
    if (reach)
      return {
        values,
        text: reach === 'full' ? 'Edge to edge' : `${span} of ${grid.columns} columns, and on to the ${reach} edge`,
      }
    const { span: fitted } = placementIn(grid.columns, span, undefined)
    return {
      values,
      text: `${fitted} of ${grid.columns} columns, ${Math.round(spanWidth(grid, inner, fitted))} px`,
    }
  }

  const begin = (edge: Edge) => (event: PointerEvent<HTMLDivElement>) => {
    event.stopPropagation()
    event.currentTarget.setPointerCapture(event.pointerId)
    drag.current = { edge, gesture: makeId(), x: event.clientX, y: event.clientY }
    start.current = box
  }
  const start = useRef(box)

  const move = (event: PointerEvent<HTMLDivElement>) => {
    const { current } = drag
    if (!current) return
    const now = box
    // The box follows the drag, so distances are taken from where the edge stood before this step.
    const dx =
      event.clientX -
      current.x -
      (current.edge === 'left' ? now.left - start.current.left : now.left + now.width - start.current.left - start.current.width)
    const dy = event.clientY - current.y - (now.height - start.current.height)
    const { values, text } = valuesFor(current.edge, dx, dy)
    const { scope } = store.getState()
    editAll(store, 'size', sizeEdits(allSelected(store.getState()), place, ofWidths(scope), values), current.gesture)
    const bounds = event.currentTarget.offsetParent!.getBoundingClientRect()
    setTab({ x: event.clientX - bounds.left, y: event.clientY - bounds.top, text })
  }
  const end = () => {
    drag.current = null
    setTab(null)
  }

  /** While distances are shown, an edge that is pointed at says why it is where it is. */
  const explain = (edge: Edge) => (event: PointerEvent<HTMLDivElement>) => {
    const { distances, session } = store.getState()
    if (!distances || drag.current || event.buttons !== 0) return
    const bounds = event.currentTarget.offsetParent!.getBoundingClientRect()
    const text = edgeInWords(session.site, place, view, edge)
    setCauses(text === undefined ? null : { x: event.clientX - bounds.left, y: event.clientY - bounds.top, text })
  }

  const handle = (edge: Edge, style: object, label: string) => (
    <div
      onPointerEnter={explain(edge)}
      onPointerLeave={() => setCauses(null)}
      data-edge={edge}
      title={label}
      className="absolute z-10"
      style={style}
      onPointerDown={begin(edge)}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
    />
  )
  return (
    <>
      {handle(
        'left',
        { left: box.left - 5, top: box.top, width: 8, height: box.height, cursor: 'ew-resize' },
        'Drag to change the first column',
      )}
      {handle(
        'right',
        { left: box.left + box.width - 3, top: box.top, width: 8, height: box.height, cursor: 'ew-resize' },
        'Drag to change the columns',
      )}
      {handle(
        'bottom',
        {
          left: box.left + 8,
          top: box.top + box.height - 2,
          width: Math.max(0, box.width - 16),
          height: 6,
          cursor: 'ns-resize',
        },
        'Drag to change the height',
      )}
      {causes && !tab && (
        <PointerTab x={causes.x} y={causes.y} within={view.width * view.scale} figure>
          {causes.text}
        </PointerTab>
      )}
      {tab && <EqualGaps view={view} place={place} box={box} />}
      {tab && (
        <PointerTab x={tab.x} y={tab.y} figure>
          {tab.text}
        </PointerTab>
      )}
    </>
  )
}
