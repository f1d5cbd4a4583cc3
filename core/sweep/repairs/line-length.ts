import { isContainer } from '#core/blocks/tree'
import type { RemedyMaker } from './remedy'

/** Lines of a length that is read with ease, or of equal lengths. */
export const lineLength: RemedyMaker = ({ finding: { kind }, block }) => {
  if (kind === 'longLines' && !isContainer(block))
    return [72, 64, 56].map((ch) => ({
      label: `${ch} letters at most`,
      block: block.id,
      values: { maxWidth: { value: ch, unit: 'ch' as const } },
    }))
  if (kind === 'loneWord') return [{ label: 'Lines of equal length', block: block.id, values: { lines: 'balance' as const } }]
  return []
}
