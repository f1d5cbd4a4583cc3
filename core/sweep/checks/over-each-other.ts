import { type AtWidth, type Mark, seen, type WidthCheck } from '../check'
import { called, calledFirst, px } from '#core/blocks/called'
import { isLaidOver, isSeenInTurn } from '../facts'
import { type Box, lettersOf, overlapOf } from '../reading'

type Lines = { id: string; nth: number; top: number; bottom: number; lines: Box[] }

/** Lines of words, as high as their letters, of all blocks that are not laid over others on purpose. */
function linesOf(at: AtWidth): Lines[] {
  return [...seen(at)]
    .flatMap(({ id, read: { words }, fact }, nth): Lines[] => {
      if (!words?.lines.length || isLaidOver(fact, at.facts, at.breakpoints, at.range)) return []
      const lines = words.lines.map((line) => lettersOf(line, words.size))
      return [{ id, nth, top: lines[0]!.top, bottom: Math.max(...lines.map((one) => one.bottom)), lines }]
    })
    .sort((a, b) => a.top - b.top)
}

/** Words that lie over other words. */
export const overEachOther: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    const all = linesOf(at)
    for (const [n, one] of all.entries())
      for (let m = n + 1; m < all.length && all[m]!.top < one.bottom; m++) {
        const other = all[m]!
        if (isSeenInTurn(at.facts.get(one.id)!, at.facts.get(other.id)!)) continue
        let by = 0
        for (const a of one.lines)
          for (const b of other.lines) {
            const { x, y } = overlapOf(a, b)
            if (x > 1 && y > 1) by = Math.max(by, Math.min(x, y))
          }
        const [before, after] = one.nth < other.nth ? [one, other] : [other, one]
        if (by > 0) yield { block: after.id, beside: before.id, by }
      }
  },
  say: ({ fact, beside, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} lies over ${beside ? called(beside, language) : 'other words'}.`,
    why: `At ${width} px their letters share ${px(by)}.`,
  }),
}
