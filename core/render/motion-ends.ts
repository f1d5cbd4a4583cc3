import type { Block } from '#core/blocks/index'
import { short } from '#core/values/short'
import type { Rule } from './rules'

/** What ends a motion of a wider range in a narrower one; its opacity goes back to the block's own. */
const ENDED: Record<string, string> = {
  animation: 'none',
  translate: 'none',
  scale: 'none',
  rotate: 'none',
  filter: 'none',
  'clip-path': 'none',
  opacity: '1',
  transition: 'none',
  // Of a strip: its blocks stand in it again, and their copy is gone.
  display: 'contents',
  overflow: 'visible',
  'flex-flow': 'row wrap',
}

/** True for what a strip shows a second time. */
const isCopy = ({ selector }: Rule) => selector.endsWith('[aria-hidden]')

/** Rules that end, below a breakpoint, what wider ranges declared and the motions there do not. */
export function endedIn(wider: readonly Rule[], made: readonly Rule[], below: number | null, { style }: Block): Rule[] {
  const keyOf = ({ when, selector }: Rule) => `${when} ${selector}`
  const said = new Set(made.flatMap((one) => one.declarations.map(([property]) => `${keyOf(one)} ${property}`)))
  const ended = new Map<string, Rule>()
  for (const one of wider) {
    if (!one.when || one.frames || one.adds) continue
    for (const [property] of one.declarations) {
      const end = ENDED[property]
      if (end === undefined || said.has(`${keyOf(one)} ${property}`)) continue
      said.add(`${keyOf(one)} ${property}`)
      const value = property === 'opacity' ? short(style.base?.opacity ?? 1) : isCopy(one) && property === 'display' ? 'none' : end
      const before = ended.get(keyOf(one))?.declarations ?? []
      ended.set(keyOf(one), { ...one, below, declarations: [...before, [property, value]] })
    }
  }
  return [...ended.values()]
}
