import { z } from 'zod'
import { type AccessRead, accessSchema } from '#core/render/access-script'
import { viewportHeightFor } from '#core/grid/viewport-height'

/** How long one width may take, ms, from one word of it to the next. */
const PATIENCE = 60_000

const toldSchema = z.object({ access: accessSchema, whole: z.boolean().optional() })

type Running = {
  signal: AbortSignal
  /** Told how much is done, 0 to 1. */
  onProgress: (share: number) => void
}

/**
 * Looks at a page, as visitors get it, at some widths, one after the other, each in a frame out of sight.
 * @param address of the played page, without a query
 * @returns nothing where it was given up
 * @throws a sentence where a page does not answer
 */
export async function readAccess(
  address: string,
  widths: readonly number[],
  { signal, onProgress }: Running,
): Promise<AccessRead[] | undefined> {
  const reads: AccessRead[] = []
  for (const [n, width] of widths.entries()) {
    const read = await readAt(address, width, signal, ({ done, of }) => onProgress((n + done / of) / widths.length))
    if (!read) return undefined
    reads.push(read)
  }
  onProgress(1)
  return reads
}

function readAt(
  address: string,
  width: number,
  signal: AbortSignal,
  onTold: (so: AccessRead) => void,
): Promise<AccessRead | undefined> {
  const iframe = document.createElement('iframe')
  Object.assign(iframe.style, { position: 'fixed', left: '-9999px', top: '0', border: '0', visibility: 'hidden' })
  iframe.style.width = `${width}px`
  iframe.style.height = `${viewportHeightFor(width)}px`
  iframe.setAttribute('aria-hidden', 'true')
  iframe.tabIndex = -1
  iframe.src = `${address}?accessed&engine=checked`
  const host = document.createElement('div')
  host.attachShadow({ mode: 'closed' }).append(iframe)
  document.body.append(host)
  return new Promise<AccessRead | undefined>((done, failed) => {
    const end = new AbortController()
    const finish = (work: () => void) => {
      end.abort()
      clearTimeout(timer)
      host.remove()
      work()
    }
    const late = () => finish(() => failed(new Error(`The page did not answer at ${width} px.`)))
    let timer = setTimeout(late, PATIENCE)
    const onMessage = ({ source, data }: MessageEvent) => {
      if (source !== iframe.contentWindow) return
      const told = toldSchema.safeParse(data)
      if (!told.success) return
      clearTimeout(timer)
      timer = setTimeout(late, PATIENCE)
      if (told.data.whole) finish(() => done(told.data.access))
      else onTold(told.data.access)
    }
    addEventListener('message', onMessage, { signal: end.signal })
    signal.addEventListener('abort', () => finish(() => done(undefined)), { signal: end.signal })
    if (signal.aborted) finish(() => done(undefined))
  })
}
