import type { Box, Reading } from './reading'

/** Px by which what an engine says in whole px may be off. */
const WHOLE = 1
/** Px by which a side may stand elsewhere than straight between: what an engine rounds. */
const ROUNDED = 0.1
/** Px by which the height of a line may be off: engines keep lengths in 64ths of a px. */
const PER_LINE = 1 / 64
/** Px by which the size of letters may be off: figures are printed in hundredths. */
const OF_SIZE = 0.02

/** Share of the size of letters by which a word may be longer or shorter than even, since engines set letters at whole px. */
const OF_WORD = 0.2

/** True where words have room at all widths, or at none, by more than their letters may be off, px. */
const hasOrLacks = (spare: readonly number[], off: number): boolean => Math.min(...spare) >= off || Math.max(...spare) <= -off

type Down = readonly [top: number, bottom: number]

/** Tells of three readings, the narrowest first, whether all moves evenly from one to the next. */
export type IsStraight = (before: Reading, between: Reading, after: Reading) => boolean

/**
 * Makes what tells that nothing happens between three widths but that boxes, lines and letters move or grow evenly: the
 * reading of the second is just what lies between those of the others. What is at two of the widths then holds at all between
 * them, and what is at neither nowhere, but for what the rounding of letters makes of a few px.
 *
 * Where words flow, a line more or less moves what is below, and nothing else comes of it: there, sides of boxes have to move
 * evenly, and the widest word to have room at all three.
 * @param isFlowing tells of a block, by its id, whether it is where words flow
 * @param sectionOf the id of the section that a block stands in: what is above that moves all of it, and nothing in it
 */
export const straightWhere =
  (isFlowing: (id: string) => boolean, sectionOf: (id: string) => string | undefined): IsStraight =>
  (before, between, after) => {
    if (before.blocks.size !== between.blocks.size || after.blocks.size !== between.blocks.size) return false
    const share = (between.width - before.width) / (after.width - before.width)
    const isBetween = (a: number, b: number, c: number, off: number) => Math.abs(a + (c - a) * share - b) <= off
    const isAcross = (a: Box, b: Box, c: Box, off: number) =>
      isBetween(a.left, b.left, c.left, ROUNDED + off) && isBetween(a.right, b.right, c.right, ROUNDED + off)
    let lines = 0
    let tops: readonly number[] = []
    const isDown = (...boxes: readonly [Box, Box, Box]) => {
      const off = ROUNDED + lines * PER_LINE
      const [a, b, c] = boxes.map(({ top, bottom }, n) => [top - tops[n]!, bottom - tops[n]!] as const) as [Down, Down, Down]
      return isBetween(a[0], b[0], c[0], off) && isBetween(a[1], b[1], c[1], off)
    }
    for (const [id, { box, words }] of between.blocks) {
      const [a, c] = [before.blocks.get(id), after.blocks.get(id)]
      if (!a || !c || !a.words !== !words || !c.words !== !words) return false
      // Letters of one size are the same at every px.
      const isSized = words !== undefined && (a.words!.size !== words.size || c.words!.size !== words.size)
      const off = isSized ? OF_WORD * words.size : 0
      if (words && !isBetween(a.words!.size, words.size, c.words!.size, OF_SIZE)) return false
      const section = sectionOf(id)
      tops = [before, between, after].map((one) => (section === undefined ? 0 : (one.blocks.get(section)?.box.top ?? 0)))
      if (isFlowing(id)) {
        if (words && !hasOrLacks([a.words!.spare, words.spare, c.words!.spare], off)) return false
      } else {
        if (words && (a.words!.lines.length !== words.lines.length || c.words!.lines.length !== words.lines.length)) return false
        lines += words?.lines.length ?? 0
        if (!isDown(a.box, box, c.box)) return false
      }
      if (!isAcross(a.box, box, c.box, off)) return false
    }
    for (const [id, by] of between.carried ?? []) {
      const [a, c] = [before.carried?.get(id), after.carried?.get(id)]
      if (a === undefined || c === undefined || !isBetween(a, by, c, WHOLE)) return false
    }
    return isBetween(before.past?.by ?? 0, between.past?.by ?? 0, after.past?.by ?? 0, WHOLE)
  }

/** The same where nothing is known of how a page is laid out. */
export const isStraight: IsStraight = straightWhere(
  () => false,
  () => undefined,
)
