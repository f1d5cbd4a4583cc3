import type { Box, BlockRead, Reading, WordsRead } from '#core/sweep/reading'

/**
 * Reads the boxes and lines of a page at the width that its window has. It needs nothing but the document, so that it can
 * be run in any frame.
 */
export type Reader = { read: (width: number) => Reading }

/** The word that needs most room in a block, and its width on one line by the size of its letters. */
type Widest = { range: Range; letters: number }
/** What is kept of a block from one width to the next. */
type Kept = {
  style: CSSStyleDeclaration
  /** Texts of its words, in order; none for a block that has no words. */
  texts: Text[]
  all: Range | null
  characters: number
  last: [before: Range, last: Range] | null
  widest: Widest | null
  /** As it was read last: where neither its box nor its letters changed, its lines have not. */
  lines: { width: number; height: number; size: number; at: Box; read: WordsRead } | null
}

/** Where words may be parted: at spaces, after hyphens and slashes, at soft hyphens. */
const WORD = /[^\s\u00ad\u200b\-‐–—/]+[-‐–—/]?/gu
/** A whole word, whatever it may be parted at. */
const WHOLE = /[^\s\u200b]+/gu
/** Overflow that shows nothing of what goes past. */
const CUT = /hidden|clip/
/** Letters from which a word can be wider than anything that it stands in. */
const LONG = 4
/** Share of the letters' size by which the parts of a word that ends in a hyphen are longer than the word. */
const HYPHEN = 0.12

/** Makes a reader of a document, which keeps what does not change from one width to the next. */
export function createReader(root: Document): Reader {
  const view = root.defaultView!
  const kept = new WeakMap<Element, Kept>()
  const elements = [...root.querySelectorAll<HTMLElement>('[data-block]')]

  function keptOf(element: HTMLElement): Kept {
    let one = kept.get(element)
    if (!one) kept.set(element, (one = prepare(element)))
    return one
  }

  function prepare(element: HTMLElement): Kept {
    const style = view.getComputedStyle(element)
    const texts: Text[] = []
    const none: Kept = { style, texts, all: null, characters: 0, last: null, widest: null, lines: null }
    // Words belong to the innermost block; what is drawn has none.
    if (element.querySelector('[data-block]') || /^(IMG|svg|HR|VIDEO|INPUT|IFRAME)$/.test(element.tagName)) return none
    const walker = root.createTreeWalker(element, 4 /* NodeFilter.SHOW_TEXT */)
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if ((node as Text).data.trim() !== '' && !(node.parentElement as HTMLElement).closest('option, script, style'))
        texts.push(node as Text)
    if (texts.length === 0) return none
    const all = root.createRange()
    all.setStartBefore(texts[0]!)
    all.setEndAfter(texts.at(-1)!)
    const found = (pattern: RegExp) =>
      texts.flatMap((text) => [...text.data.matchAll(pattern)].map((match) => ({ text, at: match.index, word: match[0] })))
    const words = found(WORD)
    const rangeOf = ({ text, at, word }: (typeof words)[number]) => {
      const range = root.createRange()
      range.setStart(text, at)
      range.setEnd(text, at + word.length)
      return range
    }
    const size = Number.parseFloat(style.fontSize)
    let widest: Widest | null = null
    for (const one of words) {
      if (one.word.length < LONG) continue
      const range = rangeOf(one)
      const letters = sumOf(range.getClientRects()) / size
      if (!widest || letters > widest.letters) widest = { range, letters }
    }
    const characters = texts.reduce((sum, one) => sum + one.data.replace(/\s+/g, ' ').trim().length, 0)
    const whole = found(WHOLE).slice(-2)
    const last = whole.length > 1 ? (whole.map(rangeOf) as [Range, Range]) : null
    return { ...none, all, characters, widest, last }
  }

  function wordsOf(element: HTMLElement, one: Kept, box: Box): WordsRead | undefined {
    if (!one.all) return undefined
    const size = Number.parseFloat(one.style.fontSize)
    const [width, height] = [box.right - box.left, box.bottom - box.top]
    const before = one.lines
    if (before && before.size === size && near(before.width, width) && near(before.height, height))
      return moved(before.read, box.left - before.at.left, box.top - before.at.top)
    const lines = linesOf(one.all.getClientRects())
    const read: WordsRead = { lines, size, characters: one.characters, lone: false, ...fit(element, one, box, size) }
    if (lines.length > 1 && one.last) {
      const [previous, last] = one.last.map((range) => range.getClientRects()[0])
      read.lone = !!previous && !!last && last.top >= previous.bottom - size * 0.5
    }
    one.lines = { width, height, size, at: box, read }
    return read
  }

  /** Whether the widest word fits. */
  function fit(element: HTMLElement, { widest, style }: Kept, box: Box, size: number): Pick<WordsRead, 'over' | 'broken'> {
    if (!widest) return { over: 0, broken: false }
    const rects = [...widest.range.getClientRects()].filter((one) => one.width > 0)
    const needs = widest.letters * size
    const rows = new Set(rects.map((one) => Math.round(one.top)))
    if (rows.size > 1) {
      // One that is hyphenated by the rules of its language is as it is meant to be.
      const hyphenated = sumOf(rects) > needs + size * HYPHEN
      const room = box.right - box.left - Number.parseFloat(style.paddingLeft) - Number.parseFloat(style.paddingRight)
      return { over: hyphenated ? 0 : Math.max(0, needs - room), broken: !hyphenated && needs > room + 0.5 }
    }
    if (element.scrollWidth <= element.clientWidth + 1 && element.clientWidth > 0) return { over: 0, broken: false }
    const rect = rects[0]
    const over = rect ? Math.max(0, rect.right - box.right, box.left - rect.left) : 0
    return { over: over > 1 ? over : 0, broken: false }
  }

  return {
    read(width) {
      const blocks = new Map<string, BlockRead>()
      for (const element of elements) {
        const rect = element.getBoundingClientRect()
        if ((rect.width === 0 && rect.height === 0) || !element.checkVisibility({ contentVisibilityAuto: false })) continue
        const box: Box = { left: rect.left, top: rect.top, right: rect.right, bottom: rect.bottom }
        const one = keptOf(element)
        const words = wordsOf(element, one, box)
        const { overflowX, overflowY } = one.style
        const cuts = { across: CUT.test(overflowX), down: CUT.test(overflowY) }
        blocks.set(element.dataset.block!, { box, cuts, ...(words ? { words } : {}) })
      }
      return { width, blocks }
    },
  }
}

const near = (a: number, b: number) => Math.abs(a - b) < 0.01

const sumOf = (rects: Iterable<{ width: number }>): number => {
  let sum = 0
  for (const { width } of rects) sum += width
  return sum
}

/** The lines that boxes of letters make: those that share more than half of their height are one. */
function linesOf(rects: DOMRectList): Box[] {
  const lines: Box[] = []
  for (const { left, top, right, bottom } of rects) {
    if (right - left < 0.5) continue
    const same = lines.find(
      (one) => Math.min(one.bottom, bottom) - Math.max(one.top, top) > Math.min(one.bottom - one.top, bottom - top) / 2,
    )
    if (!same) lines.push({ left, top, right, bottom })
    else {
      same.left = Math.min(same.left, left)
      same.right = Math.max(same.right, right)
      same.top = Math.min(same.top, top)
      same.bottom = Math.max(same.bottom, bottom)
    }
  }
  return lines
}

/** The same words at another place. */
function moved(read: WordsRead, x: number, y: number): WordsRead {
  if (x === 0 && y === 0) return read
  return {
    ...read,
    lines: read.lines.map(({ left, top, right, bottom }) => ({
      left: left + x,
      top: top + y,
      right: right + x,
      bottom: bottom + y,
    })),
  }
}
