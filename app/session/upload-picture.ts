import { toast } from 'sonner'
import { MAX_PICTURE, type Picture } from '#core/picture/picture'
import { weightInWords } from '#core/values/weight'
import { type Asked, ask } from '../ui/ask'
import { makeId } from './store'

/** Sends a picture; gives it as the server keeps it, or a sentence that says why it does not. */
export async function sendPicture(siteId: string, file: File, signal?: AbortSignal): Promise<Asked<Picture>> {
  if (file.size > MAX_PICTURE)
    return { problem: `"${file.name}" weighs ${weightInWords(file.size)}. A picture may weigh 30 MB at most.` }
  const body = new FormData()
  body.set('picture', file)
  const answer = await ask<Omit<Picture, 'id'>>(`"${file.name}" was not uploaded`, `/sites/${siteId}/pictures`, {
    method: 'POST',
    body,
    ...(signal ? { signal } : {}),
  })
  return 'problem' in answer ? answer : { ...answer, id: makeId() }
}

/** Uploads a picture; `undefined`, with the reason shown, if the server refuses it. */
export async function uploadPicture(siteId: string, file: File): Promise<Picture | undefined> {
  const note = toast.loading(`Reading ${file.name}`)
  const answer = await sendPicture(siteId, file)
  if ('problem' in answer) {
    toast.error(answer.problem, { id: note })
    return undefined
  }
  toast.dismiss(note)
  return answer
}
