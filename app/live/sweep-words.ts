import { hasWords } from '#core/blocks/tree'
import type { Range } from '#core/analysis/finding'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Page, Site } from '#core/site/schema'
import { findBlock, type Place } from '#core/site/tree'
import { visibleBlocks } from '#core/site/visible'
import { sweep } from '#core/sweep/sweep'
import { SWEPT, widthsAtBreakpoints } from '#core/sweep/widths'
import { openHiddenFrame } from './hidden-frame'
import { readOver } from './words-over'

/** Px between the widths that are looked at first: what is behind words changes slowly between breakpoints. */
const STEP = 160
/** The width at which it is found out which words have something uneven behind them, besides those of breakpoints. */
const FIRST = 1280

/** Words over something uneven: how they can be read where they are read worst, and the widths at which that is not enough. */
export type WordsOver = { block: string; ratio: number; needed: number; worst: number; ranges: Range[] }

type Running = {
  signal: AbortSignal
  /** Told how much is done, 0 to 1. */
  onProgress: (share: number) => void
}

/**
 * Measures all words of a page that stand over pictures and gradients, at widths from 280 to 2560 px: in steps, and to the
 * px where what can be read becomes what cannot.
 * @returns those that are read worst first; nothing where it was given up
 */
export async function sweepWords(site: Site, page: Page, { signal, onProgress }: Running): Promise<WordsOver[] | undefined> {
  const places = visibleBlocks(page).flatMap(({ block }) => {
    const place = hasWords(block) ? findBlock(site, block.id) : undefined
    return place ? [place] : []
  })
  const hidden = await openHiddenFrame(site.language)
  try {
    await hidden.show(site, page)
    const read = async (place: Place, width: number) => {
      const height = viewportHeightFor(width)
      hidden.frame.document.documentElement.style.setProperty('--vh', `${height / 100}px`)
      hidden.resize(width, height)
      const view = { index: 0, width, scale: 1, frame: hidden.frame, gaps: new Map<string, number>() }
      // A picture that cannot be had is no ground to be measured.
      return readOver(site, place, view).catch(() => undefined)
    }
    const also = [...widthsAtBreakpoints(site.breakpoints), ...site.views]
    const over: Place[] = []
    for (const place of places) {
      if (signal.aborted) return undefined
      for (const width of [FIRST, ...widthsAtBreakpoints(site.breakpoints)])
        if (await read(place, width)) {
          over.push(place)
          break
        }
    }
    const found: WordsOver[] = []
    for (const [n, place] of over.entries()) {
      let least: Omit<WordsOver, 'block' | 'ranges'> | undefined
      const run = sweep(SWEPT.from, SWEPT.to, STEP, also)
      let next = run.next()
      while (!next.done) {
        if (signal.aborted) return undefined
        const width = next.value
        const here = await read(place, width)
        const share = here ? here.ratio / here.needed : Infinity
        if (here && (!least || share < least.ratio / least.needed)) least = { ratio: here.ratio, needed: here.needed, worst: width }
        next = run.next(new Set(share < 1 ? ['fails'] : []))
        onProgress((n + Math.min(0.99, width / SWEPT.to)) / over.length)
      }
      if (least) found.push({ block: place.block.id, ...least, ranges: next.value.map(({ from, to }) => ({ from, to })) })
    }
    onProgress(1)
    return found.sort((a, b) => a.ratio / a.needed - b.ratio / b.needed)
  } finally {
    hidden.close()
  }
}
