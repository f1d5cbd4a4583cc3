import { store } from '#server/database'
import { makePictures } from '#server/picture-progress'
import { readFont } from '#server/fonts'
import { getSite } from '#server/sites'
import { cutFonts, printed } from '#server/web-export'
import type { Route } from './+types/export-pictures'
import { answering } from './answers'
import { choicesOf } from './choices'

/** Makes the pictures that an export needs and keeps them; tells how many are made, a line of JSON for each. */
export function action({ request, params }: Route.ActionArgs) {
  return answering(async () => {
    const { site } = getSite(store(), params.siteId)
    const wanted = await printed(site, 'minified', 'exported', await choicesOf(request))
    const steps = makePictures(store(), wanted.pictures, request.signal)
    // Fonts are cut meanwhile, and kept; one that cannot be is named by the export itself.
    cutFonts(wanted, (name) => readFont(name, store().folder)).catch(() => undefined)
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
