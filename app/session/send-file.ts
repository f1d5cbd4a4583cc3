import { type LinkedFile, MAX_FILE } from '#core/site/linked-file'
import { weightInWords } from '#core/values/weight'
import { type Asked, ask } from '../ui/ask'
import { makeId } from './store'

/** Sends a file that links are to lead to; gives it as the server keeps it, or a sentence that says why it does not. */
export async function sendFile(siteId: string, file: File): Promise<Asked<LinkedFile>> {
  if (file.size > MAX_FILE) return { problem: `"${file.name}" weighs ${weightInWords(file.size)}. A file may weigh 30 MB at most.` }
  const body = new FormData()
  body.set('file', file)
  const answer = await ask<Omit<LinkedFile, 'id'>>(`"${file.name}" was not uploaded`, `/sites/${siteId}/files`, {
    method: 'POST',
    body,
  })
  return 'problem' in answer ? answer : { ...answer, id: makeId() }
}
