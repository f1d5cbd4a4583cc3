import { hasWords } from '#core/blocks/tree'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { WordsOver } from '#core/analysis/words-over'
import type { At } from '#core/motion/state'
import type { Page, Site } from '#core/site/schema'
import { findBlock, type Place } from '#core/site/tree'
import { visibleBlocks } from '#core/site/visible'
import { halved } from '#core/sweep/sweep'
import { SWEPT, widthsAtBreakpoints } from '#core/sweep/widths'
import { isFading, positionsOf } from '../along-motions'
import { openHiddenFrame } from '../hidden-frame'
import { measureMoving, putAt, putAtRest } from '../moving'
import { readOver, type Read } from '../words-over'

/** Px between the widths that are looked at first: what is behind words changes slowly between breakpoints. */
const STEP = 160
/** The width at which it is found out which words have something uneven behind them, besides those of breakpoints. */
const FIRST = 1280

type Running = {
  signal: AbortSignal
  /** Told how much is done, 0 to 1. */
  onProgress: (share: number) => void
}

/** How words can be read where it is worst at one width; the scroll position where that is not at rest. */
type AtWidth = Read & { scroll?: number }

const share = ({ ratio, needed }: Read) => ratio / needed
const worse = (a: AtWidth | undefined, b: AtWidth | undefined) => (a && (!b || share(a) <= share(b)) ? a : b)

/**
 * Measures all words of a page that stand over pictures and gradients, at rest and along all that moves, at widths from 280
 * to 2560 px: in steps, and to the px where what can be read becomes what cannot.
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
      const moving = measureMoving(site, page, view, height)
      // A picture that cannot be had is no ground to be measured.
      const readOne = (place: Place) => readOver(site, place, view).catch(() => undefined)
      const read = new Map<Place, AtWidth>()
      const along = new Map<string, { at: At; places: Place[] }>()
      for (const place of asked) {
        if (signal.aborted) return read
        const found = await readOne(place)
        if (found) read.set(place, found)
        const element = hidden.frame.find(place.block.id)
        for (const at of element ? positionsOf(element, moving, page) : [])
          if (!isFading(element!, moving, at)) {
            const key = JSON.stringify(at)
            const there = along.get(key)
            if (there) there.places.push(place)
            else along.set(key, { at, places: [place] })
          }
      }
      for (const { at, places: passing } of along.values()) {
        putAt(moving, at)
        for (const place of passing) {
          if (signal.aborted) break
          const { top, bottom } = hidden.frame.find(place.block.id)!.getBoundingClientRect()
          if (bottom <= at.scroll || top >= at.scroll + height) continue
          const found = await readOne(place)
          const worst = worse(read.get(place), found && { ...found, scroll: at.scroll })
          if (worst) read.set(place, worst)
        }
      }
      putAtRest(moving)
      return read
    }
    const breaks = widthsAtBreakpoints(site.breakpoints)
    const over = new Set<Place>()
    for (const width of [FIRST, ...breaks]) {
      const rest = places.filter((one) => !over.has(one))
      for (const place of (await readAt(rest, width)).keys()) over.add(place)
    }
    const worst = new Map<Place, AtWidth & { worst: number }>()
    const run = halved(SWEPT.from, SWEPT.to, STEP, [...breaks, ...site.views])
    let done = 0
    let next = run.next()
    while (!next.done) {
      const width = next.value
      const read = await readAt([...over], width)
      if (signal.aborted) return undefined
      const fails = new Set<string>()
      for (const [place, found] of read) {
        if (found.ratio < found.needed) fails.add(place.block.id)
        const least = worst.get(place)
        if (!least || share(found) < share(least)) worst.set(place, { ...found, worst: width })
      }
      // Widths between two steps come last, so it only ever grows.
      onProgress((done = Math.max(done, Math.min(0.99, (width - SWEPT.from) / (SWEPT.to - SWEPT.from)))))
      next = run.next(fails)
    }
    const held = next.value
    const found = [...worst].map(([{ block }, least]): WordsOver => {
      const ranges = held.filter((one) => one.key === block.id).map(({ from, to }) => ({ from, to }))
      return { block: block.id, ...least, ranges }
    })
    onProgress(1)
    return found.sort((a, b) => share(a) - share(b))
  } finally {
    hidden.close()
  }
}
