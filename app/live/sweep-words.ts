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
    /** How some words can be read at a width; those that stand over nothing uneven are left out. */
    const readAt = async (asked: readonly Place[], width: number) => {
      const height = viewportHeightFor(width)
      hidden.frame.document.documentElement.style.setProperty('--vh', `${height / 100}px`)
      hidden.resize(width, height)
      const view = { index: 0, width, scale: 1, frame: hidden.frame, gaps: new Map<string, number>() }
      const read = new Map<Place, { ratio: number; needed: number }>()
      for (const place of asked) {
        if (signal.aborted) break
        // A picture that cannot be had is no ground to be measured.
        const found = await readOver(site, place, view).catch(() => undefined)
        if (found) read.set(place, found)
      }
      return read
    }
    const breaks = widthsAtBreakpoints(site.breakpoints)
    const over = new Set<Place>()
    for (const width of [FIRST, ...breaks])
      for (const place of (
        await readAt(
          places.filter((one) => !over.has(one)),
          width,
        )
      ).keys())
        over.add(place)
    const worst = new Map<Place, Omit<WordsOver, 'block' | 'ranges'>>()
    const run = sweep(SWEPT.from, SWEPT.to, STEP, [...breaks, ...site.views])
    let share = 0
    let next = run.next()
    while (!next.done) {
      const width = next.value
      const read = await readAt([...over], width)
      if (signal.aborted) return undefined
      const fails = new Set<string>()
      for (const [place, { ratio, needed }] of read) {
        if (ratio < needed) fails.add(place.block.id)
        const least = worst.get(place)
        if (!least || ratio / needed < least.ratio / least.needed) worst.set(place, { ratio, needed, worst: width })
      }
      // Widths between two steps come last, so it only ever grows.
      onProgress((share = Math.max(share, Math.min(0.99, (width - SWEPT.from) / (SWEPT.to - SWEPT.from)))))
      next = run.next(fails)
    }
    const held = next.value
    const found = [...worst].map(([{ block }, least]): WordsOver => {
      const ranges = held.filter((one) => one.key === block.id).map(({ from, to }) => ({ from, to }))
      return { block: block.id, ...least, ranges }
    })
    onProgress(1)
    return found.sort((a, b) => a.ratio / a.needed - b.ratio / b.needed)
  } finally {
    hidden.close()
  }
}
