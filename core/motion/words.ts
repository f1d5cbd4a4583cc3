import { isTimed, type Line, type Motion, type MotionKind } from './motion'
import type { Pose } from './pose-schema'
import { furthest, type Scene, type Span } from './scene'
import type { Resting } from './state'

export const MOTION_NAMES: Record<MotionKind, string> = {
  parallax: 'Parallax',
  reveal: 'Reveal',
  scrub: 'Scrub',
  opening: 'On opening',
  loop: 'Loop',
  strip: 'Strip',
}

const short = (value: number) => String(Number(value.toFixed(2)))
export const lineInWords = ({ value, unit }: Line): string => `${short(value)}${unit === '%' ? ' %' : ' px'}`

/** What a pose changes first, from one state to another: `1 → 1.4`, `0 → 100 %`. */
function changeInWords(from: Pose, to: Pose): string {
  if ((from.scale ?? 1) !== (to.scale ?? 1)) return `${short(from.scale ?? 1)} → ${short(to.scale ?? 1)}`
  if ((from.opacity ?? 1) !== (to.opacity ?? 1)) return `${short((from.opacity ?? 1) * 100)} → ${short((to.opacity ?? 1) * 100)} %`
  return from.colours || to.colours ? 'colours' : ''
}

function doneInWords(motion: Motion): string {
  switch (motion.kind) {
    case 'parallax':
      return short(motion.speed)
    case 'scrub':
      return changeInWords(motion.states[0]!.pose, motion.states.at(-1)!.pose)
    case 'loop':
      return changeInWords({}, motion.to)
    case 'strip':
      return `to the ${motion.to}`
    case 'reveal':
    case 'opening':
      return changeInWords(motion.from, {})
  }
}

/** What stands along a bar: its kind, and what it does. */
export function motionLabel(motion: Motion): string {
  const said = doneInWords(motion)
  return `${MOTION_NAMES[motion.kind].toLowerCase()}${said === '' ? '' : ` ${said}`}`
}

const px = (value: number) => `${Math.round(value).toLocaleString('en')} px`.replace('-', '−')

/**
 * Why a motion does not move, or not wholly, on a page at one size of the window; nothing where it does.
 * @param resting why it rests at all
 */
export function whyStill(motion: Motion, span: Span | undefined, resting: Resting | undefined, scene: Scene): string | undefined {
  if (resting === 'too-many') return 'A block moves by eight motions at most. Take others out.'
  if (resting === 'gone') return 'The section that it follows is not on this page. Choose another, or its own box.'
  if (resting === 'empty' && span)
    return motion.kind === 'scrub'
      ? `Its range ends at ${px(span.to)}, and begins at ${px(span.from)}: nothing is left to move over. Set the end later.`
      : 'Its block has no height, so it is never in sight.'
  if (!span || motion.kind === 'parallax' || isTimed(motion)) return undefined
  const end = furthest(scene)
  if (span.from > end)
    return `It begins at ${px(span.from)}, and the page can be scrolled to ${px(end)}: it ${motion.kind === 'reveal' ? 'is shown at the end of the page alone' : 'never moves'}. Move its line further down the window.`
  if (span.to <= 0 && motion.kind === 'scrub')
    return `It has ended before the page is scrolled, at ${px(span.to)}. Set it to end later.`
  if (motion.kind === 'scrub' && span.to > end + 0.5) {
    const share = Math.round(((end - Math.max(0, span.from)) / (span.to - span.from)) * 100)
    return `It ends at ${px(span.to)}, and the page can be scrolled to ${px(end)}: it comes ${share} % of its way.`
  }
  return undefined
}

/** Where a motion happens, in px of scroll. */
export function spanInWords(motion: Motion, span: Span): string {
  if (motion.kind === 'opening') return `${short((motion.delay ?? 0) + motion.duration)} s from the opening of the page`
  if (motion.kind === 'loop') return `${short(motion.duration)} s${motion.anew ? ', over and over' : ', there and back'}`
  if (motion.kind === 'strip') return `once around in ${short(motion.duration)} s`
  if (motion.kind === 'reveal') return span.from <= 0 ? 'as the page opens' : `at ${px(span.from)}`
  return `${px(Math.max(0, span.from)).slice(0, -3)} to ${px(span.to)}`
}
