import type { Page, Site } from '#core/site/schema'
import { createFrame, type Frame, VIEW_DOCUMENT } from './frame'
import { createViewRenderer } from './rendering'

/** Width that a page is shown at first, px. */
const NARROW = 320

/** Shows a page in a frame out of sight, with its faces there, and does some work on it; the frame is gone afterwards. */
export async function inHiddenFrame<T>(
  site: Site,
  page: Page,
  work: (frame: Frame, iframe: HTMLIFrameElement) => Promise<T>,
): Promise<T> {
  const iframe = document.createElement('iframe')
  Object.assign(iframe.style, { position: 'fixed', left: '-9999px', top: '0', height: '900px', visibility: 'hidden', border: '0' })
  iframe.style.width = `${NARROW}px`
  iframe.setAttribute('sandbox', 'allow-same-origin')
  iframe.setAttribute('aria-hidden', 'true')
  iframe.tabIndex = -1
  iframe.srcdoc = VIEW_DOCUMENT
  const loaded = new Promise<void>((done) => iframe.addEventListener('load', () => done(), { once: true }))
  // In a tree of its own, so that nobody who asks the screen for its frames is given this one.
  const host = document.createElement('div')
  host.attachShadow({ mode: 'closed' }).append(iframe)
  document.body.append(host)
  try {
    await loaded
    const frame = createFrame(iframe, NARROW)
    frame.show(createViewRenderer(site.language)(site, page))
    // Faces come before anything is measured: other ones would break elsewhere.
    await Promise.all([...frame.document.fonts].filter((one) => one.status === 'loading').map((one) => one.loaded.catch(() => one)))
    await frame.document.fonts.ready
    return await work(frame, iframe)
  } finally {
    host.remove()
  }
}
