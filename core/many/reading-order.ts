type Box = { left: number; top: number; width: number; height: number }

/** How far boxes may lie over each other and still follow, px. */
const SLACK = 2

/** True if the second box is seen before the first: wholly above it, or left of it in the same row. */
function isBefore(second: Box, first: Box): boolean {
  if (second.top + second.height <= first.top + SLACK) return true
  const beside = second.top < first.top + first.height - SLACK && first.top < second.top + second.height - SLACK
  return beside && second.left + second.width <= first.left + SLACK
}

/**
 * The first two neighbours in reading order that are seen the other way round (WCAG 2.2, 1.3.2 and 2.4.3), in a language
 * that is written from left to right.
 * @param boxes in reading order; those without size are not seen
 * @returns their indexes, the one that is read first at the front; nothing where both orders are one
 */
export function seenBefore(boxes: readonly Box[]): [first: number, second: number] | undefined {
  const seen = boxes.flatMap((box, n) => (box.width > 0 && box.height > 0 ? [n] : []))
  for (let n = 1; n < seen.length; n++) {
    const [first, second] = [seen[n - 1]!, seen[n]!]
    if (isBefore(boxes[second]!, boxes[first]!)) return [first, second]
  }
  return undefined
}
