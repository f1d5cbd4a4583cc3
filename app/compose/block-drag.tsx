import { ofWidths } from '#core/style/registry'
import { type PointerEvent, type RefObject, useCallback, useState } from 'react'
import { type BlockKind, mayHold } from '#core/blocks/index'
import type { Edit } from '#core/edits/index'
import { positionOf } from '#core/edits/places'
import { rangeAt } from '#core/grid/columns'
import { surroundOf } from '#core/render/surround'
import { valueAt } from '#core/style/cascade'
import { findBlock, type Place } from '#core/site/tree'
import { isContainer } from '#core/blocks/tree'
import { useSessionStore } from '../session/context'
import { type Box, blockAt, boxOf, boxOfElement, type Frames, type StageView, useFrames } from '../live/frames'
import { surroundAt } from '#core/render/surround'
import { moveEdits } from '#core/many/structure'
import { topmost } from '#core/many/chosen'
import { later } from '../ui/later'
import { followPointer } from './follow-pointer'
import { PointerTab } from './pointer-tab'
import { blockName } from '#core/blocks/block-name'
import { allSelected, type SessionState, type SessionStore, editAll, select, selected } from '../session/store'

const EqualGaps = later(async () => (await import('./equal-gaps-shown')).EqualGaps)

/** Where a dragged block would go: into a container at an index, and from which column where it lands in free space. */
type DropPlace = {
  parent: string
  index: number
  start: number | null
  line: Box
  words: string
  behind?: boolean
  /** Left edge that it would have from its first column, px of the screen. */
  left?: number
}

const THRESHOLD = 4

/** The innermost container at a block that may hold blocks of some kinds, without the dragged ones themselves. */
export function containerFor(
  state: Pick<SessionState, 'session'>,
  at: string | undefined,
  kinds: readonly BlockKind[],
  dragged: readonly string[],
): Place | undefined {
  for (let place = at === undefined ? undefined : findBlock(state.session.site, at); place;) {
    const inside = [place.block, ...place.ancestors].some((one) => dragged.includes(one.id))
    const { kind: holder } = place.block
    if (!inside && isContainer(place.block) && kinds.every((kind) => mayHold(holder, kind))) return place
    const parent: string | undefined = place.ancestors.at(-1)?.id
    place = parent === undefined ? undefined : findBlock(state.session.site, parent)
  }
  return undefined
}

/**
 * What is dragged: blocks of the page, or a new one; `grab` is how far from the left edge of the one that is held the
 * pointer is, px of the screen.
 */
export type Dragged = {
  kinds: readonly BlockKind[]
  ids: readonly string[]
  span: number | undefined
  grab: number
  behind?: boolean
}

/** How near its edge, px of the screen, a group is stood beside and not put into. */
const NEAR = 8

/** The container itself or, near its edge, the one that it stands in: what is dropped there goes beside it. */
function besideIt(state: SessionState, view: StageView, place: Place, x: number, y: number, kinds: readonly BlockKind[]): Place {
  const parent = place.ancestors.at(-1)
  const box = boxOf(view, place.block.id)
  if (!parent || !box || kinds.some((kind) => !mayHold(parent.kind, kind))) return place
  const inset = Math.min(x - box.left, box.left + box.width - x, y - box.top, box.top + box.height - y)
  return inset < NEAR ? (findBlock(state.session.site, parent.id) ?? place) : place
}

/** Finds where a block dropped at a point would go. */
export function dropPlace(state: SessionState, view: StageView, x: number, y: number, block: Dragged): DropPlace | undefined {
  const { kinds, ids: dragged } = block
  const { site } = state.session
  const innermost = containerFor(state, blockAt(view, x, y), kinds, dragged)
  const place = innermost && besideIt(state, view, innermost, x, y, kinds)
  if (!place || !isContainer(place.block)) return undefined
  const container = boxOf(view, place.block.id)
  if (!container) return undefined
  // What lies behind all has no place among the blocks in front of it: only what it lies behind is chosen.
  if (block.behind)
    return {
      parent: place.block.id,
      index: 0,
      start: null,
      line: container,
      words: `behind ${blockName(place.block)}`,
      behind: true,
    }
  const range = rangeAt(site.breakpoints, view.width)
  const offered = surroundOf(place.block, surroundAt(site, place), site.breakpoints).ranges[range]!
  const siblings = place.block.children
    .filter((child) => !dragged.includes(child.id) && !child.hidden && child.style.base?.position !== 'backdrop')
    .flatMap((child) => {
      const box = boxOf(view, child.id)
      return box ? [{ id: child.id, box }] : []
    })
  const others = place.block.children.filter((child) => !dragged.includes(child.id))
  const sideways = offered.layout === 'row' || offered.layout === 'grid'
  const sameRow = siblings.filter(({ box }) => sideways && y >= box.top && y <= box.top + box.height)
  const before =
    sameRow.length > 0
      ? sameRow.find(({ box }) => x < box.left + box.width / 2)
      : siblings.find(({ box }) => y < box.top + box.height / 2)
  const after = sameRow.length > 0 && !before ? sameRow.at(-1) : undefined
  const over = sameRow.find(({ box }) => x >= box.left && x <= box.left + box.width)
  const index = before
    ? others.findIndex((one) => one.id === before.id)
    : after
      ? others.findIndex((one) => one.id === after.id) + 1
      : others.length
  const column =
    offered.layout === 'grid' && !over
      ? columnAt(view, place.block.id, offered.columns, x - block.grab, block.span ?? offered.columns)
      : undefined
  const start = column?.column ?? null
  const line = lineAt(container, siblings, before, after, sameRow.length > 0 && !(start !== null && sameRow.length === 0))
  const name = blockName(place.block)
  return {
    parent: place.block.id,
    index,
    start,
    line,
    words: start === null ? `into ${name}` : `into ${name}, from column ${start}`,
    ...(column ? { left: column.left } : {}),
  }
}

/** The column of a grid container, counted from 1, that a left edge is nearest to, as far right as a span has room; and its edge. */
function columnAt(view: StageView, id: string, columns: number, edge: number, span: number): { column: number; left: number } {
  const element = view.frame.find(id)!
  const style = view.frame.document.defaultView!.getComputedStyle(element)
  const box = boxOfElement(element, view.scale)
  const left = box.left / view.scale + Number.parseFloat(style.paddingLeft)
  const inner = box.width / view.scale - Number.parseFloat(style.paddingLeft) - Number.parseFloat(style.paddingRight)
  const gap = Number.parseFloat(style.columnGap) || 0
  const step = (inner + gap) / columns
  const column = Math.max(1, Math.min(columns - Math.min(span, columns) + 1, Math.round((edge / view.scale - left) / step) + 1))
  return { column, left: (left + (column - 1) * step) * view.scale }
}

type Sibling = { id: string; box: Box }

function lineAt(
  container: Box,
  siblings: Sibling[],
  before: Sibling | undefined,
  after: Sibling | undefined,
  upright: boolean,
): Box {
  if (upright) {
    const beside = before ?? after
    if (beside)
      return {
        left: before ? beside.box.left - 3 : beside.box.left + beside.box.width + 1,
        top: beside.box.top,
        width: 2,
        height: beside.box.height,
      }
  }
  const last = siblings.at(-1)
  const top = before ? before.box.top - 2 : last ? last.box.top + last.box.height + 1 : container.top + container.height / 2
  return { left: container.left + 4, top, width: container.width - 8, height: 2 }
}

/** The edits of a drop: the moves, and the first column where one block landed in free space. */
function dropEdits(store: SessionStore, places: readonly Place[], drop: DropPlace): Edit[] {
  const { session, scope } = store.getState()
  const [place] = places
  if (places.length > 1) return drop.behind ? [] : moveEdits(session.site, places, drop.parent, drop.index)
  const id = place!.block.id
  const from = positionOf(session.site, place!)
  const edits: Edit[] = []
  if (from.parent !== drop.parent || (from.index !== drop.index && !drop.behind))
    edits.push({ kind: 'move', block: id, parent: drop.parent, index: drop.index })
  const styleScope = ofWidths(scope)
  const now = place!.block.style.base?.start
  if (drop.behind) return edits
  if (drop.start !== null && place!.block.kind !== 'section' && place!.block.style.base?.span !== undefined) {
    edits.push({ kind: 'style', block: id, scope: styleScope, values: { start: drop.start } })
  } else if (drop.start === null && now !== undefined && from.parent !== drop.parent) {
    edits.push({ kind: 'style', block: id, scope: 'base', values: { start: null } })
  }
  return edits
}

/** The selected block that a press is on or in, or the pressed block itself. */
function selectionToDrag(store: SessionStore, pressed: string | undefined): string | undefined {
  const { selection, also, session } = store.getState()
  if (pressed === undefined) return undefined
  const chain = [
    pressed,
    ...(findBlock(session.site, pressed)
      ?.ancestors.map((one) => one.id)
      .reverse() ?? []),
  ]
  return chain.find((id) => id === selection || also.includes(id)) ?? pressed
}

/** Dragging of blocks within a view: press, move past a few px, drop where the line shows. A press alone selects. */
export function useBlockDrag(index: number, surface: RefObject<HTMLDivElement | null>) {
  const store = useSessionStore()
  const frames: Frames = useFrames()
  const [drop, setDrop] = useState<(DropPlace & { x: number; y: number }) | null>(null)

  const begin = useCallback(
    (event: PointerEvent<HTMLDivElement>, pressed: string | undefined) => {
      const id = selectionToDrag(store, pressed)
      const view = frames.get(index)
      if (id === undefined || !view) {
        select(store, null)
        return
      }
      const from = { x: event.clientX, y: event.clientY }
      let moving = false
      const grab = event.clientX - surface.current!.getBoundingClientRect().left - (boxOf(view, id)?.left ?? 0)
      let latest: DropPlace | undefined

      const move = (now: globalThis.PointerEvent) => {
        if (!moving && Math.hypot(now.clientX - from.x, now.clientY - from.y) < THRESHOLD) return
        const { selection, also } = store.getState()
        if (!moving && id !== selection && !also.includes(id)) select(store, id)
        moving = true
        const bounds = surface.current!.getBoundingClientRect()
        const state = store.getState()
        const place = findBlock(state.session.site, id)
        const x = now.clientX - bounds.left
        const y = now.clientY - bounds.top
        latest = undefined
        const dragged = topmost(allSelected(state))
        if (place && dragged.every((one) => one.block.kind !== 'section')) {
          const range = rangeAt(state.session.site.breakpoints, view.width)
          const span = valueAt(place.block.style, 'span', state.session.site.breakpoints, range)
          const behind = valueAt(place.block.style, 'position', state.session.site.breakpoints, range) === 'backdrop'
          const [kinds, ids] = [dragged.map((one) => one.block.kind), dragged.map((one) => one.block.id)]
          latest = dropPlace(state, view, x, y, { kinds, ids, span: ids.length > 1 ? undefined : span, grab, behind })
        }
        setDrop(latest ? { ...latest, x, y } : null)
      }
      const end = (release: globalThis.PointerEvent | undefined) => {
        setDrop(null)
        if (!moving && release) select(store, pressed ?? null)
        else if (latest && release) editAll(store, 'move', dropEdits(store, topmost(allSelected(store.getState())), latest))
      }
      followPointer({ move, end })
    },
    [store, frames, index, surface],
  )

  const view = frames.get(index)
  const dragged = drop && store.getState().also.length === 0 ? selected(store.getState()) : undefined
  const box = view && dragged && boxOf(view, dragged.block.id)
  const feedback = drop && (
    <>
      {drop.left !== undefined && view && dragged && box && dragged.ancestors.at(-1)?.id === drop.parent && (
        <EqualGaps view={view} place={dragged} box={{ ...box, left: drop.left, top: drop.y - box.height / 2 }} />
      )}
      <div
        data-drop-line
        className={`pointer-events-none absolute z-20 ${drop.behind ? 'border-2 border-dashed border-yarrow' : 'bg-yarrow'}`}
        style={drop.line}
      />
      <PointerTab x={drop.x} y={drop.y}>
        {drop.words}
      </PointerTab>
    </>
  )
  return { begin, feedback }
}
