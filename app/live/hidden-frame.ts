import type { Page, Site } from '#core/site/schema'
import { createFrame, type Frame, VIEW_DOCUMENT } from './frame'
import { createViewRenderer, type MoreCss, withCss } from './rendering'

/** Width that a page is shown at first, px. */
const NARROW = 320

/**
 * What a page has out of sight and not in a view: it may be wider than its window, which is asked; blocks without words are
 * not there, as on the published page, nor sections that are looked at later; and whatever is painted at a point is found there.
 */
const MEASURED_CSS = `html{overflow:auto!important;scrollbar-width:none!important}body{overflow-x:visible!important}
*{pointer-events:auto!important}[data-empty],[data-aside]{display:none!important}`

/** A page in a frame out of sight, where it can be measured. */
export type HiddenFrame = {
  frame: Frame
  /** Gives the window a width, and a height where it matters, px. */
  resize: (width: number, height?: number) => void
  /** Shows a page, with rules of its own where there are some, and waits until its faces are there: other ones would break elsewhere. */
  show: (site: Site, page: Page, more?: MoreCss) => Promise<void>
  /** Waits until no face is on its way, and says how many have come so far: words that were measured before one came are to be measured again. */
  faces: () => Promise<number>
  close: () => void
}

/** Opens a frame out of sight for pages in a language. */
export async function openHiddenFrame(language: string): Promise<HiddenFrame> {
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
  await loaded
  const frame = createFrame(iframe, NARROW)
  const render = createViewRenderer(language)
  const faces = async () => {
    await Promise.all([...frame.document.fonts].filter((one) => one.status === 'loading').map((one) => one.loaded.catch(() => one)))
    await frame.document.fonts.ready
    return [...frame.document.fonts].filter((one) => one.status === 'loaded').length
  }
  return {
    frame,
    faces,
    resize(width, height) {
      iframe.style.width = `${width}px`
      if (height !== undefined) iframe.style.height = `${height}px`
    },
    async show(site, page, { css = '', ...more } = {}) {
      frame.show(withCss(render(site, page), { ...more, css: MEASURED_CSS + css }))
      // Faces are asked for once words are laid out in them.
      frame.document.body.getBoundingClientRect()
      await faces()
    },
    close: () => host.remove(),
  }
}

/** Shows a page in a frame out of sight and does some work on it; the frame is gone afterwards. */
export async function inHiddenFrame<T>(site: Site, page: Page, work: (hidden: HiddenFrame) => Promise<T>): Promise<T> {
  const hidden = await openHiddenFrame(site.language)
  try {
    await hidden.show(site, page)
    return await work(hidden)
  } finally {
    hidden.close()
  }
}
