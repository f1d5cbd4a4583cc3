import type { Block } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { originOf } from '#core/motion/followed'
import { MOST_MOTIONS, type Motion, motionsIn, type MotionOf } from '#core/motion/motion'
import { valuesByRange } from '#core/style/cascade'
import type { Declaration } from '#core/style/property'
import { type Animation, animationsOf, belowLine, lineToCss, PAGE_END, seconds, type TimelineOf } from './motion-animations'
import type { Moving, Rule } from './rules'

/** The class that the script puts on the page where it starts what is waiting. */
export const MOVES = 'moves'

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
