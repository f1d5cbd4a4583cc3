import type { Block } from '#core/blocks/index'
import type { MotionOf } from '#core/motion/motion'
import type { Box } from '#core/motion/scene'
import { coveredBy, gapOf, travelOf } from '#core/motion/travel'
import type { StageView } from '../../live/frames'
import type { Moving } from '../../live/moving'

type Said = { well: boolean; sentence: string }

const px = (value: number) => String(Math.round(value)).replace('-', '−')

/** What parallax comes to in a view: how far the block travels, what it lays itself over, and the gap that it leaves. */
export function parallaxFindings(
  view: StageView,
  moving: Moving,
  own: { block: Block; box: Box },
  motion: MotionOf<'parallax'>,
): Said[] {
  const travel = travelOf(motion, own.box, moving.scene)
  const said: Said[] = [{ well: true, sentence: `${px(travel.least)} to ${px(travel.most)} px` }]
  const element = view.frame.find(own.block.id)
  const parent = element?.parentElement
  if (!element || !parent) return said
  const shift = element.getBoundingClientRect().top - own.box.top
  const boxOf = (one: Element): Box => {
    const { left, top, width, height } = one.getBoundingClientRect()
    return { left, top: top - shift, width, height }
  }
  const backdrop = view.frame.document.defaultView!.getComputedStyle(element).position === 'absolute'
  const gap = gapOf(motion, own.box, boxOf(parent), moving.scene)
  if (gap > 1)
    said.push({ well: false, sentence: `it leaves ${px(gap)} px of what holds it free. Zoom the picture, or let it move less.` })
  if (!backdrop) {
    const covered = Math.max(
      0,
      ...[...parent.children].filter((one) => one !== element).map((one) => coveredBy(own.box, travel, boxOf(one))),
    )
    if (covered > 1)
      said.push({
        well: false,
        sentence: `it lays itself over its neighbours by ${px(covered)} px. Give it more space, or let it move less.`,
      })
  }
  return said
}
