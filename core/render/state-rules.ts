import { short } from '#core/values/short'
import type { Block } from '#core/blocks/index'
import { easingToCss } from '#core/motion/easing'
import type { Declaration, Setting } from '#core/style/property'
import { type PropertyName, propertyOf, statesOfStyle, type StyleValues } from '#core/style/registry'
import type { BlockState } from '#core/style/states'
import { OF_IMAGE } from './picture-parts'
import { PSEUDO } from './pseudo'
import type { Rule } from './rules'

/** How long a change of state takes where nothing is said, seconds. */
const USUAL = 0.15

/** Properties that change at once, since there is nothing between their values (CSS, animation type: discrete). */
const AT_ONCE: ReadonlySet<string> = new Set(['text-decoration', 'text-decoration-line', 'font-style', 'text-transform'])
/** Properties that take something from its place, which is only done where motion is wanted. */
const TRAVELS: ReadonlySet<string> = new Set(['translate', 'scale', 'rotate'])

/** How a visitor brings a state about. */
function stateSelector(block: Block, selector: string, state: BlockState, around: string | undefined): string | undefined {
  switch (state) {
    case 'group':
      return around === undefined ? undefined : `.${around}${PSEUDO.hoverInside} ${selector}`
    case 'hover':
      return selector + (block.kind === 'group' ? PSEUDO.hoverInside : PSEUDO.hover)
    case 'focus':
      return selector + (block.kind === 'group' || block.kind === 'field' ? PSEUDO.focusInside : PSEUDO.focus)
    case 'pressed':
      return selector + PSEUDO.pressed
    case 'current':
      return `${selector}:is([aria-current], [aria-selected="true"], [aria-pressed="true"])`
    case 'disabled':
      return selector + (block.kind === 'field' ? `:has(${PSEUDO.disabled})` : PSEUDO.disabled)
  }
}

type Parts = { own: Declaration[]; image: Declaration[] }

/** What a state declares, on the block and on the image in its box. */
export function stateParts(values: StyleValues, setting: Setting, boxed: boolean): Parts {
  const parts: Parts = { own: [], image: [] }
  for (const name of Object.keys(values) as PropertyName[])
    parts[boxed && OF_IMAGE.has(name) ? 'image' : 'own'].push(...propertyOf(name).css(values[name], setting))
  return parts
}

/** `transition` of what changes in some state; nothing where all changes at once. */
function transitionOf(declarations: readonly Declaration[], { transition }: StyleValues): string | undefined {
  const names = [...new Set(declarations.map(([name]) => name))].filter((name) => !AT_ONCE.has(name))
  if (names.length === 0) return undefined
  const { duration = USUAL, easing = 'ease', delay = 0 } = transition ?? {}
  const time = [
    `${short(duration)}s`,
    ...(easing === 'ease' ? [] : [easingToCss(easing)]),
    ...(delay > 0 ? [`${short(delay)}s`] : []),
  ]
  return names.map((name) => `${name} ${time.join(' ')}`).join(', ')
}

/**
 * The rules of the states of a block, one over the other, and the way from one to the next.
 * @param around class of the card or group that it answers to
 */
export function stateRules(
  block: Block,
  selector: string,
  setting: Setting,
  boxed: boolean,
  many: boolean,
  around: string | undefined,
): Rule[] {
  const states = statesOfStyle(block.style)
  if (states.length === 0) return []
  const base = block.style.base ?? {}
  const parts = states.map(([state, values]) => ({ state, ...stateParts(values, setting, boxed) }))
  const image = (of: string) => `${of}${many ? ' ' : ' > '}img`
  const rules: Rule[] = []
  for (const [part, target] of [
    ['own', selector],
    ['image', image(selector)],
  ] as const) {
    const all = parts.flatMap((one) => one[part])
    const transition = transitionOf(all, base)
    if (transition === undefined) continue
    const travels = all.some(([name]) => TRAVELS.has(name))
    rules.push({
      selector: target,
      below: null,
      declarations: [['transition', transition]],
      ...(travels ? { when: 'wanted' as const } : {}),
    })
  }
  for (const { state, own, image: inside } of parts) {
    const when = stateSelector(block, selector, state, around)
    if (when === undefined) continue
    if (own.length > 0) rules.push({ selector: when, below: null, declarations: own })
    if (inside.length > 0) rules.push({ selector: image(when), below: null, declarations: inside })
    // Where nothing can be hovered, what that would show is shown.
    if (base.touch && (state === 'hover' || state === 'group'))
      for (const [target, declarations] of [
        [selector, own],
        [image(selector), inside],
      ] as const)
        if (declarations.length > 0) rules.push({ selector: target, below: null, declarations, when: 'touch' })
  }
  return rules
}
