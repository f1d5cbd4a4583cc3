import { newBlock } from '#core/blocks/defaults'
import type { Edit } from '#core/edits/index'
import type { Picture } from '#core/picture/picture'
import { editAll, makeId, select, type SessionStore } from '../session/store'
import { uploadPicture } from '../session/upload-picture'
import { insertPlace } from './insert'

/** The edits that put a picture into a picture block; one of the same bytes is not added twice. */
export function pictureEdits(store: SessionStore, picture: Picture, block: string): Edit[] {
  const known = store.getState().session.site.pictures.find((one) => one.hash === picture.hash)
  const set: Edit = { kind: 'field', block, field: 'picture', value: (known ?? picture).id }
  return known ? [set] : [{ kind: 'picture-add', picture }, set]
}

/** Puts files into a picture block, or into new ones at a place. */
export async function dropPictures(
  store: SessionStore,
  files: readonly File[],
  at: { block: string } | { parent: string; index: number },
): Promise<void> {
  for (const file of files) {
    const picture = await uploadPicture(store.getState().siteId, file)
    if (!picture) continue
    if ('block' in at) {
      editAll(store, `picture ${file.name}`, pictureEdits(store, picture, at.block))
      continue
    }
    const block = newBlock('picture', makeId)
    editAll(store, `add ${file.name}`, [
      { kind: 'insert', parent: at.parent, index: at.index, blocks: [block] },
      ...pictureEdits(store, picture, block.id),
    ])
    select(store, block.id)
  }
}

/** Puts files where something would be added to the selection. */
export async function pastePictures(store: SessionStore, files: readonly File[]): Promise<void> {
  for (const file of files) {
    const picture = await uploadPicture(store.getState().siteId, file)
    const place = insertPlace(store.getState(), 'picture')
    if (!picture || !place) continue
    const block = newBlock('picture', makeId)
    editAll(store, `add ${file.name}`, [{ kind: 'insert', ...place, blocks: [block] }, ...pictureEdits(store, picture, block.id)])
  }
}
