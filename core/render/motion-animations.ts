import { short } from '#core/values/short'
import { easingToCss } from '#core/motion/easing'
import type { Line, Moment, Motion, MotionOf, Range } from '#core/motion/motion'
import type { Colour } from '#core/values/colour'
import { isAdding, type MovedColours, partsOf, type PosePart, poseToCss, rolesMoved } from '#core/motion/pose'
import type { Pose } from '#core/motion/pose-schema'
import { posesOf } from '#core/motion/poses-of'
import { OPENING_WAY } from '#core/motion/scene'
import type { Declaration } from '#core/style/property'
import type { Rule } from './rules'

type Frames = NonNullable<Rule['frames']>

/** One CSS animation of a block. */
export type Animation = {
  name: string
  frames: Frames
  /** `animation`, without its name. */
  timing: string
  timeline?: string
  range?: string
  adds: boolean
  /** What starts it, and takes it back where it goes both ways, where it plays by itself once a line is passed. */
  trigger?: { name: string; again: boolean }
}

/** The trigger of a motion that waits for a line, by the name of that. */
export const triggerOf = (name: string): string => `--${name}`

/** The trigger of the end of the page: nothing stays hidden there. */
export const PAGE_END = '--page-end'

export const seconds = (value: number) => `${short(value)}s`

/** A line of the window, and the way from it down to the bottom of the window. */
export const lineToCss = ({ value, unit }: Line) => `${short(value)}${unit === '%' ? 'vh' : 'px'}`
export const belowLine = ({ value, unit }: Line) => (unit === '%' ? `${short(100 - value)}vh` : `calc(100vh - ${short(value)}px)`)

/**
 * The moment at which an edge passes a line, counted along `cover`: that begins as the top edge passes the bottom of the
 * window, and ends as the bottom edge passes its top (Scroll-driven Animations 1, 3.1).
 */
function momentToCss({ edge, line }: Moment): string {
  if (edge === 'top') return `cover ${belowLine(line)}`
  if (edge === 'bottom') return line.value === 0 ? 'cover 100%' : `cover calc(100% - ${lineToCss(line)})`
  return `cover calc(50% + 50vh - ${lineToCss(line)})`
}

export type TimelineOf = (section: string) => string | undefined

export function timelineOfRange(range: Range, timelineOf: TimelineOf): { timeline: string; range: string } | undefined {
  if (range.of === 'page')
    return range.begins < range.ends
      ? { timeline: 'scroll(root)', range: `${short(range.begins)}px ${short(range.ends)}px` }
      : undefined
  const timeline = range.of === 'own' ? 'view()' : timelineOf(range.of.section)
  return timeline ? { timeline, range: `${momentToCss(range.begins)} ${momentToCss(range.ends)}` } : undefined
}

/** What a colour comes to, as `#rrggbb` or with its alpha; a role that the guide has not is seen through. */
export type HexOf = (colour: Colour) => string

/** The colours that poses change. They are said in full, since one that is moved cannot be read where it is set. */
const movedIn = (poses: readonly Pose[], hexOf: HexOf): MovedColours => ({
  roles: rolesMoved(poses),
  toCss: (role, colour) => hexOf(colour ?? { role }),
})

/** A custom property that moves has a type and a value to begin with (CSS Properties and Values 1, 2). */
export const registered = (name: string, syntax: string, initial: string): Rule => ({
  selector: `@property ${name}`,
  below: null,
  declarations: [
    ['syntax', `"<${syntax}>"`],
    ['inherits', 'true'],
    ['initial-value', initial],
  ],
})

/** What the control that pauses a section says to all that goes on and on in it. */
export const GOES_ON = '--goes-on'
const goingOn = `infinite var(${GOES_ON}, running)`

/** Keyframes of what adds up with other motions, and of what stands for itself, each where there is any. */
function split(
  name: string,
  parts: ReadonlySet<PosePart>,
  several: boolean,
): { name: string; parts: Set<PosePart>; adds: boolean }[] {
  if (!several) return [{ name, parts: new Set(parts), adds: false }]
  const [adding, setting] = [new Set([...parts].filter(isAdding)), new Set([...parts].filter((part) => !isAdding(part)))]
  return [
    ...(adding.size > 0 ? [{ name: setting.size > 0 ? `${name}-way` : name, parts: adding, adds: true }] : []),
    ...(setting.size > 0 ? [{ name, parts: setting, adds: false }] : []),
  ]
}

/** What the animations of a motion depend on besides it: other motions of its block, the page, and the block's own values. */
export type AnimationSetting = {
  several: boolean
  timelineOf: TimelineOf
  hexOf: HexOf
  /** Between the blocks of a strip. */
  gap: string
  opacity?: number | undefined
}

const loopOf = (motion: MotionOf<'loop'>): string =>
  [
    seconds(motion.duration),
    easingToCss(motion.easing ?? 'ease'),
    ...(motion.delay ? [seconds(motion.delay)] : []),
    ...(motion.anew ? [] : ['alternate']),
    goingOn,
  ].join(' ')

/** CSS animations of one motion; none where it rests. */
export function animationsOf(
  motion: Motion,
  name: string,
  { several, timelineOf, hexOf, gap, opacity = 1 }: AnimationSetting,
): Animation[] {
  const frame = (at: string, pose: Pose, parts: ReadonlySet<PosePart>) => ({
    at,
    declarations: poseToCss(pose, parts, movedIn(posesOf(motion), hexOf)),
  })
  switch (motion.kind) {
    case 'parallax': {
      const opening = motion.rests === 'opening'
      const share = opening ? (1 - motion.speed) * OPENING_WAY * 100 : (1 - motion.speed) / 2
      if (share === 0) return []
      const to = (sign: number): Declaration[] => [
        ['translate', opening ? `0 ${short(share)}vh` : `0 calc((100vh + 100%) * ${short(sign * share)})`],
      ]
      return [
        {
          name,
          frames: opening
            ? [{ at: 'to', declarations: to(1) }]
            : [
                { at: 'from', declarations: to(-1) },
                { at: 'to', declarations: to(1) },
              ],
          timing: 'linear both',
          timeline: opening ? 'scroll(root)' : 'view()',
          ...(opening ? { range: `0 ${OPENING_WAY * 100}vh` } : {}),
          adds: several,
        },
      ]
    }
    case 'scrub': {
      const where = timelineOfRange(motion.range, timelineOf)
      if (!where) return []
      const states = [...motion.states].sort((a, b) => a.at - b.at)
      return split(name, partsOf(states.map((one) => one.pose)), several).map(({ name: each, parts, adds }) => ({
        name: each,
        frames: states.map(({ at, pose }) => frame(`${short(at)}%`, pose, parts)),
        timing: `${easingToCss(motion.easing ?? 'linear')} both`,
        ...where,
        adds,
      }))
    }
    case 'loop':
      return split(name, partsOf([motion.to]), several).map(({ name: each, parts, adds }) => ({
        name: each,
        frames: [frame('to', motion.to, parts)],
        timing: loopOf(motion),
        adds,
      }))
    case 'strip': {
      // All blocks once, and the gap to their copy: half of what moves and of that gap.
      const way = gap === '0' ? '-50%' : `calc(-50% - ${gap} / 2)`
      return [
        {
          name,
          frames: [{ at: 'to', declarations: [['translate', way]] }],
          timing: `${seconds(motion.duration)} linear ${motion.to === 'right' ? 'reverse ' : ''}${goingOn}`,
          adds: false,
        },
      ]
    }
    case 'reveal':
    case 'opening': {
      if (motion.kind === 'reveal' && motion.of !== undefined && !timelineOf(motion.of)) return []
      const timing = [
        seconds(motion.duration),
        easingToCss(motion.easing ?? 'ease'),
        ...(motion.delay ? [seconds(motion.delay)] : []),
        'both',
      ]
      const hides = new Set([...partsOf([motion.from])].filter((part) => part === 'opacity' || part === 'clip'))
      const plays = split(name, partsOf([motion.from]), several).map(({ name: each, parts, adds }): Animation => ({
        name: each,
        // A clip cannot go over into none, so where it ends is said.
        frames: [frame('from', motion.from, parts), ...(parts.has('clip') ? [frame('to', {}, new Set(['clip']))] : [])],
        timing: timing.join(' '),
        adds,
        ...(motion.kind === 'reveal' ? { trigger: { name: triggerOf(name), again: motion.again === true } } : {}),
      }))
      if (motion.kind !== 'reveal' || hides.size === 0) return plays
      const shown = frame('to', { opacity }, hides)
      const atLast = { name: PAGE_END, again: true }
      return [...plays, { name: `${name}-at-last`, frames: [shown], timing: timing.join(' '), adds: false, trigger: atLast }]
    }
  }
}
