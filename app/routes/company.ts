import { z } from 'zod'
import type { News } from '#core/values/company'
import { idSchema } from '#core/values/ids'
import { readJson } from '#server/body'
import { listen, whoIsPresent, workAt } from '#server/company'
import { store } from '#server/database'
import { getSite } from '#server/sites'
import { visitor } from '../visitor'
import type { Route } from './+types/company'
import { answering } from './answers'

/** How often a line is sent that says nothing, so that nothing between takes the connection for dead, ms. */
const BEAT = 20_000

/** News as they are sent, made once for all who hear them. */
const texts = new WeakMap<News, string>()
function textOf(news: News): string {
  const text = texts.get(news) ?? `data: ${JSON.stringify(news)}\n\n`
  texts.set(news, text)
  return text
}

const placeSchema = z.strictObject({
  tab: idSchema,
  place: z.strictObject({ page: idSchema, block: idSchema.nullable() }).nullable(),
})

/** News of a site as they come: its revisions, and who works where (server-sent events; HTML, 9.2). */
export function loader({ request, context, params: { siteId } }: Route.LoaderArgs) {
  return answering(() => {
    const { revision } = getSite(store(), siteId)
    const encoder = new TextEncoder()
    let end: (() => void) | undefined
    let beat: NodeJS.Timeout | undefined
    // Whose connection ends is gone, even when he could not say so any more.
    const tab = idSchema.safeParse(new URL(request.url).searchParams.get('tab')).data
    const leave = () => {
      clearInterval(beat)
      if (end && tab) workAt(siteId, tab, null, Date.now())
      end?.()
      end = undefined
    }
    const body = new ReadableStream<Uint8Array>({
      start(controller) {
        const send = (text: string) => controller.enqueue(encoder.encode(text))
        const tell = (news: News) => send(textOf(news))
        const stop = () => {
          leave()
          controller.close()
        }
        end = listen(siteId, tell, context.get(visitor), stop)
        if (!end) {
          // A browser that was refused asks again, not at once.
          send(`retry: ${BEAT}\n\n`)
          return controller.close()
        }
        beat = setInterval(() => send(':\n\n'), BEAT)
        beat.unref()
        // Whoever comes, or comes back, is told how things stand.
        tell({ kind: 'revision', revision })
        tell({ kind: 'present', present: whoIsPresent(siteId, Date.now()) })
      },
      cancel: leave,
    })
    request.signal.addEventListener('abort', leave)
    // What is compressed on its way would wait until there is enough of it.
    return new Response(body, {
      headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform', 'X-Accel-Buffering': 'no' },
    })
  })
}

/** Takes note of where somebody works. */
export function action({ request, params: { siteId } }: Route.ActionArgs) {
  return answering(async () => {
    getSite(store(), siteId)
    const { tab, place } = placeSchema.parse(await readJson(request))
    workAt(siteId, tab, place, Date.now())
    return Response.json({})
  })
}
