import type { Block } from '#core/blocks/index'
import { mayPass, RUN } from '#core/blocks/strip'
import type { Breakpoint } from '#core/grid/breakpoint'
import { originOf } from '#core/motion/followed'
import { MOST_MOTIONS, motionsIn } from '#core/motion/motion'
import { isStaggered } from '#core/motion/turns'
import { valuesByRange } from '#core/style/cascade'
import { motionsOf } from '#core/style/motions-of'
import { statesOfStyle, type StyleValues } from '#core/style/registry'
import { lengthToCss } from '#core/style/css-values'
import { rolesMoved } from '#core/motion/pose'
import { posesOf } from '#core/motion/poses-of'
import type { Declaration } from '#core/style/property'
import {
  type Animation,
  animationsOf,
  belowLine,
  type HexOf,
  lineToCss,
  PAGE_END,
  registered,
  seconds,
  type TimelineOf,
  triggerOf,
} from './motion-animations'
import { endedIn } from './motion-ends'
import type { When, Rule } from './rules'
import { isSmooth, smoothRules } from './smooth-rules'
import { stripMoving } from './strip-rules'

/** The class that the script puts on the page where it starts what is waiting. */
export const MOVES = 'moves'

const listed = (values: readonly string[]) => values.join(', ')

/** The declarations of animations. @param waits true where a script starts what waits for a line, and no trigger */
function declared(animations: readonly Animation[], waits: boolean): Declaration[] {
  const out: Declaration[] = [
    ['animation', listed(animations.map((one) => `${one.name} ${one.timing}${one.trigger && waits ? ' paused' : ''}`))],
  ]
  const add = (property: string, usual: string, valueOf: (one: Animation) => string | undefined) => {
    const values = animations.map((one) => valueOf(one) ?? usual)
    if (values.some((value) => value !== usual))
      out.push([property, values.every((one) => one === values[0]) ? values[0]! : listed(values)])
  }
  add('animation-timeline', 'auto', (one) => one.timeline)
  add('animation-range', 'normal', (one) => one.range)
  add('animation-composition', 'replace', (one) => (one.adds ? 'add' : undefined))
  if (!waits)
    add(
      'animation-trigger',
      'none',
      ({ trigger }) => trigger && `${trigger.name} play-forwards${trigger.again ? ' play-backwards' : ''}`,
    )
  return out
}

const atLast = ({ trigger }: Animation) => trigger?.name === PAGE_END

/** What engines of each sort play, and whether what they play differs from what those before them do. */
const ENGINES: { when: When; plays: (one: Animation) => boolean; differs: (all: readonly Animation[]) => boolean }[] = [
  { when: 'wanted', plays: (one) => !one.timeline && !one.trigger, differs: () => true },
  { when: 'scrolling', plays: (one) => !one.trigger, differs: (all) => all.some((one) => one.timeline) },
  { when: 'triggered', plays: () => true, differs: (all) => all.some((one) => one.trigger) },
  { when: 'waiting', plays: (one) => !one.timeline && !atLast(one), differs: (all) => all.some((one) => one.trigger) },
  {
    when: 'waiting-scrolling',
    plays: (one) => !atLast(one),
    differs: (all) => all.some((one) => one.trigger) && all.some((one) => one.timeline),
  },
]

/** A selector, where a script has to be there for it. */
const whereWaiting = (when: When, selector: string) => (when.startsWith('waiting') ? `.${MOVES} ${selector}` : selector)

/** Further than pages are high, px: what has been passed stays passed. */
const FAR = '1000000px'

/** True if something else than its motion filters a block, turns it or takes it from its place, at some width or in some state. */
const hasOwnWay = ({ style }: Block): boolean =>
  [style.base, ...Object.values(style.below ?? {}), ...statesOfStyle(style).map(([, values]) => values)].some(
    (values) => values?.filter ?? values?.lift ?? values?.flip,
  )

/** Rules of one list of motions, at one range of widths. */
function rulesAt(
  block: Block,
  name: string,
  className: string,
  below: number | null,
  { motion: motions, gap, ink }: StyleValues,
  timelineOf: TimelineOf,
  hexOf: HexOf,
): Rule[] {
  const active = motionsIn(motions)
    .slice(0, MOST_MOTIONS)
    .filter((one) => one.kind !== 'strip' || mayPass(block))
  const free = !hasOwnWay(block)
  const several = active.length > 1 || !free
  const smooth: Rule[] = []
  const setting = { several, timelineOf, hexOf, gap: gap ? lengthToCss(gap) : '0', opacity: block.style.base?.opacity }
  const all = active.map((motion, i) => {
    const nth = active.slice(0, i).some((one) => one.kind === motion.kind) ? i + 1 : ''
    const of = `${name}-${motion.kind}${nth}`
    if (motion.kind === 'scrub' && isSmooth(block, motion, free)) {
      smooth.push(...smoothRules(motion, of, className, below, timelineOf, hexOf))
      return { motion, name: of, animations: [] }
    }
    return { motion, name: of, animations: animationsOf(motion, of, setting) }
  })
  const own = all.filter(({ motion }) => !isStaggered(motion) && motion.kind !== 'strip').flatMap((one) => one.animations)
  const origin = originOf(active)
  const roles = rolesMoved(active.flatMap(posesOf))
  const about: Declaration[] = [
    ...(origin ? [['transform-origin', origin] as const] : []),
    // Words take their colour from around the block, where it has been worked out already.
    ...(roles.includes('ink') && !ink ? [['color', 'var(--ink)'] as const] : []),
  ]
  const rules: Rule[] = [...roles.map((role) => registered(`--${role}`, 'color', hexOf({ role }))), ...smooth]
  const add = (when: When, selector: string, declarations: Declaration[]) => {
    if (declarations.length > 0) rules.push({ selector: whereWaiting(when, selector), below, declarations, when })
  }
  const set = (selector: string, animations: readonly Animation[]) => {
    for (const { when, plays, differs } of ENGINES) {
      const played = animations.filter(plays)
      if (played.length > 0 && differs(animations)) add(when, selector, [...declared(played, when.startsWith('waiting')), ...about])
    }
  }
  set(`.${className}`, own)
  for (const { motion, animations } of all)
    if (motion.kind === 'strip') {
      set(`.${className} > .${RUN}`, animations)
      for (const [inside, declarations] of stripMoving(setting.gap)) add('wanted', `.${className}${inside}`, declarations)
    }
  for (const { motion, animations } of all) {
    if (!isStaggered(motion) || animations.length === 0) continue
    set(`:where(.${className}) > *`, animations)
    const count = 'children' in block ? block.children.length : 0
    for (let n = 1; n < count; n++) {
      const later: Declaration = ['animation-delay', seconds((motion.delay ?? 0) + n * motion.apart!)]
      const whens: readonly When[] = motion.kind === 'opening' ? ['wanted'] : ['triggered', 'waiting']
      for (const when of whens) add(when, `.${className} > :nth-child(${n + 1})`, [later])
    }
  }
  const waiting = all.flatMap(({ motion, name: of, animations }) =>
    motion.kind === 'reveal' && animations.length > 0 ? [{ motion, of }] : [],
  )
  const [first] = waiting
  if (first) {
    const triggers = waiting.map(({ motion, of }) => {
      const timeline = (motion.of !== undefined && timelineOf(motion.of)) || 'view()'
      return `${triggerOf(of)} ${timeline} cover ${belowLine(motion.line)} cover ${FAR}`
    })
    add('triggered', `.${className}`, [['timeline-trigger', listed(triggers)]])
    // What the script asks, since it may be another thing at another width; it starts all reveals at the line of the first.
    const names = all.flatMap(({ animations }) => animations.filter((one) => one.trigger && !atLast(one)).map((one) => one.name))
    add('waiting', `.${className}`, [
      ['--reveals', names.join(' ')],
      ['--line', lineToCss(first.motion.line)],
      ...(first.motion.again ? [['--again', '1'] as const] : []),
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
export function motionRules(
  block: Block,
  className: string,
  breakpoints: readonly Breakpoint[],
  timelineOf: TimelineOf,
  hexOf: HexOf,
): Rule[] {
  const ranges = valuesByRange(block.style, breakpoints)
  const rules: Rule[] = []
  ranges.forEach((values, index) => {
    const { motion } = values
    const before = index === 0 ? undefined : ranges[index - 1]!.motion
    if (motion === before) return
    const { below } = breakpoints[index]!
    const made = rulesAt(block, index === 0 ? className : `${className}-${index + 1}`, className, below, values, timelineOf, hexOf)
    // A motion that has none where another one has it ends there.
    if (before) made.unshift(...endedIn(rules, made, below, block))
    rules.push(...made)
  })
  return rules
}

/** The section that a block's reveal waits for, where the script has to know: its own where that is empty. */
export function revealOf(block: Block): { of?: string } | undefined {
  const found = motionsOf(block.style).find((one) => one.kind === 'reveal')
  return found?.kind === 'reveal' ? (found.of === undefined ? {} : { of: found.of }) : undefined
}
