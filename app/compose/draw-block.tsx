import { DropdownMenu } from 'radix-ui'
import { type PointerEvent, useRef, useState } from 'react'
import { BLOCK_KINDS, type BlockKind, hasTrait, mayHold } from '#core/blocks/index'
import { newBlock } from '#core/blocks/defaults'
import { hasWords, isContainer } from '#core/blocks/tree'
import { rangeAt } from '#core/grid/columns'
import { surroundAt, surroundOf } from '#core/render/surround'
import type { Place } from '#core/site/tree'
import type { Site } from '#core/site/schema'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { blockAt, boxOf, type StageView, useFrames } from '../live/frames'
import { measureBlocks } from '../live/measure-blocks'
import { useSession, useSessionStore } from '../session/context'
import { edit, makeId, pressable, select, type SessionStore } from '../session/store'
import { containerFor } from './block-drag'
import { type Drawn, drawnArea, drawnInWords, type Ground, indexFor, LEAST_HEIGHT } from './drawn-area'
import { followPointer } from './follow-pointer'
import { PointerTab } from './pointer-tab'

/** The kinds that are drawn most, first. */
const OFTEN: readonly BlockKind[] = ['heading', 'text', 'picture', 'group', 'button', 'list', 'quote']
const KINDS = [...OFTEN, ...BLOCK_KINDS.filter((kind) => !OFTEN.includes(kind) && hasTrait(kind, 'flow'))]

/** The inside of a holder in a view, to draw on. */
function groundOf(site: Site, view: StageView, { block, ancestors }: Place): Ground | undefined {
  const [measured] = measureBlocks([block.id], view.frame.document)
  if (!measured || !isContainer(block)) return undefined
  const { edges, padding, border } = measured
  const top = (edges.top + padding.top + border.top) * view.scale
  const left = (edges.left + padding.left + border.left) * view.scale
  const right = (edges.right - padding.right - border.right) * view.scale
  const bottom = (edges.bottom - padding.bottom - border.bottom) * view.scale
  const range = rangeAt(site.breakpoints, view.width)
  const offered = surroundOf(block, surroundAt(site, { ancestors }), site.breakpoints).ranges[range]!
  const style = view.frame.document.defaultView!.getComputedStyle(view.frame.find(block.id)!)
  const sized = block.style.base?.rowSizes ? style.gridTemplateRows.split(' ').map(Number.parseFloat) : []
  let at = top
  const rows = sized.map((height) => {
    const row = { top: at, bottom: at + height * view.scale }
    at = row.bottom + measured.rowGap * view.scale
    return row
  })
  return {
    // A section with nothing in it yet is drawn in wherever it is.
    box: { left, top, width: right - left, height: Math.max(bottom - top, 120 * view.scale) },
    ...(offered.layout === 'grid' ? { grid: { columns: offered.columns, gap: measured.columnGap } } : {}),
    rows,
  }
}

/** A shape whose larger side is 100. */
const shapeOf = (width: number, height: number) => {
  const share = (side: number) => Math.max(1, Number(((100 * side) / Math.max(width, height)).toFixed(1)))
  return { width: share(width), height: share(height) }
}

/** What a drawn frame sets for a block of a kind. */
function valuesOf(
  kind: BlockKind,
  { start, span, rowStart, rowSpan, width, height }: Drawn,
  columns: number | undefined,
): StyleValues {
  const high = height >= LEAST_HEIGHT && rowSpan === undefined
  return {
    ...(span === undefined ? { width: pixels(width) } : { span, ...(span === columns ? {} : { start: start! }) }),
    ...(rowSpan === undefined ? {} : { rowStart: rowStart!, rowSpan }),
    ...(high && kind === 'picture' ? { aspect: shapeOf(width, height) } : {}),
    ...(high && hasTrait(kind, 'layout') ? { minHeight: pixels(height) } : {}),
  }
}

type Finished = { place: Place; ground: Ground; drawn: Drawn }

/**
 * Puts a block of a kind where it was drawn. Drawn in a narrower range, the columns are that range's alone, and the base
 * has the same share of its own.
 */
function putDrawn(store: SessionStore, view: StageView, kind: BlockKind, { place, ground, drawn }: Finished): void {
  const { site } = store.getState().session
  if (!isContainer(place.block)) return
  const range = rangeAt(site.breakpoints, view.width)
  const values = valuesOf(kind, drawn, ground.grid?.columns)
  const breakpoint = site.breakpoints[range]!
  const offered = surroundOf(place.block, surroundAt(site, place), site.breakpoints).ranges[0]!
  const made = newBlock(kind, makeId)
  const share =
    values.span === undefined ? {} : { span: Math.max(1, Math.round((values.span / ground.grid!.columns) * offered.columns)) }
  const { span, start, ...rest } = values
  const style =
    range === 0
      ? { base: { ...made.style.base, ...values } }
      : {
          base: { ...made.style.base, ...rest, ...share },
          below: { [breakpoint.id]: { ...(span === undefined ? {} : { span }), ...(start === undefined ? {} : { start }) } },
        }
  const boxes = place.block.children.map((one) => boxOf(view, one.id) ?? { left: 0, top: 0, width: 0, height: 0 })
  const index = indexFor(drawn.box, boxes)
  const block = { ...made, style }
  store.setState({ drawing: false })
  if (!edit(store, { kind: 'insert', parent: place.block.id, index, blocks: [block] })) return
  select(store, block.id)
  if (hasWords(block)) store.setState({ words: { block: block.id, view: view.index } })
}

/** Drawing of blocks onto columns and rows, over a view: a frame from press to release, then what it is to be. */
export function DrawBlock({ index }: { index: number }) {
  const drawing = useSession((state) => state.drawing)
  return drawing ? <Surface index={index} /> : null
}

function Surface({ index }: { index: number }) {
  const store = useSessionStore()
  const view = useFrames().get(index)
  const surface = useRef<HTMLDivElement>(null)
  const [now, setNow] = useState<{ x: number; y: number; drawn: Drawn; columns: number | undefined } | null>(null)
  const [finished, setFinished] = useState<Finished | null>(null)

  const begin = (event: PointerEvent<HTMLDivElement>) => {
    event.stopPropagation()
    if (event.button !== 0 || !view) return
    const pointOf = (one: { clientX: number; clientY: number }) => {
      const bounds = surface.current!.getBoundingClientRect()
      return { x: one.clientX - bounds.left, y: one.clientY - bounds.top }
    }
    const { site } = store.getState().session
    const from = pointOf(event)
    const place = containerFor(store.getState(), pressable(store.getState(), blockAt(view, from.x, from.y)), ['text'], [])
    const ground = place && groundOf(site, view, place)
    if (!place || !ground) return
    let drawn: Drawn | undefined
    followPointer({
      move: (moved) => {
        const to = pointOf(moved)
        drawn = drawnArea(ground, from, to, view.scale)
        setNow({ ...to, drawn, columns: ground.grid?.columns })
      },
      end: (release) => {
        if (release && drawn) setFinished({ place, ground, drawn })
        else setNow(null)
      },
    })
  }
  const shown = finished?.drawn ?? now?.drawn
  return (
    <div ref={surface} data-draw className="absolute inset-0 z-20 cursor-crosshair touch-none" onPointerDown={begin}>
      {shown && <div data-drawn className="pointer-events-none absolute border-2 border-yarrow bg-yarrow/20" style={shown.box} />}
      {now && !finished && (
        <PointerTab x={now.x} y={now.y} figure>
          {drawnInWords(now.drawn, now.columns)}
        </PointerTab>
      )}
      {finished && view && (
        <KindMenu
          at={{ left: finished.drawn.box.left, top: finished.drawn.box.top + finished.drawn.box.height }}
          kinds={KINDS.filter((kind) => mayHold(finished.place.block.kind, kind))}
          onPick={(kind) => putDrawn(store, view, kind, finished)}
          onClose={() => {
            setFinished(null)
            setNow(null)
          }}
        />
      )}
    </div>
  )
}

type KindMenuProps = {
  at: { left: number; top: number }
  kinds: readonly BlockKind[]
  onPick: (kind: BlockKind) => void
  onClose: () => void
}

/** What a drawn frame is to be. */
function KindMenu({ at, kinds, onPick, onClose }: KindMenuProps) {
  return (
    <DropdownMenu.Root open onOpenChange={(open) => !open && onClose()} modal={false}>
      <DropdownMenu.Trigger aria-label="What is drawn" className="absolute h-0 w-0" style={at} />
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          aria-label="What is drawn"
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="z-50 max-h-80 min-w-36 overflow-auto rounded-2 border border-line-strong bg-field p-1 shadow-float"
        >
          {kinds.map((kind) => (
            <DropdownMenu.Item
              key={kind}
              className="flex h-7 cursor-default items-center rounded-2 px-2 capitalize outline-none data-[highlighted]:bg-ground"
              onSelect={() => onPick(kind)}
            >
              {kind}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
