import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { Worker } from 'node:worker_threads'

/** What a request took that was asked again and again, ms; and what one took to a server that does nothing else, at the same moment. */
export type Waited = { took: number; bare: number; during: string }

/** A server that answers and does nothing else, in a process of its own: what it takes, the machine takes. */
const BARE = `
const server = require('node:http').createServer((_, response) => response.end('here'))
server.listen(0, '127.0.0.1', () => process.send(server.address().port))
process.on('disconnect', () => process.exit())`

/** Asks for something small, and the bare server beside it, again and again; in a thread, so that making inputs does not count. */
const ASKING = `
const { parentPort, workerData } = require('node:worker_threads')
const time = async (url) => {
  const from = performance.now()
  await fetch(url).then((answer) => answer.arrayBuffer()).catch(() => undefined)
  return performance.now() - from
}
;(async () => {
  for (;;) {
    const bare = time(workerData.bare)
    const took = await time(workerData.url)
    parentPort.postMessage({ took, bare: await bare })
    await new Promise((resolve) => setTimeout(resolve, 25))
  }
})()`

/**
 * Keeps what waited longest beyond what the machine itself kept a bare server waiting, and what was done then; from now
 * until it is told to stop.
 */
export async function watch(url: string, doing: () => string): Promise<() => Promise<Waited>> {
  let longest: Waited = { took: 0, bare: 0, during: '' }
  const bare = spawn(process.execPath, ['-e', BARE], { stdio: ['ignore', 'inherit', 'inherit', 'ipc'] })
  const [port] = (await once(bare, 'message')) as [number]
  const asking = new Worker(ASKING, { eval: true, workerData: { url: `${url}/icons?q=sun`, bare: `http://127.0.0.1:${port}/` } })
  asking.on('message', ({ took, bare: beside }: Waited) => {
    if (took - beside > longest.took - longest.bare) longest = { took, bare: beside, during: doing() }
  })
  return async () => {
    await asking.terminate()
    bare.disconnect()
    return longest
  }
}
