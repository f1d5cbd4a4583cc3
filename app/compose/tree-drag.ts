import { type PointerEvent, useCallback, useState } from 'react'
import { mayHold } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { topmost } from '#core/many/chosen'
import { moveEdits } from '#core/many/structure'
import { positionOf } from '#core/edits/places'
import { findBlock, type Place } from '#core/site/tree'
import { useSessionStore } from '../session/context'
import { allSelected, editAll, select, type SessionStore } from '../session/store'
import { followPointer } from './follow-pointer'

/** Where dragged rows would go: before or after a row, or into its block. */
export type TreeDrop = { at: string; where: 'before' | 'after' | 'into' }

const THRESHOLD = 5

/** The places that rows would be moved to, by a drop; nothing where the blocks may not stand there. */
export function treeDrop(
  site: Parameters<typeof findBlock>[0],
  moved: readonly Place[],
  { at, where }: TreeDrop,
): { parent: string; index: number } | undefined {
  const place = findBlock(site, at)
  const inside = place && [place.block, ...place.ancestors].some((one) => moved.some((other) => other.block.id === one.id))
  if (!place || inside) return undefined
  const holder = where === 'into' ? place.block : place.ancestors.at(-1)
  if (!holder || !isContainer(holder) || !moved.every((one) => mayHold(holder.kind, one.block.kind))) return undefined
  const left = holder.children.filter((child) => !moved.some((one) => one.block.id === child.id))
  if (where === 'into') return { parent: holder.id, index: left.length }
  const index = left.findIndex((child) => child.id === at) + (where === 'after' ? 1 : 0)
  return { parent: positionOf(site, place).parent, index }
}

/** Which part of a row the pointer is over: its upper or lower third is beside it, its middle is inside, if it holds blocks. */
function dropAt(store: SessionStore, x: number, y: number): TreeDrop | null {
  const row = document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-row]')
  const at = row?.dataset.row
  const place = at === undefined ? undefined : findBlock(store.getState().session.site, at)
  if (!row || !place) return null
  const { top, height } = row.getBoundingClientRect()
  const share = (y - top) / height
  if (isContainer(place.block) && share > 0.3 && share < 0.7) return { at: place.block.id, where: 'into' }
  return { at: place.block.id, where: share < 0.5 ? 'before' : 'after' }
}

/** Dragging rows of the tree: press, move past a few px, let go where the line shows. Escape gives it up. */
export function useTreeDrag(): { drop: TreeDrop | null; onPointerDown: (event: PointerEvent<HTMLElement>) => void } {
  const store = useSessionStore()
  const [drop, setDrop] = useState<TreeDrop | null>(null)
  const onPointerDown = useCallback(
    (event: PointerEvent<HTMLElement>) => {
      const id = (event.target as HTMLElement).closest<HTMLElement>('[data-row]')?.dataset.row
      if (event.button !== 0 || id === undefined || event.shiftKey || event.ctrlKey || event.metaKey) return
      const [x, y] = [event.clientX, event.clientY]
      let moving = false
      let latest: TreeDrop | null = null
      const moved = () => topmost(allSelected(store.getState())).filter((one) => one.block.kind !== 'section')
      const move = (now: globalThis.PointerEvent) => {
        if (!moving && Math.hypot(now.clientX - x, now.clientY - y) < THRESHOLD) return
        if (!moving) {
          moving = true
          const { selection, also } = store.getState()
          if (id !== selection && !also.includes(id)) select(store, id)
        }
        const wanted = dropAt(store, now.clientX, now.clientY)
        latest = wanted && treeDrop(store.getState().session.site, moved(), wanted) ? wanted : null
        setDrop((old) => (old?.at === latest?.at && old?.where === latest?.where ? old : latest))
      }
      const end = (release: globalThis.PointerEvent | undefined) => {
        setDrop(null)
        if (!moving) return
        // The press that ends a drag selects nothing.
        const swallow = (click: Event) => click.stopPropagation()
        window.addEventListener('click', swallow, { capture: true, once: true })
        setTimeout(() => window.removeEventListener('click', swallow, { capture: true }))
        const { site } = store.getState().session
        const target = latest && release ? treeDrop(site, moved(), latest) : undefined
        if (target) editAll(store, 'move', moveEdits(site, moved(), target.parent, target.index))
      }
      followPointer({ move, end })
    },
    [store],
  )
  return { drop, onPointerDown }
}
