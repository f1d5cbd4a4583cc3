import { type PointerEvent, type RefObject, useCallback, useState } from 'react'
import { topmost } from '#core/many/chosen'
import { walk } from '#core/blocks/tree'
import { findBlock } from '#core/site/tree'
import { type Box, boxOf, type StageView, useFrames } from '../live/frames'
import { useSessionStore } from '../session/context'
import { pageOf, select, selectMany, type SessionState, type SessionStore, toggleSelected } from '../session/store'

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

/** The blocks of the page that lie wholly inside a frame, without those inside others that do; sections are left out. */
function blocksWithin(state: SessionState, view: StageView, frame: Box): string[] {
  const found = pageOf(state)
    .sections.flatMap((section) => [...walk(section)])
    .filter((block) => block.kind !== 'section')
    .flatMap((block) => {
      const box = boxOf(view, block.id)
      return box && box.width > 0 && isWithin(box, frame) ? (findBlock(state.session.site, block.id) ?? []) : []
    })
  return topmost(found).map((one) => one.block.id)
}

/** Adds what lies inside a frame to what was selected before it was drawn. */
function take(store: SessionStore, view: StageView, frame: Box, before: readonly string[]): void {
  selectMany(store, [...before, ...blocksWithin(store.getState(), view, frame)])
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
      const move = (now: globalThis.PointerEvent) => {
        const box = surface.current!.getBoundingClientRect()
        const next = frameOf(x, y, now.clientX - box.left, now.clientY - box.top)
        if (!drawn && Math.hypot(next.width, next.height) < THRESHOLD) return
        drawn = next
        setFrame(next)
        take(store, view, next, before)
      }
      const end = () => {
        window.removeEventListener('pointermove', move)
        window.removeEventListener('pointerup', finish)
        window.removeEventListener('pointercancel', end)
        window.removeEventListener('keydown', cancel)
        setFrame(null)
      }
      const finish = () => {
        end()
        if (drawn) return
        if (add && pressed !== undefined) toggleSelected(store, pressed)
        else if (!add) select(store, pressed ?? null)
      }
      const cancel = (now: KeyboardEvent) => {
        if (now.key !== 'Escape') return
        end()
        selectMany(store, before)
      }
      window.addEventListener('pointermove', move)
      window.addEventListener('pointerup', finish)
      window.addEventListener('pointercancel', end)
      window.addEventListener('keydown', cancel)
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
