import { pixels } from '#core/values/length'
import { APART } from '../checks/close-targets'
import { LEAST_SIZE } from '../checks/small-words'
import { LEAST_TARGET } from '../checks/small-target'
import { TOUCH } from '../checks/touch-target'
import { isAlike } from '#core/many/chosen'
import type { Remedy, RemedyMaker } from './remedy'

/** What is too small to read or to press comes to its least size. */
export const larger: RemedyMaker = ({ finding: { kind }, block, around }) => {
  const high = (px: number): Remedy[] => {
    const values = { minHeight: pixels(px) }
    // Like ones beside it are as small: one press for all of them.
    const alike = (around[0]?.block.children ?? []).filter((one) => one.id !== block.id && isAlike(one, block))
    const others = alike.map((one) => ({ block: one.id, values }))
    const all = others.length > 0 ? [{ label: `All like it ${px} px high`, block: block.id, values, others }] : []
    return [...all, { label: `${px} px high`, block: block.id, values }]
  }
  if (kind === 'smallWords') return [{ label: `${LEAST_SIZE} px`, block: block.id, values: { size: pixels(LEAST_SIZE) } }]
  if (kind === 'touchTarget') return high(TOUCH)
  if (kind === 'smallTarget') return [...high(LEAST_TARGET), ...apart(around, LEAST_TARGET)]
  return kind === 'closeTargets' ? [...apart(around, APART), ...high(TOUCH)] : []
}

const apart = (around: Parameters<RemedyMaker>[0]['around'], px: number) =>
  around
    .slice(0, 1)
    .map(({ block }) => ({ label: `${px} px apart`, block: block.id, values: { gap: pixels(px), rowGap: pixels(px) } }))
