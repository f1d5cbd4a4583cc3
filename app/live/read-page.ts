import type { Breakpoint } from '#core/grid/breakpoint'
import { rangeAt } from '#core/grid/columns'
import type { Box, BlockRead, Reading } from '#core/sweep/reading'
import type { Hides } from './opacities'
import { createCovers, type Paint, paintOf, type Standing } from './read-covers'
import { type KeptWords, prepareWords, readWords } from './read-words'

/** Reads the boxes and lines of a page at the width that its window has. */
export type Reader = { read: (width: number) => Reading }

/** What is kept of a block from one width to the next. */
type Kept = {
  style: CSSStyleDeclaration
  words: KeptWords | null
  /** How it is cut and painted, by the breakpoint that holds: between two of them it is the same. */
  by: Map<number, { cuts: BlockRead['cuts']; paint: Paint }>
}

/** Overflow that shows nothing of what goes past. */
const CUT = /hidden|clip/
/** Positions at which a block stays in the window. */
const STAYS = /fixed|sticky/

/**
 * Makes a reader of some sections of a document, which keeps what does not change from one width to the next.
 * @param breakpoints at which what blocks look like may change
 * @param hides tells of a picture whether anything is seen through a part of it
 */
export function createReader(
  root: Document,
  sections: readonly HTMLElement[],
  breakpoints: readonly Breakpoint[],
  hides: Hides,
): Reader {
  const view = root.defaultView!
  const kept = new WeakMap<Element, Kept>()
  const elements = sections.flatMap((one) => [one, ...one.querySelectorAll<HTMLElement>('[data-block]')])
  const cover = createCovers(root, hides)

  function keptOf(element: HTMLElement): Kept {
    let one = kept.get(element)
    if (!one) {
      one = { style: view.getComputedStyle(element), words: prepareWords(element, view), by: new Map() }
      kept.set(element, one)
    }
    return one
  }

  function looksOf(element: HTMLElement, one: Kept, range: number) {
    const known = one.by.get(range)
    if (known) return known
    let [opacity, stays] = [1, false]
    for (let around: Element | null = element; around; around = around.parentElement) {
      const { opacity: own, position } = view.getComputedStyle(around)
      opacity *= Number(own)
      stays ||= STAYS.test(position)
    }
    const { overflowX, overflowY } = one.style
    const looks = {
      cuts: { across: CUT.test(overflowX), down: CUT.test(overflowY) },
      paint: paintOf(element, one.style, opacity, stays),
    }
    one.by.set(range, looks)
    return looks
  }

  return {
    read(width) {
      const range = rangeAt(breakpoints, width)
      const blocks = new Map<string, BlockRead>()
      const standing: Standing[] = []
      for (const element of elements) {
        const rect = element.getBoundingClientRect()
        if ((rect.width === 0 && rect.height === 0) || !element.checkVisibility({ contentVisibilityAuto: false })) continue
        const box: Box = { left: rect.left, top: rect.top, right: rect.right, bottom: rect.bottom }
        const one = keptOf(element)
        const words = one.words ? readWords(element, one.words, box) : undefined
        const { cuts, paint } = looksOf(element, one, range)
        const read: BlockRead = { box, cuts, paints: paint.any, ...(words ? { words } : {}) }
        const id = element.dataset.block!
        blocks.set(id, read)
        standing.push({ id, element, read, paint })
      }
      cover(standing, String(range))
      const by = Math.max(0, root.documentElement.scrollWidth - width)
      const block = by > 0 ? widestIn(root, width) : undefined
      return { width, blocks, past: { by, ...(block === undefined ? {} : { block }) } }
    },
  }
}

/** The innermost block that something stands in that makes the page wider than its window; the first section where none is. */
function widestIn(root: Document, width: number): string | undefined {
  let [most, found] = [0.5, undefined as Element | undefined]
  for (const element of root.body.querySelectorAll('*')) {
    const { left, right } = element.getBoundingClientRect()
    const by = Math.max(right - width, -left)
    if (by >= most) [most, found] = [by, element]
  }
  // What is drawn by a box beside its words, or reaches out of an element, makes a section wider than it is.
  found ??= [...root.querySelectorAll('.band')].find((one) => one.scrollWidth > one.clientWidth)
  return (found ?? root.querySelector('.band'))?.closest<HTMLElement>('[data-block]')?.dataset.block
}
