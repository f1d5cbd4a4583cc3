import { rmSync } from 'node:fs'

const TRIES = 40
/** Wait between two tries, ms. */
const WAIT = 100

/**
 * Removes a folder of data and all in it, if it is there. A thread that is stopped may be writing into it still, and a
 * file that comes while the folder is emptied keeps it from going: it is tried again for about four seconds.
 */
export function removeFolder(folder: string): void {
  for (let n = 1; ; n++) {
    try {
      return rmSync(folder, { recursive: true, force: true })
    } catch (error) {
      if (n === TRIES || (error as NodeJS.ErrnoException).code !== 'ENOTEMPTY') throw error
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, WAIT)
    }
  }
}
