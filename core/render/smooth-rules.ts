import type { Block } from '#core/blocks/index'
import { easingToCss } from '#core/motion/easing'
import type { MotionOf } from '#core/motion/motion'
import { partsOf, type PosePart, rolesMoved, wayToCss } from '#core/motion/pose'
import { CLIP_SIDES, type Pose } from '#core/motion/pose-schema'
import type { Declaration } from '#core/style/property'
import { statesOfStyle } from '#core/style/registry'
import { short } from '#core/values/short'
import { type HexOf, registered, seconds, type TimelineOf, timelineOfRange } from './motion-animations'
import type { Rule } from './rules'

/** One figure of a pose as a custom property: its type, what it is at rest, and what a pose says of it. */
type Figure = { name: string; syntax: string; rest: string; of: (pose: Pose) => string }

const FIGURES: Partial<Record<PosePart, Omit<Figure, 'name'>>> = {
  opacity: { syntax: 'number', rest: '1', of: (pose) => short(pose.opacity ?? 1) },
  across: { syntax: 'length-percentage', rest: '0px', of: (pose) => wayToCss(pose.across) },
  down: { syntax: 'length-percentage', rest: '0px', of: (pose) => wayToCss(pose.down) },
  scale: { syntax: 'number', rest: '1', of: (pose) => short(pose.scale ?? 1) },
  turn: { syntax: 'angle', rest: '0deg', of: (pose) => `${short(pose.turn ?? 0)}deg` },
  blur: { syntax: 'length', rest: '0px', of: (pose) => `${short(pose.blur ?? 0)}px` },
}

/** The figures that a motion changes, as custom properties that begin with a name. */
function figuresOf(motion: MotionOf<'scrub'>, name: string, hexOf: HexOf): Figure[] {
  const poses = motion.states.map((one) => one.pose)
  const parts = partsOf(poses)
  const figures = [...parts].flatMap((part): Figure[] => {
    const figure = FIGURES[part]
    return figure ? [{ ...figure, name: `--${name}-${part}` }] : []
  })
  if (parts.has('clip'))
    for (const side of CLIP_SIDES)
      figures.push({
        name: `--${name}-${side}`,
        syntax: 'percentage',
        rest: '0%',
        of: ({ clip }) => (clip?.from === side ? `${short(clip.share)}%` : '0%'),
      })
  for (const role of rolesMoved(poses))
    figures.push({
      name: `--${name}-${role}`,
      syntax: 'color',
      rest: hexOf({ role }),
      of: (pose) => hexOf(pose.colours?.[role] ?? { role }),
    })
  return figures
}

/** What a block declares to look as those figures say. */
function declaredBy(motion: MotionOf<'scrub'>, name: string): Declaration[] {
  const poses = motion.states.map((one) => one.pose)
  const parts = partsOf(poses)
  const read = (part: string) => `var(--${name}-${part})`
  const way = (part: 'across' | 'down') => (parts.has(part) ? read(part) : '0')
  return [
    ...(parts.has('opacity') ? [['opacity', read('opacity')] as const] : []),
    ...(parts.has('across') || parts.has('down') ? [['translate', `${way('across')} ${way('down')}`] as const] : []),
    ...(parts.has('scale') ? [['scale', read('scale')] as const] : []),
    ...(parts.has('turn') ? [['rotate', read('turn')] as const] : []),
    ...(parts.has('blur') ? [['filter', `blur(${read('blur')})`] as const] : []),
    ...(parts.has('clip') ? [['clip-path', `inset(${CLIP_SIDES.map(read).join(' ')})`] as const] : []),
    ...rolesMoved(poses).map((role): Declaration => [`--${role}`, read(role)]),
  ]
}

/**
 * True for a scrub that comes after the scroll. A block that has states, or that is filtered, lifted or flipped itself, has
 * no second way to move, so it goes with the scroll.
 * @param free true where nothing else than its motion moves the block
 */
export const isSmooth = (block: Block, motion: MotionOf<'scrub'>, free: boolean): boolean =>
  (motion.smooth ?? 0) > 0 && free && statesOfStyle(block.style).length === 0

/**
 * The rules of a scrub that comes after the scroll, without a script: the body goes with the scroll and tells where by
 * custom properties; the block follows them by a transition, which would not run where an animation moves it itself
 * (CSS Transitions 1, 3).
 */
export function smoothRules(
  motion: MotionOf<'scrub'>,
  name: string,
  className: string,
  below: number | null,
  timelineOf: TimelineOf,
  hexOf: HexOf,
): Rule[] {
  const where = timelineOfRange(motion.range, timelineOf)
  if (!where) return []
  const figures = figuresOf(motion, name, hexOf)
  const own = motion.range.of === 'own'
  const timeline = own ? `--${name}` : where.timeline
  const states = [...motion.states].sort((a, b) => a.at - b.at)
  const body = (declarations: Declaration[]): Rule => ({
    selector: 'body',
    below: null,
    when: 'scrolling',
    adds: true,
    declarations,
  })
  const declared = declaredBy(motion, name)
  const time = `${seconds(motion.smooth!)} ease-out`
  return [
    ...figures.map((one) => registered(one.name, one.syntax, one.rest)),
    body([
      ['animation', `${name} ${easingToCss(motion.easing ?? 'linear')} both`],
      ['animation-timeline', timeline],
      ['animation-range', where.range],
    ]),
    ...(own ? [body([['timeline-scope', timeline]])] : []),
    {
      selector: `.${className}`,
      below,
      when: 'scrolling',
      declarations: [
        ...(own ? [['view-timeline', timeline] as const] : []),
        ...declared,
        ['transition', declared.map(([property]) => `${property} ${time}`).join(', ')],
      ],
    },
    {
      selector: name,
      below: null,
      declarations: [],
      frames: states.map(({ at, pose }) => ({
        at: `${short(at)}%`,
        declarations: figures.map((one): Declaration => [one.name, one.of(pose)]),
      })),
    },
  ]
}
