import { pixels } from '#core/values/length'
import { APART } from '../checks/close-targets'
import { LEAST_SIZE } from '../checks/small-words'
import { LEAST_TARGET } from '../checks/small-target'
import { TOUCH } from '../checks/touch-target'
import type { RemedyMaker } from './remedy'

/** What is too small to read or to press comes to its least size. */
export const larger: RemedyMaker = ({ finding: { kind }, block, around }) => {
  const high = (px: number) => [{ label: `${px} px high`, block: block.id, values: { minHeight: pixels(px) } }]
  if (kind === 'smallWords') return [{ label: `${LEAST_SIZE} px`, block: block.id, values: { size: pixels(LEAST_SIZE) } }]
  if (kind === 'touchTarget') return high(TOUCH)
  if (kind === 'smallTarget') return [...high(LEAST_TARGET), ...apart(around, LEAST_TARGET)]
  return kind === 'closeTargets' ? [...apart(around, APART), ...high(TOUCH)] : []
}

const apart = (around: Parameters<RemedyMaker>[0]['around'], px: number) =>
  around
    .slice(0, 1)
    .map(({ block }) => ({ label: `${px} px apart`, block: block.id, values: { gap: pixels(px), rowGap: pixels(px) } }))
