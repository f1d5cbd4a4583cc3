import { webFiles } from '#core/formats/web-files'
import { store } from '#server/database'
import { makePictures } from '#server/picture-progress'
import { getSite } from '#server/sites'
import type { Route } from './+types/export-pictures'
import { answering } from './answers'

/** Makes the pictures that an export needs and keeps them; tells how many are made, a line of JSON for each. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(() => {
    const { site } = getSite(store(), params.siteId)
    const steps = makePictures(store(), webFiles(site, 'minified').pictures, request.signal)
    const encoder = new TextEncoder()
    const body = new ReadableStream<Uint8Array>({
      async pull(controller) {
        const { done, value } = await steps.next()
        if (done) controller.close()
        else controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`))
      },
      // Whoever asked is gone: what is being made is finished and kept, and nothing more is begun.
      cancel: () => void steps.return(undefined),
    })
    return new Response(body, { headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' } })
  })
}
