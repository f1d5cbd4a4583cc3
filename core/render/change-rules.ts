import type { Block } from '#core/blocks/index'
import { type Change, endOf, type Timings, type Track, TRACKS } from '#core/blocks/change'
import { ONE_SHOWN } from '#core/blocks/panel'
import { easingToCss } from '#core/motion/easing'
import type { Declaration } from '#core/style/property'
import { short } from '#core/values/short'
import { notShown, oneShownRules } from './panel-rules'
import type { Rule } from './rules'

/** The CSS property of each part of a change. */
const PROPERTY: Record<Track, string> = { opacity: 'opacity', move: 'translate', scale: 'scale', blur: 'filter' }

/** How a block looks that is not shown. */
function awayOf({ away: { opacity, across = 0, down = 0, scale, blur } }: Change): Declaration[] {
  return [
    ...(opacity === undefined ? [] : [['opacity', String(short(opacity))] as const]),
    ...(across === 0 && down === 0 ? [] : [['translate', `${short(across)}px ${short(down)}px`] as const]),
    ...(scale === undefined ? [] : [['scale', String(short(scale))] as const]),
    ...(blur === undefined || blur === 0 ? [] : [['filter', `blur(${short(blur)}px)`] as const]),
  ]
}

/** `transition` of one way: each part by its own time, and shown until the last is over, or from the first. */
function transitionOf(timings: Timings, until: number): string {
  const parts = TRACKS.flatMap((track) => {
    const timing = timings[track]
    if (!timing) return []
    const easing = timing.easing === undefined || timing.easing === 'ease' ? [] : [easingToCss(timing.easing)]
    const delay = timing.start > 0 ? [`${short(timing.start)}s`] : []
    return [[PROPERTY[track], `${short(timing.duration)}s`, ...easing, ...delay].join(' ')]
  })
  return [...parts, `visibility 0s ${short(until)}s`].join(', ')
}

/**
 * The rules by which one block of a group gives way to another, for visitors: all are seen where no script changes them,
 * and it happens at once for those who want no motion.
 */
export function changeRules(block: Block, selector: string): Rule[] {
  const rules = oneShownRules(block, selector, 'scripted')
  const change = block.kind === 'group' ? block.change : undefined
  if (rules.length === 0 || !change) return rules
  const hidden = notShown(selector)
  return [
    ...rules,
    { selector: hidden, below: null, declarations: awayOf(change), when: 'scripted' },
    { selector: hidden, below: null, declarations: [['transition', transitionOf(change.out, endOf(change.out))]], when: 'wanted' },
    {
      selector: `${selector}.${ONE_SHOWN} > [data-shown]`,
      below: null,
      declarations: [['transition', transitionOf(change.in, 0)]],
      when: 'wanted',
    },
  ]
}
