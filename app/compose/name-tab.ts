import type { StageView, Box } from '../live/frames'

/** Size of the name on a selection, px of the screen. */
export const TAB_HEIGHT = 18
/** Room between the tab and the marks around the selection, px. */
const MARKS = 3

type Size = { width: number; height: number }
const meets = (a: Box, b: Box) =>
  a.left < b.left + b.width && b.left < a.left + a.width && a.top < b.top + b.height && b.top < a.top + a.height

/**
 * Where the name on a selection stands: above it or below it, at its left or right end, or in its corner, wherever it
 * covers no words and does not leave the view. `undefined` where there is no such place; the tray says the name as well.
 * @param words boxes of lines of words, px of the screen
 */
export function placeOfTab(box: Box, tab: Size, view: Size, words: readonly Box[]): { left: number; top: number } | undefined {
  const start = Math.max(0, Math.min(box.left - MARKS, view.width - tab.width))
  const end = Math.max(0, Math.min(box.left + box.width + MARKS - tab.width, view.width - tab.width))
  const above = box.top - MARKS - tab.height
  const below = box.top + box.height + MARKS
  const inside = box.top + 1
  const places = [
    [start, above],
    [end, above],
    [start, below],
    [end, below],
    [end, inside],
    [start, inside],
    [end, box.top + box.height - tab.height - 1],
    // Beside the selection, where it does not fill its row.
    [box.left + box.width + MARKS + 2, box.top],
    [box.left - MARKS - 2 - tab.width, box.top],
  ] as const
  const found = places.find(([left, top]) => {
    const place: Box = { left, top, ...tab }
    if (left < 0 || top < 0 || left + tab.width > view.width || top + tab.height > view.height) return false
    return !words.some((one) => meets(one, place))
  })
  return found && { left: found[0], top: found[1] }
}

/** Boxes of the lines of words near a block, in its section and those beside it, px of the screen. */
export function wordsNear({ frame, scale }: StageView, block: string, box: Box): Box[] {
  const reach = { left: 0, width: Infinity, top: box.top - 40, height: box.height + 80 }
  const range = frame.document.createRange()
  const found: Box[] = []
  // The header and the footer stand apart from the sections between them.
  const bands = [...frame.document.querySelectorAll('.band')]
  const own = frame.find(block)
  const at = bands.findIndex((one) => one.contains(own))
  const sections = at < 0 ? [] : [bands[at - 1], bands[at], bands[at + 1]]
  for (const element of sections.flatMap((one) => (one ? [...one.querySelectorAll<HTMLElement>('[data-block]')] : []))) {
    const bounds = element.getBoundingClientRect()
    const whole = { left: bounds.left * scale, top: bounds.top * scale, width: bounds.width * scale, height: bounds.height * scale }
    if (!meets(whole, reach)) continue
    for (const node of element.childNodes) {
      if (node.nodeType !== node.TEXT_NODE && (node as HTMLElement).dataset?.block !== undefined) continue
      range.selectNodeContents(node)
      for (const line of range.getClientRects())
        found.push({ left: line.left * scale, top: line.top * scale, width: line.width * scale, height: line.height * scale })
    }
  }
  return found
}
