import type { Block } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { easingToCss } from '#core/motion/easing'
import { type Line, type Moment, MOST_MOTIONS, type Motion, motionsIn, type MotionOf, type Range } from '#core/motion/motion'
import { originOf } from '#core/motion/followed'
import { isAdding, partsOf, poseToCss, type PosePart } from '#core/motion/pose'
import type { Pose } from '#core/motion/pose-schema'
import { OPENING_WAY } from '#core/motion/scene'
import { valuesByRange } from '#core/style/cascade'
import type { Declaration } from '#core/style/property'
import type { Moving, Rule } from './rules'

/** The class that the script puts on the page where it starts what is waiting. */
export const MOVES = 'moves'

type Frames = NonNullable<Rule['frames']>

/** One CSS animation of a block. */
type Animation = {
  name: string
  frames: Frames
  /** `animation`, without its name. */
  timing: string
  timeline?: string
  range?: string
  adds: boolean
  /** What starts it, where it plays by itself once a line is passed. */
  reveal?: MotionOf<'reveal'>
  /** True for what shows a block at the end of the page, whose line may never be passed. */
  atLast?: true
}

/** The trigger of the end of the page: nothing stays hidden there. */
export const PAGE_END = '--page-end'

const short = (value: number) => String(Number(value.toFixed(3)))
const seconds = (value: number) => `${short(value)}s`

/** A line of the window, and the way from it down to the bottom of the window. */
const lineToCss = ({ value, unit }: Line) => `${short(value)}${unit === '%' ? 'vh' : 'px'}`
const belowLine = ({ value, unit }: Line) => (unit === '%' ? `${short(100 - value)}vh` : `calc(100vh - ${short(value)}px)`)

/**
 * The moment at which an edge passes a line, counted along `cover`: that begins as the top edge passes the bottom of the
 * window, and ends as the bottom edge passes its top (Scroll-driven Animations 1, 3.1).
 */
function momentToCss({ edge, line }: Moment): string {
  if (edge === 'top') return `cover ${belowLine(line)}`
  if (edge === 'bottom') return line.value === 0 ? 'cover 100%' : `cover calc(100% - ${lineToCss(line)})`
  return `cover calc(50% + 50vh - ${lineToCss(line)})`
}

type TimelineOf = (section: string) => string | undefined

function timelineOfRange(range: Range, timelineOf: TimelineOf): { timeline: string; range: string } | undefined {
  if (range.of === 'page')
    return range.begins < range.ends
      ? { timeline: 'scroll(root)', range: `${short(range.begins)}px ${short(range.ends)}px` }
      : undefined
  const timeline = range.of === 'own' ? 'view()' : timelineOf(range.of.section)
  return timeline ? { timeline, range: `${momentToCss(range.begins)} ${momentToCss(range.ends)}` } : undefined
}

const frame = (at: string, pose: Pose, parts: ReadonlySet<PosePart>) => ({ at, declarations: poseToCss(pose, parts) })

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

/** CSS animations of one motion; none where it rests. */
function animationsOf(motion: Motion, name: string, several: boolean, timelineOf: TimelineOf, opacity = 1): Animation[] {
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
    case 'reveal':
    case 'opening': {
      if (motion.kind === 'reveal' && motion.of !== undefined && !timelineOf(motion.of)) return []
      const timing = [
        seconds(motion.duration),
        easingToCss(motion.easing ?? 'ease'),
        ...(motion.delay ? [seconds(motion.delay)] : []),
        'both',
      ]
      const hides = new Set([...partsOf([motion.from])].filter((part) => !isAdding(part)))
      const plays = split(name, partsOf([motion.from]), several).map(({ name: each, parts, adds }): Animation => ({
        name: each,
        // A clip cannot go over into none, so where it ends is said.
        frames: [frame('from', motion.from, parts), ...(parts.has('clip') ? [frame('to', {}, new Set(['clip']))] : [])],
        timing: timing.join(' '),
        adds,
        ...(motion.kind === 'reveal' ? { reveal: motion } : {}),
      }))
      if (motion.kind !== 'reveal' || hides.size === 0) return plays
      const shown = frame('to', { opacity }, hides)
      return [
        ...plays,
        { name: `${name}-at-last`, frames: [shown], timing: timing.join(' '), adds: false, reveal: motion, atLast: true },
      ]
    }
  }
}

/** True for motions whose timing is that of what they hold, one after the other. */
const isStaggered = (motion: Motion): motion is MotionOf<'reveal' | 'opening'> =>
  (motion.kind === 'reveal' || motion.kind === 'opening') && motion.apart !== undefined

const listed = (values: readonly string[]) => values.join(', ')

/** The declarations of animations, as far as an engine knows them. */
function declared(animations: readonly Animation[], trigger: string, way: 'triggered' | 'waiting' | undefined): Declaration[] {
  const out: Declaration[] = [
    ['animation', listed(animations.map((one) => `${one.name} ${one.timing}${one.reveal && way === 'waiting' ? ' paused' : ''}`))],
  ]
  const add = (property: string, usual: string, valueOf: (one: Animation) => string | undefined) => {
    const values = animations.map((one) => valueOf(one) ?? usual)
    if (values.some((value) => value !== usual))
      out.push([property, values.every((one) => one === values[0]) ? values[0]! : listed(values)])
  }
  add('animation-timeline', 'auto', (one) => one.timeline)
  add('animation-range', 'normal', (one) => one.range)
  add('animation-composition', 'replace', (one) => (one.adds ? 'add' : undefined))
  if (way === 'triggered')
    add('animation-trigger', 'none', ({ reveal, atLast }) =>
      atLast
        ? `${PAGE_END} play-forwards play-backwards`
        : reveal && `${trigger} play-forwards${reveal.again ? ' play-backwards' : ''}`,
    )
  return out
}

/** Further than pages are high, px: what has been passed stays passed. */
const FAR = '1000000px'

/** Rules of one list of motions, at one range of widths. */
function rulesAt(
  block: Block,
  name: string,
  className: string,
  below: number | null,
  motions: readonly Motion[],
  timelineOf: TimelineOf,
): Rule[] {
  const active = motions.slice(0, MOST_MOTIONS)
  const values = block.style.base ?? {}
  const ownWay = [values.filter, values.lift, values.flip, block.style.hover?.lift].some((one) => one !== undefined)
  const several = active.length > 1 || ownWay
  const all = active.map((motion, i) => ({
    motion,
    animations: animationsOf(
      motion,
      `${name}-${motion.kind}${active.slice(0, i).some((one) => one.kind === motion.kind) ? i + 1 : ''}`,
      several,
      timelineOf,
      values.opacity,
    ),
  }))
  const own = all.filter(({ motion }) => !isStaggered(motion)).flatMap((one) => one.animations)
  const rules: Rule[] = []
  const trigger = `--${className}-passed`
  const add = (moving: Moving, selector: string, declarations: Declaration[]) =>
    void rules.push({ selector, below, declarations, moving })
  const reveals = all.flatMap(({ animations }) => animations.filter((one) => one.reveal && !one.atLast))
  /** What is set on a selector: all that an engine knows, in the order of the motions. */
  const set = (selector: string, animations: readonly Animation[], more: readonly Declaration[] = []) => {
    const plays = animations.filter((one) => !one.timeline && !one.reveal)
    const scrolls = animations.some((one) => one.timeline)
    const revealed = animations.some((one) => one.reveal)
    if (plays.length > 0) add('wanted', selector, [...declared(plays, trigger, undefined), ...more])
    if (scrolls)
      add('scrolling', selector, [
        ...declared(
          animations.filter((one) => !one.reveal),
          trigger,
          undefined,
        ),
        ...more,
      ])
    if (!revealed) return
    add('triggered', selector, [...declared(animations, trigger, 'triggered'), ...more])
    add('waiting', `.${MOVES} ${selector}`, [
      ...declared(
        animations.filter((one) => !one.timeline && !one.atLast),
        trigger,
        'waiting',
      ),
      ...more,
    ])
    if (scrolls)
      add('waiting-scrolling', `.${MOVES} ${selector}`, [
        ...declared(
          animations.filter((one) => !one.atLast),
          trigger,
          'waiting',
        ),
        ...more,
      ])
  }
  const origin = originOf(active)
  if (own.length > 0) set(`.${className}`, own, origin ? [['transform-origin', origin]] : [])
  for (const { motion, animations } of all) {
    if (!isStaggered(motion) || animations.length === 0) continue
    set(`:where(.${className}) > *`, animations, origin ? [['transform-origin', origin]] : [])
    const count = 'children' in block ? block.children.length : 0
    for (let n = 1; n < count; n++) {
      const later: Declaration = ['animation-delay', seconds((motion.delay ?? 0) + n * motion.apart!)]
      const moving: readonly Moving[] = motion.kind === 'opening' ? ['wanted'] : ['triggered', 'waiting']
      for (const one of moving) add(one, `${one === 'waiting' ? `.${MOVES} ` : ''}.${className} > :nth-child(${n + 1})`, [later])
    }
  }
  const [first] = reveals
  if (first?.reveal) {
    const { line, again, of } = first.reveal
    add('triggered', `.${className}`, [
      ['timeline-trigger', `${trigger} ${(of !== undefined && timelineOf(of)) || 'view()'} cover ${belowLine(line)} cover ${FAR}`],
    ])
    // What the script asks, since what it starts may be another thing at another width.
    add('waiting', `.${className}`, [
      ['--reveals', listed(reveals.map((one) => one.name)).replaceAll(',', '')],
      ['--line', lineToCss(line)],
      ...(again ? [['--again', '1'] as const] : []),
    ])
  }
  for (const { animations } of all)
    for (const one of animations) rules.push({ selector: one.name, below: null, declarations: [], frames: one.frames })
  return rules
}

/**
 * The rules by which a block moves, at each range of widths; none of them hides anything where motion is not wanted, not
 * known to the engine, or printed.
 * @param timelineOf the timeline of a section that stands on the page
 */
export function motionRules(block: Block, className: string, breakpoints: readonly Breakpoint[], timelineOf: TimelineOf): Rule[] {
  const ranges = valuesByRange(block.style, breakpoints)
  const rules: Rule[] = []
  ranges.forEach(({ motion }, index) => {
    const before = index === 0 ? undefined : ranges[index - 1]!.motion
    if (motion === before) return
    const { below } = breakpoints[index]!
    const made = rulesAt(
      block,
      index === 0 ? className : `${className}-${index + 1}`,
      className,
      below,
      motionsIn(motion),
      timelineOf,
    )
    // A motion that has none where another one has it ends there.
    if (before) {
      const selectors = new Map(
        rules.filter((one) => one.moving && !one.frames).map((one) => [`${one.moving} ${one.selector}`, one]),
      )
      const said = new Set(made.map((one) => `${one.moving} ${one.selector}`))
      for (const [key, one] of selectors)
        if (!said.has(key) && one.declarations.some(([property]) => property === 'animation'))
          made.unshift({ ...one, below, declarations: [['animation', 'none']] })
    }
    rules.push(...made)
  })
  return rules
}

/** The section that a block's reveal waits for, where the script has to know: its own where that is empty. */
export function revealOf(block: Block): { of?: string } | undefined {
  const lists = [block.style.base?.motion, ...Object.values(block.style.below ?? {}).map((one) => one?.motion)]
  const found = lists.flatMap(motionsIn).find((one) => one.kind === 'reveal')
  return found?.kind === 'reveal' ? (found.of === undefined ? {} : { of: found.of }) : undefined
}
