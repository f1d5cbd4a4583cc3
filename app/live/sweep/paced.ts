/** How long one slice of the work may take, ms: the screen stays quick in between. */
const SLICE = 10

type Paced = {
  signal: AbortSignal
  /** Told from time to time how much is done. */
  onProgress?: ((share: number) => void) | undefined
}

/** Lets the screen do what it has to from time to time, and says how much is done. @returns what is called after each piece of the work, with the share, 0 to 1; false to give up */
export function paced({ signal, onProgress }: Paced): (share: number) => Promise<boolean> {
  let since = performance.now()
  return async (share) => {
    if (signal.aborted) return false
    if (performance.now() - since < SLICE) return true
    onProgress?.(Math.min(0.99, share))
    await breathe()
    since = performance.now()
    return !signal.aborted
  }
}

/** Lets the screen do what waits to be done. A timer would wait for 4 ms each time, and there are a hundred and more. */
const breathe = (): Promise<void> =>
  new Promise((done) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      done()
    }
    port2.postMessage(null)
  })
