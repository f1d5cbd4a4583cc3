import { type Break, breakKey, breakOf, SWEPT } from '#core/sweep/breaks'
import { sweep } from '#core/sweep/sweep'
import type { Page, Site } from '#core/site/schema'
import { inHiddenFrame } from './hidden-frame'

/** Steps in which the widths are looked at first, px. */
const STEP = 20
/** How long one slice of the work may take, ms: the screen stays quick in between. */
const SLICE = 12

/** Words that do not fit stand out of their box here, where the page would break or hyphenate them. */
const UNBROKEN = '*{overflow-wrap:normal!important;hyphens:manual!important}'

/** What breaks in a document at the width that it has. */
export function breaksIn(root: Document, width: number): Set<string> {
  const view = root.defaultView!
  const found = new Set<string>()
  const blocks = [...root.querySelectorAll<HTMLElement>('[data-block]')]
  const clipped = new Set<Element>()
  const past: HTMLElement[] = []
  for (const element of blocks) {
    const id = element.dataset.block!
    const box = element.getBoundingClientRect()
    if (box.width === 0) continue
    const style = view.getComputedStyle(element)
    const inClip = element.parentElement !== null && clipped.has(element.parentElement)
    if (inClip || /auto|scroll|clip|hidden/.test(style.overflowX)) clipped.add(element)
    if (!inClip && (box.right > width + 1 || box.left < -1)) past.push(element)
    const tag = element.tagName
    const leaf = element.querySelector('[data-block]') === null
    if (leaf && !/^(IMG|svg|HR|INPUT)$/.test(tag) && element.scrollWidth > element.clientWidth + 1 && !clipped.has(element))
      if (element.clientWidth > 0) found.add(breakKey('word', id))
    // The words of what is pressed stand on one line.
    if (leaf && /(^|\s)button-/.test(element.className)) {
      const line = Number.parseFloat(style.lineHeight) || Number.parseFloat(style.fontSize) * 1.4
      const inner = element.clientHeight - Number.parseFloat(style.paddingTop) - Number.parseFloat(style.paddingBottom)
      const range = root.createRange()
      range.selectNodeContents(element)
      if (inner > 0 && range.getBoundingClientRect().height > line * 1.6) found.add(breakKey('line', id))
    }
    if (tag === 'NAV' && style.flexDirection.startsWith('row')) {
      const tops = new Set([...element.children].map((one) => Math.round(one.getBoundingClientRect().top / 4)))
      if (tops.size > 1) found.add(breakKey('row', id))
    }
  }
  // Of blocks inside each other, the innermost is what is too wide.
  for (const element of past)
    if (!past.some((one) => one !== element && element.contains(one))) found.add(breakKey('page', element.dataset.block!))
  return found
}

type Sweeping = {
  signal: AbortSignal
  /** Told how much is done, 0 to 1. */
  onProgress: (share: number) => void
}

/**
 * Runs a page through all widths, in a frame out of sight, and finds the ranges at which something breaks.
 * @returns nothing where it was given up
 */
export async function findBreaks(site: Site, page: Page, { signal, onProgress }: Sweeping): Promise<Break[] | undefined> {
  return inHiddenFrame(site, page, async (frame, iframe) => {
    const { CSSStyleSheet } = frame.document.defaultView as unknown as { CSSStyleSheet: typeof globalThis.CSSStyleSheet }
    const unbroken = new CSSStyleSheet()
    unbroken.replaceSync(UNBROKEN)
    frame.document.adoptedStyleSheets = [...frame.document.adoptedStyleSheets, unbroken]
    const run = sweep(SWEPT.from, SWEPT.to, STEP)
    let [next, asked, from] = [run.next(), 0, performance.now()]
    while (!next.done) {
      if (signal.aborted) return undefined
      iframe.style.width = `${next.value}px`
      next = run.next(breaksIn(frame.document, next.value))
      asked++
      if (performance.now() - from < SLICE) continue
      onProgress(Math.min(0.99, asked / ((SWEPT.to - SWEPT.from) / STEP + 60)))
      await new Promise((done) => setTimeout(done))
      from = performance.now()
    }
    return next.value.map(breakOf)
  })
}
