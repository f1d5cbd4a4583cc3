import { type PointerEvent, type RefObject, useCallback, useState } from 'react'
import { topmost } from '#core/many/chosen'
import { walk } from '#core/blocks/tree'
import { findBlock } from '#core/site/tree'
import { type Box, boxOf, type StageView, useFrames } from '../live/frames'
import { useSessionStore } from '../session/context'
import { pageOf, pressable, select, selectMany, type SessionState, toggleSelected } from '../session/store'
import { followPointer } from './follow-pointer'

const THRESHOLD = 4

const frameOf = (x: number, y: number, toX: number, toY: number): Box => ({
  left: Math.min(x, toX),
  top: Math.min(y, toY),
  width: Math.abs(toX - x),
  height: Math.abs(toY - y),
})

const isWithin = (inner: Box, outer: Box): boolean =>
  inner.left >= outer.left &&
  inner.top >= outer.top &&
  inner.left + inner.width <= outer.left + outer.width &&
  inner.top + inner.height <= outer.top + outer.height

/** The blocks of the page with their boxes, measured once for a frame; sections are left out. */
const boxedBlocks = (state: SessionState, view: StageView) =>
  pageOf(state)
    .sections.flatMap((section) => [...walk(section)])
    .filter((block) => block.kind !== 'section')
    .flatMap(({ id }) => {
      const box = boxOf(view, id)
      return box && box.width > 0 ? [{ id, box }] : []
    })

/** Of those, the ones wholly inside a frame, without those inside others that are. */
function blocksWithin(state: SessionState, all: ReturnType<typeof boxedBlocks>, frame: Box): string[] {
  const found = all.flatMap(({ id, box }) =>
    isWithin(box, frame) && pressable(state, id) === id ? (findBlock(state.session.site, id) ?? []) : [],
  )
  return topmost(found).map((one) => one.block.id)
}

/**
 * Selecting several blocks with the pointer: a press with Shift adds the block, or takes it out; a frame drawn with
 * Shift, or from the ground of a section, selects what lies inside.
 */
export function useFrameSelect(index: number, surface: RefObject<HTMLDivElement | null>) {
  const store = useSessionStore()
  const frames = useFrames()
  const [frame, setFrame] = useState<Box | null>(null)

  const begin = useCallback(
    (event: PointerEvent<HTMLDivElement>, pressed: string | undefined) => {
      const view = frames.get(index)
      if (!view) return
      const bounds = surface.current!.getBoundingClientRect()
      const [x, y] = [event.clientX - bounds.left, event.clientY - bounds.top]
      const add = event.shiftKey
      const { selection, also } = store.getState()
      const before = add && selection !== null ? [...also, selection] : []
      let drawn: Box | null = null
      let measured: ReturnType<typeof boxedBlocks> | undefined
      const move = (now: globalThis.PointerEvent) => {
        const box = surface.current!.getBoundingClientRect()
        const next = frameOf(x, y, now.clientX - box.left, now.clientY - box.top)
        if (!drawn && Math.hypot(next.width, next.height) < THRESHOLD) return
        drawn = next
        setFrame(next)
        measured ??= boxedBlocks(store.getState(), view)
        selectMany(store, [...before, ...blocksWithin(store.getState(), measured, next)])
      }
      const end = (release: globalThis.PointerEvent | undefined) => {
        setFrame(null)
        if (!release) {
          if (drawn) selectMany(store, before)
        } else if (!drawn) {
          if (add && pressed !== undefined) toggleSelected(store, pressed)
          else if (!add) select(store, pressed ?? null)
        }
      }
      followPointer({ move, end })
    },
    [store, frames, index, surface],
  )
  const feedback = frame && (
    <div
      aria-hidden
      data-frame
      className="pointer-events-none absolute z-20 border border-dashed border-ink bg-yarrow/15"
      style={frame}
    />
  )
  return { begin, feedback }
}
