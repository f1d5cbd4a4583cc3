import { rmSync } from 'node:fs'

/**
 * Removes a folder of data and all in it, if it is there.
 * A thread that is stopped may be writing into it still, so it is tried again for about five seconds.
 */
export const removeFolder = (folder: string): void =>
  rmSync(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 100 })
