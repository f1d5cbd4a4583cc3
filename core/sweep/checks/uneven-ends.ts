import type { Container } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { called, px } from '#core/blocks/called'
import { type AtWidth, type Mark, seen, type WidthCheck } from '../check'
import { positionAt } from '../facts'
import { rowsOf } from '../rows'

/** Px by which ends may stand off one line: what is rounded. */
const LINE = 2

/** What cards are made of, so that only like ones are compared. */
const madeOf = ({ children }: Container, { reading }: AtWidth): string =>
  children.flatMap((one) => (reading.blocks.has(one.id) ? [one.kind] : [])).join(' ')

/** Where the button or link that a card ends with ends, px; nothing where it ends with something else. */
function endOf(card: Container, { reading, facts, range }: AtWidth): number | undefined {
  const last = card.children.findLast((one) => reading.blocks.has(one.id))
  const fact = last && facts.get(last.id)
  if (!last || !fact || (last.kind !== 'button' && last.kind !== 'link') || positionAt(fact, range) !== 'flow') return undefined
  return reading.blocks.get(last.id)!.box.bottom
}

/** Like cards side by side whose buttons stand on several lines. */
export const unevenEnds: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, fact } of seen(at)) {
      if (!isContainer(fact.block)) continue
      const cards = new Map(fact.block.children.filter(isContainer).map((one) => [one.id, one]))
      let by = 0
      for (const row of rowsOf(fact.block, at)) {
        const held = row.flatMap((one) => cards.get(one) ?? [])
        if (held.length < 2 || held.length < row.length || new Set(held.map((one) => madeOf(one, at))).size > 1) continue
        const ends = held.map((one) => endOf(one, at))
        if (ends.every((one) => one !== undefined)) by = Math.max(by, Math.max(...ends) - Math.min(...ends))
      }
      if (by > LINE) yield { block: id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `The buttons of ${called(fact, language)} stand on several lines, up to ${px(by)} apart.`,
    why: `At ${width} px its blocks are alike, and what they end with is not on one line.`,
  }),
}
