import type { Place } from '#core/site/tree'
import { type Box, boxOf, type StageView } from '../live/frames'
import { Dimensions } from './distances'
import { equalGaps } from './equal-gaps'

/**
 * Gaps that have become equal, while a block is dragged: drawn as dimension lines with an equals sign.
 * @param box where the block is, or would be; px of the screen
 */
export function EqualGaps({ view, place, box }: { view: StageView; place: Place; box: Box }) {
  const siblings = place.ancestors.at(-1)?.children ?? []
  const others = siblings
    .filter((one) => one.id !== place.block.id && one.style.base?.position !== 'backdrop')
    .flatMap((one) => boxOf(view, one.id) ?? [])
  const lines = equalGaps(box, others, view.scale)
  if (lines.length === 0) return null
  return (
    <svg aria-hidden data-equal-gaps={lines.length} className="pointer-events-none absolute inset-0 z-20 h-full w-full">
      <Dimensions view={view} lines={lines} sign="= " />
    </svg>
  )
}
