import { isContainer } from '#core/blocks/tree'
import type { RemedyMaker } from './remedy'

/** The block before the last of each card takes the rest of its height, so that what the cards end with stands on one line. */
export const endsOnOneLine: RemedyMaker = ({ block }) => {
  if (!isContainer(block)) return []
  const before = block.children.flatMap((card) => {
    if (card.hidden || !isContainer(card)) return []
    const shown = card.children.filter((one) => !one.hidden)
    return shown.at(-2) ?? []
  })
  const [first, ...more] = before.map((one) => ({ block: one.id, values: { grow: true } }))
  return first ? [{ label: 'End on one line', ...first, others: more }] : []
}
