import type { Finding, Range } from '#core/analysis/finding'
import { calledFirst } from '#core/blocks/called'
import type { Page, Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'

/**
 * Words over something uneven: how they can be read where they are read worst, and the widths at which that is not enough.
 */
export type WordsOver = {
  block: string
  /** Contrast at its least, and what is needed. */
  ratio: number
  needed: number
  /** The width at which it is least, px, and the scroll position where it is so only along a motion. */
  worst: number
  scroll?: number
  ranges: Range[]
}

/** What is to be said of words over pictures. */
export type OverFinding = Finding<'wordsOver'> & { page: string; block: string; fault: boolean; worst: number }

/** What was found of the words of a page, in order; those that can be read everywhere are no findings. */
export function overFindings(site: Site, page: Page, all: readonly WordsOver[]): OverFinding[] {
  return all.flatMap(({ block, ratio, needed, worst, scroll, ranges }): OverFinding[] => {
    const stands = ranges.length > 0 ? findBlock(site, block) : undefined
    if (!stands) return []
    const where = scroll === undefined ? `${worst} px` : `${worst} px, ${scroll} px down the page`
    return [
      {
        kind: 'wordsOver',
        page: page.id,
        block,
        fault: true,
        ranges,
        worst,
        sentence: `${calledFirst(stands, site.language)} has ${ratio.toFixed(1)} : 1 over what is behind it at ${where}; ${needed} : 1 is needed.`,
        why: `That is its worst patch of half a letter’s width${scroll === undefined ? '' : ', while the page is scrolled'}.`,
      },
    ]
  })
}
