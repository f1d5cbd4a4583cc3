import { type DragEvent, type RefObject, useState } from 'react'
import { newBlock } from '#core/blocks/defaults'
import type { Edit } from '#core/edits/index'
import type { Picture } from '#core/picture/picture'
import { findBlock } from '#core/site/tree'
import { dropPlace } from './block-drag'
import { useSessionStore } from '../session/context'
import { type Box, blockAt, boxOf, useFrames } from '../live/frames'
import { type SessionStore, editAll, makeId, select } from '../session/store'
import { uploadPicture } from '../session/upload-picture'

/** The edits that put a picture into a picture block; one of the same bytes is not added twice. */
export function pictureEdits(store: SessionStore, picture: Picture, block: string): Edit[] {
  const known = store.getState().session.site.pictures.find((one) => one.hash === picture.hash)
  const set: Edit = { kind: 'field', block, field: 'picture', value: (known ?? picture).id }
  return known ? [set] : [{ kind: 'picture-add', picture }, set]
}

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
      for (const file of [...event.dataTransfer.files]) {
        const picture = await uploadPicture(store.getState().siteId, file)
        if (!picture) continue
        if ('drop' in found && found.drop) {
          const block = newBlock('picture', makeId)
          const { parent, index: at } = found.drop
          editAll(store, `add ${file.name}`, [
            { kind: 'insert', parent, index: at, blocks: [block] },
            ...pictureEdits(store, picture, block.id),
          ])
          select(store, block.id)
        } else {
          editAll(store, `picture ${file.name}`, pictureEdits(store, picture, (found as { block: string }).block))
        }
      }
    },
    feedback: line && (
      <div className="pointer-events-none absolute z-20 border-2 border-yarrow bg-yarrow/20" style={{ ...line, minHeight: 2 }} />
    ),
  }
}
