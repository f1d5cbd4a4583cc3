import type { WantedPicture } from '#core/formats/web-files'
import type { Store } from './database'
import { wantedBytes } from './pictures'

/** How far the making of pictures has come. */
export type PictureProgress = { made: number; of: number }

/** How many pictures wait in the queue at once for one who asks; the others are not begun if he leaves. */
const AHEAD = 4

/**
 * Makes pictures in the widths that are wanted, in turn with whoever else asks for some, and keeps them. Gives its
 * progress after each, and before the first; ends early if it is told to.
 */
export async function* makePictures(
  store: Store,
  wanted: readonly WantedPicture[],
  signal?: AbortSignal,
): AsyncGenerator<PictureProgress, undefined> {
  const waiting = wanted.filter((one) => one.width !== null)
  const of = waiting.length
  const owner = Symbol('export')
  const running = new Set<Promise<void>>()
  const begin = () => {
    const one = waiting.shift()
    if (!one || signal?.aborted) return
    // One that cannot be made is named by the export itself.
    const work: Promise<void> = wantedBytes(store, one, owner)
      .catch(() => undefined)
      .then(() => void running.delete(work))
    running.add(work)
  }
  yield { made: 0, of }
  for (let i = 0; i < AHEAD; i++) begin()
  for (let made = 1; running.size > 0; made++) {
    const before = running.size
    await Promise.race(running)
    for (let i = running.size; i < before; i++) begin()
    yield { made, of }
  }
  return undefined
}
