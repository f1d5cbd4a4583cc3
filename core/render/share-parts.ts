import type { Declaration } from '#core/style/property'
import type { Rule } from './rules'

/** A selector of one class: what a block alone has. */
const IS_CLASS = /^\.[\w-]+$/
/** What is joined with its pair into a shorthand stays beside it. */
const HAS_PAIR = /^(padding|margin)-(block|inline)|-gap$/
/** How many times parts are taken out at most; each time looks at all rules. */
const MOST = 24

const text = (declarations: readonly Declaration[]): string => declarations.map(([name, value]) => `${name}:${value};`).join('')

type Shared = { declarations: readonly Declaration[]; members: Rule[]; saved: number }
type Counted = Shared & { bodies: Set<string>; selectors: Set<string> }

/** The beginning that saves most bytes if it is written once for all rules that begin so; nothing if none saves any. */
function best(rules: readonly Rule[]): Shared | undefined {
  const found = new Map<string, Counted>()
  for (const rule of rules) {
    const body = text(rule.declarations)
    for (let n = 1; n <= rule.declarations.length && !HAS_PAIR.test(rule.declarations[n - 1]![0]); n++) {
      const declarations = rule.declarations.slice(0, n)
      const key = text(declarations)
      let shared = found.get(key)
      if (!shared) {
        shared = { declarations, members: [], bodies: new Set(), selectors: new Set(), saved: -key.length - 1 }
        found.set(key, shared)
      }
      shared.members.push(rule)
      if (!shared.selectors.has(rule.selector)) shared.saved -= rule.selector.length + 1
      // Rules that are the same altogether are written once already.
      if (!shared.bodies.has(body)) shared.saved += key.length
      shared.selectors.add(rule.selector)
      shared.bodies.add(body)
    }
  }
  let most: Shared | undefined
  for (const shared of found.values())
    if (shared.bodies.size > 1 && shared.saved > 0 && shared.saved > (most?.saved ?? 0)) most = shared
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
  // What has been taken out of them stands before what is left of each.
  let left = rules.filter(alone)
  const now = new Map<Rule, Rule[]>(left.map((rule) => [rule, [rule]]))
  const origin = new Map<Rule, Rule>(left.map((rule) => [rule, rule]))
  for (let n = 0; n < MOST; n++) {
    const shared = best(left)
    if (!shared) break
    const parts = shared.members.map(({ selector }): Rule => ({ selector, below: null, declarations: shared.declarations }))
    const rest = new Map(
      shared.members.map((rule) => [rule, { ...rule, declarations: rule.declarations.slice(shared.declarations.length) }]),
    )
    const first = now.get(origin.get(shared.members[0]!)!)!
    first.splice(first.length - 1, 0, ...parts)
    for (const [before, after] of rest) {
      const own = now.get(origin.get(before)!)!
      own[own.length - 1] = after
      origin.set(after, origin.get(before)!)
    }
    left = left.map((rule) => rest.get(rule) ?? rule)
  }
  return rules.flatMap((rule) => now.get(rule) ?? [rule])
}
