import { type DragEvent, type RefObject, useState } from 'react'
import { findBlock } from '#core/site/tree'
import { dropPlace } from './block-drag'
import { useSessionStore } from '../session/context'
import { type Box, blockAt, boxOf, useFrames } from '../live/frames'

/** Dropping of picture files on a view: onto a picture to change it, elsewhere to add one. */
export function useDropPicture(index: number, surface: RefObject<HTMLDivElement | null>) {
  const store = useSessionStore()
  const frames = useFrames()
  const [line, setLine] = useState<Box | null>(null)

  function target(event: DragEvent) {
    const view = frames.get(index)
    if (!view || !event.dataTransfer.types.includes('Files')) return undefined
    const bounds = surface.current!.getBoundingClientRect()
    const x = event.clientX - bounds.left
    const y = event.clientY - bounds.top
    const id = blockAt(view, x, y)
    const place = id === undefined ? undefined : findBlock(store.getState().session.site, id)
    if (place?.block.kind === 'picture') return { view, block: place.block.id }
    const drop = dropPlace(store.getState(), view, x, y, {
      kinds: ['picture'],
      ids: [],
      span: undefined,
      grab: 0,
    })
    return drop && { view, drop }
  }

  return {
    over(event: DragEvent) {
      const found = target(event)
      if (!found) return
      event.preventDefault()
      setLine('drop' in found && found.drop ? found.drop.line : (boxOf(found.view, (found as { block: string }).block) ?? null))
    },
    leave: () => setLine(null),
    async drop(event: DragEvent) {
      const found = target(event)
      setLine(null)
      if (!found) return
      event.preventDefault()
      // The files are gone from the event once it is over.
      const files = [...event.dataTransfer.files]
      const { dropPictures } = await import('./put-pictures')
      await dropPictures(store, files, 'block' in found ? { block: found.block! } : found.drop!)
    },
    feedback: line && (
      <div className="pointer-events-none absolute z-20 border-2 border-yarrow bg-yarrow/20" style={{ ...line, minHeight: 2 }} />
    ),
  }
}
