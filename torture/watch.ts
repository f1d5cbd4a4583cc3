import { Worker } from 'node:worker_threads'

/** Asks for something small again and again, and tells how long each took; in a thread, so that making inputs does not count. */
const ASKING = `
const { parentPort, workerData } = require('node:worker_threads')
;(async () => {
  for (;;) {
    const from = performance.now()
    await fetch(workerData).then((answer) => answer.arrayBuffer()).catch(() => undefined)
    parentPort.postMessage(performance.now() - from)
    await new Promise((resolve) => setTimeout(resolve, 25))
  }
})()`

/** Keeps the longest that another request took, ms, and what was done then; from now until it is told to stop. */
export function watch(url: string, doing: () => string): () => Promise<{ longest: number; during: string }> {
  let [longest, during] = [0, '']
  const asking = new Worker(ASKING, { eval: true, workerData: `${url}/icons?q=sun` })
  asking.on('message', (took: number) => {
    if (took > longest) [longest, during] = [took, doing()]
  })
  return async () => {
    await asking.terminate()
    return { longest, during }
  }
}
