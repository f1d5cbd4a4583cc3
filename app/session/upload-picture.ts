import { weightInWords } from '#core/values/weight'
import { toast } from 'sonner'
import type { Picture } from '#core/picture/picture'
import { ask } from '../ui/ask'
import { makeId } from './store'

/** Most bytes of a picture. */
const MAX_PICTURE = 30 * 1024 * 1024

/** Uploads a picture; `undefined`, with the reason shown, if the server refuses it. */
export async function uploadPicture(siteId: string, file: File): Promise<Picture | undefined> {
  if (file.size > MAX_PICTURE) {
    toast.error(`"${file.name}" weighs ${weightInWords(file.size)}. A picture may weigh 30 MB at most.`)
    return undefined
  }
  const note = toast.loading(`Reading ${file.name}`)
  const body = new FormData()
  body.set('picture', file)
  const answer = await ask<Omit<Picture, 'id'>>(`"${file.name}" was not uploaded`, `/sites/${siteId}/pictures`, {
    method: 'POST',
    body,
  })
  if ('problem' in answer) {
    toast.error(answer.problem, { id: note })
    return undefined
  }
  toast.dismiss(note)
  return { ...answer, id: makeId() }
}
