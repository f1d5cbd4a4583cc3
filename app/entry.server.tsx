import { randomBytes } from 'node:crypto'
import { PassThrough } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import { renderToPipeableStream } from 'react-dom/server'
import { type EntryContext, type HandleErrorFunction, isRouteErrorResponse, ServerRouter } from 'react-router'
import { pageHeaders } from '#server/policy'
import { Nonce } from './nonce'

/** How long a page may take to be made, ms. */
export const streamTimeout = 10_000

/** Tells of failures that are ours; an address that is none, or a request that was refused or given up, is no failure. */
export const handleError: HandleErrorFunction = (error, { request }) => {
  if (!request.signal.aborted && !(isRouteErrorResponse(error) && error.status < 500)) console.error(error)
}

/** Makes the HTML of a page, under a policy by which only its own scripts run. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
): Promise<Response> | Response {
  const nonce = randomBytes(16).toString('base64')
  headers.set('Content-Type', 'text/html; charset=utf-8')
  for (const [name, value] of Object.entries(pageHeaders(nonce, import.meta.env.DEV))) headers.set(name, value)
  if (request.method === 'HEAD') return new Response(null, { status, headers })

  return new Promise((resolve, reject) => {
    let code = status
    let begun = false
    const { pipe, abort } = renderToPipeableStream(
      <Nonce value={nonce}>
        <ServerRouter context={context} url={request.url} nonce={nonce} />
      </Nonce>,
      {
        nonce,
        // Screens wait for nothing while they are made, and one piece takes less work on its way than many small ones.
        onAllReady() {
          const body = new PassThrough()
          pipe(body)
          clearTimeout(timer)
          buffer(body).then((html) => resolve(new Response(html, { headers, status: code })), reject)
        },
        onShellReady() {
          begun = true
        },
        onShellError: reject,
        onError(error: unknown) {
          code = 500
          // What fails before the shell is rejected, and told of there.
          if (begun) console.error(error)
        },
      },
    )
    const timer = setTimeout(abort, streamTimeout + 1000)
  })
}
