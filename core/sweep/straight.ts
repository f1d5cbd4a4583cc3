import type { Box, Reading, WordsRead } from './reading'

/** Px by which what an engine says in whole px may be off. */
const WHOLE = 1

/** Px by which a side may stand elsewhere than straight between: what an engine rounds. */
const ROUNDED = 0.1

/**
 * True where nothing happens between two widths but that boxes, lines and letters move or grow evenly: the reading between
 * them is just what lies between theirs. What is at neither end then comes nowhere between.
 */
export function isStraight(before: Reading, between: Reading, after: Reading): boolean {
  if (before.blocks.size !== between.blocks.size || after.blocks.size !== between.blocks.size) return false
  const share = (between.width - before.width) / (after.width - before.width)
  const isBetween = (a: number, b: number, c: number) => Math.abs(a + (c - a) * share - b) <= ROUNDED
  const isEven = (a: Box, b: Box, c: Box) =>
    isBetween(a.left, b.left, c.left) &&
    isBetween(a.right, b.right, c.right) &&
    isBetween(a.top, b.top, c.top) &&
    isBetween(a.bottom, b.bottom, c.bottom)
  const areEven = (a: WordsRead | undefined, b: WordsRead | undefined, c: WordsRead | undefined) => {
    if (!a || !b || !c) return a === b && b === c
    if (a.lines.length !== b.lines.length || c.lines.length !== b.lines.length) return false
    // Letters of another size are set anew at every px, each rounded for itself.
    if (a.size !== b.size || c.size !== b.size) return false
    return b.lines.every((line, n) => isEven(a.lines[n]!, line, c.lines[n]!))
  }
  for (const [id, one] of between.blocks) {
    const [a, c] = [before.blocks.get(id), after.blocks.get(id)]
    if (!a || !c || !isEven(a.box, one.box, c.box) || !areEven(a.words, one.words, c.words)) return false
  }
  for (const [id, by] of between.carried ?? []) {
    const [a, c] = [before.carried?.get(id), after.carried?.get(id)]
    if (a === undefined || c === undefined || Math.abs(a + (c - a) * share - by) > WHOLE) return false
  }
  return isBetween(before.past?.by ?? 0, between.past?.by ?? 0, after.past?.by ?? 0)
}
