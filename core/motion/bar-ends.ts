import { type Line, LINES, type Motion, type Moment } from './motion'
import { type Box, furthest, type Scene, scrollAt } from './scene'

export type BarEnd = 'from' | 'to'

/** Figures that fit a unit: whole px, and percent to a tenth. */
const rounded = ({ value, unit }: Line): Line => ({ value: unit === 'px' ? Math.round(value) : Math.round(value * 10) / 10, unit })

/** The line that an edge passes at a scroll position, in the unit that it had. */
function lineFor(moment: Moment, box: Box, scene: Scene, scroll: number): Line {
  const px = scrollAt({ ...moment, line: { value: 0, unit: 'px' } }, box, scene.window) - scroll
  const value = moment.line.unit === 'px' ? px : (px / scene.window) * 100
  return rounded({ value: Math.min(LINES.most, Math.max(LINES.least, value)), unit: moment.line.unit })
}

/**
 * A motion whose bar begins or ends at another scroll position; nothing for one whose bar follows from where its block
 * stands, as parallax.
 * @param scroll px of the page above the window
 */
export function withBarEnd(motion: Motion, end: BarEnd, scroll: number, own: Box, scene: Scene): Motion | undefined {
  if (motion.kind === 'reveal') {
    const box = motion.of === undefined ? own : scene.section(motion.of)
    return box && { ...motion, line: lineFor({ edge: 'top', line: motion.line }, box, scene, scroll) }
  }
  if (motion.kind !== 'scrub') return undefined
  const { range } = motion
  const name = end === 'from' ? 'begins' : 'ends'
  if (range.of === 'page') return { ...motion, range: { ...range, [name]: Math.max(0, Math.round(scroll)) } }
  const box = range.of === 'own' ? own : scene.section(range.of.section)
  return box && { ...motion, range: { ...range, [name]: { ...range[name], line: lineFor(range[name], box, scene, scroll) } } }
}

/** True for motions whose bars have ends to drag. */
export const hasBarEnds = (motion: Motion): boolean => motion.kind === 'scrub' || motion.kind === 'reveal'

/** Shares of the window's height whose lines an edge of a section is caught by. */
const CAUGHT = [0, 0.25, 0.5, 0.75, 1]

/** Scroll positions that the ends of bars snap to: those at which edges of sections pass a line of the window, and the page's ends. */
export function snapsOf(sections: readonly Box[], scene: Scene): number[] {
  const edges = sections.flatMap((one) => [one.top, one.top + one.height])
  return [0, furthest(scene), ...edges.flatMap((edge) => CAUGHT.map((share) => edge - share * scene.window))]
}

/** The nearest of some scroll positions, where one is near enough. */
export function snapped(scroll: number, snaps: readonly number[], within: number): number {
  let best: number | undefined
  for (const one of snaps) {
    const far = Math.abs(one - scroll)
    if (far <= within && (best === undefined || far < Math.abs(best - scroll))) best = one
  }
  return best ?? scroll
}
