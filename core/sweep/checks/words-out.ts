import { type AtWidth, type Mark, seen, type WidthCheck } from '../check'
import { called, calledFirst, px } from '#core/blocks/called'
import { type Fact, passesBy, positionAt } from '../facts'
import { type Box, lettersOf, type WordsRead } from '../reading'

/** Px by which letters may reach out: they do not fill their line. */
const SPARE = 2

/** How far letters reach out of a box, px, in the direction in which they reach furthest. */
export function reachesOut({ lines, size }: WordsRead, box: Box): number {
  let by = 0
  for (const line of lines) {
    const { left, top, right, bottom } = lettersOf(line, size)
    by = Math.max(by, right - box.right, box.left - left, bottom - box.bottom, box.top - top)
  }
  return by
}

/** True for a box that does not grow with its words: of a height of its own, or as wide as it is let, with a table in it. */
const isFixed = ({ block, values }: Fact, range: number) => {
  const { height, aspect } = values[range]!
  return height !== undefined || aspect !== undefined || block.kind === 'table'
}

/** The innermost box that words are seen to stand in: one with a ground, an edge or a height of its own; the block itself first. */
export function standsIn(id: string, fact: Fact, { reading, facts, range }: AtWidth): string | undefined {
  const chain = [...fact.holders.map((one) => one.id), id]
  return chain.findLast((one) => {
    const [read, about] = [reading.blocks.get(one), facts.get(one)]
    return read && about && (read.paints === true || isFixed(about, range))
  })
}

/** Words that reach out of a box of fixed height, or the ground that they stand on. */
export const wordsOut: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (!read.words || passesBy(fact.holders, at.facts, at.range)) continue
      if (fact.values[at.range]!.rows === 'scroll') continue
      const place = positionAt(fact, at.range)
      const within = standsIn(id, fact, at)
      const around = within === undefined ? undefined : at.reading.blocks.get(within)
      // What is held over an edge is put there; what is cut off is found as such.
      if (!around || (within !== id && (place === 'held' || place === 'backdrop')) || around.cuts.across || around.cuts.down)
        continue
      const by = reachesOut(read.words, around.box)
      if (by > SPARE) yield { block: id, ...(within === id ? {} : { beside: within! }), by }
    }
  },
  say: ({ fact, beside, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} reaches ${px(by)} out of ${beside ? called(beside, language) : 'its box'}.`,
    why: `At ${width} px its words need more room than ${beside ? 'the ground that they stand on has' : 'their box has'}.`,
  }),
}
