import { FIGURE } from '#core/sweep/figure'
import type { Box, WordsRead } from '#core/sweep/reading'

/** The word that needs most room of those that share one, and its width on one line by the size of its letters. */
type Widest = { room: Element; range: Range; letters: number }

/** What is kept of a block's words from one width to the next. */
export type KeptWords = {
  style: CSSStyleDeclaration
  /** Each text of the block: a range over elements would have their boxes as well. */
  texts: Range[]
  characters: number
  last: [before: Range, last: Range] | null
  /** The widest word of each box that sets lines of its own: the entries of a list, the cells of a table. */
  widest: Widest[]
  figures: { range: Range; text: string }[]
  /** As it was read last: where neither its box nor its letters changed, its lines have not. */
  lines: { width: number; height: number; size: number; at: Box; read: WordsRead } | null
}

/**
 * What no line may end in: letters between spaces at which lines end, hyphens before letters, dashes, slashes before
 * letters, soft hyphens. No-break spaces are none (UAX 14, GL), and a figure after a hyphen or slash goes on (as Chromium
 * does it for negative figures and dates).
 */
const WORD = /(?:[^ \t\n\r\f\u00ad\u200b\-‐–—/]|[/-](?=\d))+[-‐–—/]?/gu
/** A whole word, whatever it may be parted at. */
const WHOLE = /[^ \t\n\r\f\u200b]+/gu
/** Letters from which a word can be parted. */
const LONG = 2
/** Share of the letters' size by which the parts of a word that ends in a hyphen are longer than the word. */
const HYPHEN = 0.12

/** Share of the letters' size by which a room is hardly wider than its words: it is as wide as they are. */
const TIGHT = 0.35

/** Px below which a box of letters is none: where a word begins, an engine may leave a sliver at the end of the line before. */
const SLIVER = 0.5

/** Displays that set no lines of their own. */
const INLINE = /^(inline|contents)$/

/** Cells of a table. */
const CELL = /^T[DH]$/

/** Words that are parted by the rules of most languages that a browser has rules for. */
const PARTED = 'representation international Beobachtungsnachmittage communication'
const hyphenating = new WeakMap<Document, boolean>()

/** Whether the engine parts words by the rules of a document's language, for which it needs to have them. */
function hyphenates(root: Document): boolean {
  let known = hyphenating.get(root)
  if (known === undefined) {
    const trial = root.createElement('div')
    trial.textContent = PARTED
    trial.style.cssText = 'position:absolute;width:1px;font:16px/20px serif;hyphens:auto;overflow-wrap:normal;white-space:normal'
    root.body.append(trial)
    known = trial.getBoundingClientRect().height > 20 * PARTED.split(' ').length
    trial.remove()
    hyphenating.set(root, known)
  }
  return known
}

/** Prepares the words of a block to be read at many widths; none for one that has no words of its own. */
export function prepareWords(element: HTMLElement, view: Window): KeptWords | null {
  const root = element.ownerDocument
  // Words belong to the innermost block; what is drawn has none.
  if (element.querySelector('[data-block]') || /^(IMG|svg|HR|VIDEO|INPUT|IFRAME)$/.test(element.tagName)) return null
  const texts: Text[] = []
  const walker = root.createTreeWalker(element, 4 /* NodeFilter.SHOW_TEXT */)
  for (let node = walker.nextNode(); node; node = walker.nextNode())
    if ((node as Text).data.trim() !== '' && !(node.parentElement as HTMLElement).closest('option, script, style'))
      texts.push(node as Text)
  if (texts.length === 0) return null
  const style = view.getComputedStyle(element)
  const size = Number.parseFloat(style.fontSize)
  const found = (pattern: RegExp) =>
    texts.flatMap((text) =>
      [...text.data.matchAll(pattern)].map((match) => {
        const range = root.createRange()
        range.setStart(text, match.index)
        range.setEnd(text, match.index + match[0].length)
        return { text: match[0], range, parent: text.parentElement! }
      }),
    )
  const rooms = new Map<Element, Element>()
  const roomOf = (parent: Element): Element => {
    const known = rooms.get(parent)
    if (known) return known
    let room = parent
    while (room !== element && INLINE.test(view.getComputedStyle(room).display)) room = room.parentElement!
    rooms.set(parent, room)
    return room
  }
  const widest = new Map<Element, Widest>()
  for (const { text, range, parent } of found(WORD)) {
    if (text.length < LONG) continue
    const room = roomOf(parent)
    const letters = sumOf(range.getClientRects()) / size
    if (letters > (widest.get(room)?.letters ?? 0)) widest.set(room, { room, range, letters })
  }
  const whole = found(WHOLE).slice(-2)
  return {
    style,
    texts: texts.map((text) => {
      const range = root.createRange()
      range.selectNodeContents(text)
      return range
    }),
    characters: texts.reduce((sum, one) => sum + one.data.replace(/\s+/g, ' ').trim().length, 0),
    last: whole.length > 1 ? [whole[0]!.range, whole[1]!.range] : null,
    widest: [...widest.values()],
    figures: found(FIGURE),
    lines: null,
  }
}

/** Reads the words of a block, which has a box. */
export function readWords(element: HTMLElement, one: KeptWords, box: Box): WordsRead {
  const size = Number.parseFloat(one.style.fontSize)
  const [width, height] = [box.right - box.left, box.bottom - box.top]
  const before = one.lines
  if (before && before.size === size && near(before.width, width) && near(before.height, height))
    return moved(before.read, box.left - before.at.left, box.top - before.at.top)
  const lines = linesOf(one.texts.flatMap((text) => [...text.getClientRects()]))
  const read: WordsRead = { lines, size, characters: one.characters, lone: false, ...fit(element, one, box, size, lines) }
  if (lines.length > 1) {
    if (one.last) {
      const [previous, last] = one.last.map((range) => range.getClientRects()[0])
      read.lone = !!previous && !!last && last.top >= previous.bottom - size * 0.5
    }
    const parted = one.figures.find(({ range }) => rowsOf(range.getClientRects()) > 1)
    if (parted) read.parted = parted.text
  }
  one.lines = { width, height, size, at: box, read }
  return read
}

/** Whether the lines fit their box, and the widest word of each room that room. */
function fit(
  element: HTMLElement,
  { widest }: KeptWords,
  box: Box,
  size: number,
  lines: readonly Box[],
): Pick<WordsRead, 'over' | 'broken' | 'spare'> {
  let [over, broken] = [0, false]
  const spare = [Infinity]
  // A table gives a cell what it needs, as long as others have more.
  let inCells = widest.some(({ room }) => CELL.test(room.tagName)) ? -Infinity : Infinity
  // Cells of a table have rooms of their own.
  if (widest.length < 2) for (const { left, right } of lines) over = Math.max(over, right - box.right, box.left - left)
  for (const { room, range, letters } of widest) {
    const rects = [...range.getClientRects()].filter((one) => one.width >= SLIVER)
    const around = room === element ? box : room.getBoundingClientRect()
    const needed = letters * size
    const inside = insideOf(room, around)
    if (CELL.test(room.tagName)) inCells = Math.max(inCells, inside - needed)
    else spare.push(lines.length === 1 && inside - needed < size * TIGHT ? spareAround(room, needed) : inside - needed)
    if (rowsOf(rects) > 1) {
      // One that is hyphenated by the rules of its language is as it is meant to be.
      // A soft hyphen that is seen belongs to the part after it, on the line before.
      const mayPart = hyphenates(room.ownerDocument) || element.textContent.includes('\u00ad')
      if (mayPart && sumOf(rects) > needed + size * HYPHEN) continue
      broken = true
      over = Math.max(over, needed - inside, 1)
    } else if (rects[0]) over = Math.max(over, rects[0].right - around.right, around.left - rects[0].left)
  }
  return { over: over > 1 || broken ? over : 0, broken, spare: Math.min(...spare, inCells) }
}

/** The width of an element within its paddings, px. */
function insideOf(element: Element, { left, right }: { left: number; right: number }): number {
  const { paddingLeft, paddingRight } = element.ownerDocument.defaultView!.getComputedStyle(element)
  return right - left - Number.parseFloat(paddingLeft) - Number.parseFloat(paddingRight)
}

/** Px that the first holder around a room has more than a word needs, where the room is just as wide as its words. */
function spareAround(room: Element, needed: number): number {
  let [spare, element] = [0, room.parentElement]
  for (; element && spare < 1; element = element.parentElement) spare = insideOf(element, element.getBoundingClientRect()) - needed
  return spare
}

/** Rows that boxes of letters stand in: one begins where the last one ends. */
function rowsOf(rects: Iterable<DOMRect>): number {
  let [rows, bottom] = [0, -Infinity]
  for (const one of rects) {
    if (one.width < SLIVER) continue
    if (one.top >= bottom - one.height / 2) rows++
    bottom = Math.max(bottom, one.bottom)
  }
  return rows
}

const near = (a: number, b: number) => Math.abs(a - b) < 0.01

const sumOf = (rects: Iterable<{ width: number }>): number => {
  let sum = 0
  for (const { width } of rects) sum += width
  return sum
}

/** The lines that boxes of letters make: those that share more than half of their height are one, but for cells of a table. */
function linesOf(rects: readonly DOMRect[]): Box[] {
  const lines: Box[] = []
  for (const { left, top, right, bottom } of rects) {
    if (right - left < SLIVER) continue
    const same = lines.find(
      (one) =>
        Math.min(one.bottom, bottom) - Math.max(one.top, top) > Math.min(one.bottom - one.top, bottom - top) / 2 &&
        Math.max(one.left, left) - Math.min(one.right, right) < bottom - top,
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
