import type { Declaration } from '#core/style/property'
import type { Rule } from './rules'

/** A selector of one class: what a block alone has. */
const IS_CLASS = /^\.[\w-]+$/
/** What is joined with its pair into a shorthand stays beside it. */
const HAS_PAIR = /^(padding|margin)-(block|inline)|-gap$/
/** How many times parts are taken out at most; each time looks at all rules. */
const MOST = 24

const text = (declarations: readonly Declaration[]): string => declarations.map(([name, value]) => `${name}:${value};`).join('')

/** A rule that is being parted: what is put before it, and what is left of it. */
type Parted = { before: Rule[]; left: Rule }
type Shared = { declarations: readonly Declaration[]; members: Parted[]; saved: number }
type Counted = Shared & { bodies: Set<string>; selectors: Set<string> }

/** The beginning that saves most bytes if it is written once for all rules that begin so; nothing if none saves any. */
function best(rules: Iterable<Parted>): Shared | undefined {
  const found = new Map<string, Counted>()
  for (const one of rules) {
    const { selector, declarations } = one.left
    const body = text(declarations)
    for (let n = 1; n <= declarations.length && !HAS_PAIR.test(declarations[n - 1]![0]); n++) {
      const begins = declarations.slice(0, n)
      const key = text(begins)
      let shared = found.get(key)
      if (!shared) {
        shared = { declarations: begins, members: [], bodies: new Set(), selectors: new Set(), saved: -key.length - 1 }
        found.set(key, shared)
      }
      shared.members.push(one)
      if (!shared.selectors.has(selector)) shared.saved -= selector.length + 1
      // Rules that are the same altogether are written once already.
      if (!shared.bodies.has(body)) shared.saved += key.length
      shared.selectors.add(selector)
      shared.bodies.add(body)
    }
  }
  let most: Shared | undefined
  for (const shared of found.values()) if (shared.bodies.size > 1 && shared.saved > (most?.saved ?? 0)) most = shared
  return most
}

/**
 * Declarations with which several blocks' rules begin, as rules of their own where the first of them stands, so that they
 * are written once. Only rules of one class, for all widths, that say one thing of it: nothing else of the same specificity
 * says anything of their blocks, so that it does not matter which of them is read first (CSS Cascading 5, 6.1).
 * @param rules of blocks, without those that all share
 */
export function shareParts(rules: readonly Rule[]): Rule[] {
  const said = new Map<string, Set<string>>()
  for (const { selector, below, when, declarations } of rules)
    if (below === null && !when) said.set(selector, (said.get(selector) ?? new Set()).add(text(declarations)))
  const alone = ({ selector, below, when, frames, adds }: Rule) =>
    below === null && !when && !frames && !adds && IS_CLASS.test(selector) && said.get(selector)!.size === 1
  const parted = new Map(rules.filter(alone).map((rule): [Rule, Parted] => [rule, { before: [], left: rule }]))
  for (let n = 0; n < MOST; n++) {
    const shared = best(parted.values())
    if (!shared) break
    const { declarations, members } = shared
    members[0]!.before.push(...members.map(({ left: { selector } }): Rule => ({ selector, below: null, declarations })))
    for (const one of members) one.left = { ...one.left, declarations: one.left.declarations.slice(declarations.length) }
  }
  return rules.flatMap((rule) => {
    const one = parted.get(rule)
    return one ? [...one.before, one.left] : [rule]
  })
}
