import type { Picture } from '#core/picture/picture'
import type { SessionStore } from '../../session/store'
import { editAll } from '../../session/store'
import { sendPicture } from '../../session/upload-picture'

/** How far some uploads have come: what is done, and what was refused, with the reason of each. */
export type Uploads = { of: number; done: number; refused: readonly { name: string; problem: string }[] }

/** Files that are sent at once: more would only wait in the server's queue. */
const AT_ONCE = 3

/**
 * Sends files, a few at once, and puts those that are kept among the site's pictures, as one step for all; what is refused
 * holds up nothing. A file that the site has already is not added twice.
 * @param tell is told after each file
 */
export async function uploadMany(
  store: SessionStore,
  files: readonly File[],
  tell: (uploads: Uploads) => void,
  signal: AbortSignal,
): Promise<Picture[]> {
  const waiting = [...files]
  const kept: (Picture | undefined)[] = files.map(() => undefined)
  const refused: Uploads['refused'][number][] = []
  let done = 0
  tell({ of: files.length, done, refused })
  const work = async () => {
    for (let file = waiting.shift(); file && !signal.aborted; file = waiting.shift()) {
      const answer = await sendPicture(store.getState().siteId, file, signal)
      if (signal.aborted) return
      if ('problem' in answer) refused.push({ name: file.name, problem: answer.problem })
      else kept[files.indexOf(file)] = answer
      tell({ of: files.length, done: ++done, refused: [...refused] })
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, work))
  const hashes = new Set(store.getState().session.site.pictures.map((one) => one.hash))
  const added = kept.filter(
    (one): one is Picture => one !== undefined && !hashes.has(one.hash) && hashes.add(one.hash) !== undefined,
  )
  if (added.length > 0)
    editAll(
      store,
      added.length === 1 ? `add ${added[0]!.name}` : `add ${added.length} pictures`,
      added.map((picture) => ({ kind: 'picture-add', picture })),
    )
  return added
}
