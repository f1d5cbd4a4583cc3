import { oklchDistance, oklchOf } from '#core/colour/oklch'
import type { Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { fluidAt, REM } from '#core/type/fluid'
import { lengthText, parseLength } from '#core/style/length-text'
import { changeEverywhere, eachValue, type Value, type ValueKind, type ValueUse } from './values-in-use'

/** A distinct value of a site: how it is written, whether it is a token of the guide, and where it stands. */
export type Distinct = {
  kind: ValueKind
  /** Name of the token, or the literal as it would be typed. */
  text: string
  literal: boolean
  /** Place on the strip: lightness 0 to 1 of a colour, px of a length. */
  at: number
  hex?: string
  uses: ValueUse[]
}

/** Literals that are nearly alike, and the token that they could all be: one that there is, or a new one. */
export type Gathering = {
  kind: ValueKind
  members: Distinct[]
  sentence: string
  target: { name: string; isNew: boolean; value: string }
}

/** How far apart colours may be and still pass for one: ΔE in OKLab. */
const ALIKE = 0.055
/** Chroma under which a colour looks grey. */
const GREY = 0.03

const LIST = { space: 'spaces', corner: 'corners' } as const

/** What a value is called and where it stands on its strip. */
function describe(one: Value, site: Site): Omit<Distinct, 'uses'> | undefined {
  const { guide } = site
  if (one.kind === 'face') return { kind: 'face', text: one.value, literal: false, at: 0 }
  if (one.kind === 'colour') {
    const { value } = one
    const hex = 'hex' in value ? value.hex.toUpperCase() : guide.colours.find(({ role }) => role === value.role)?.hex
    return hex === undefined
      ? undefined
      : { kind: 'colour', text: 'hex' in value ? hex : value.role, literal: 'hex' in value, at: oklchOf(hex).l, hex }
  }
  const { value, kind } = one
  const literal = !('token' in value)
  const size = 'token' in value ? [...guide.spaces, ...guide.corners].find(({ name }) => name === value.token)?.size : value
  const at =
    size &&
    ('fluid' in size
      ? fluidAt(size.fluid, 1280)
      : 'value' in size
        ? size.value * (size.unit === 'rem' || size.unit === 'em' ? REM : 1)
        : 0)
  return { kind, text: lengthText(value), literal, at: at ?? 0 }
}

/** Every distinct value of a kind on the site, in the order of its strip, with the tokens that nothing uses. */
export function distinctValues(site: Site, kind: ValueKind): Distinct[] {
  const found = new Map<string, Distinct>()
  eachValue(site, (value, use) => {
    if (value.kind !== kind) return
    const one = describe(value, site)
    if (!one) return
    const known = found.get(one.text)
    if (known) known.uses.push(use)
    else found.set(one.text, { ...one, uses: [use] })
  })
  for (const one of tokensOf(site, kind)) {
    const described = describe(one, site)
    if (described && !found.has(described.text)) found.set(described.text, { ...described, uses: [] })
  }
  return [...found.values()].sort((a, b) => a.at - b.at || a.text.localeCompare(b.text))
}

function tokensOf({ guide }: Site, kind: ValueKind): Value[] {
  if (kind === 'colour') return guide.colours.map(({ role }) => ({ kind, value: { role } }))
  if (kind === 'face') return guide.faces.map(({ name }) => ({ kind, value: name }))
  if (kind === 'size') return []
  return guide[LIST[kind]].map(({ name }) => ({ kind, value: { token: name } }))
}

const apart = (a: Distinct, b: Distinct): number =>
  a.hex && b.hex
    ? oklchDistance(oklchOf(a.hex), oklchOf(b.hex)) / ALIKE
    : Math.abs(a.at - b.at) / Math.max(2, 0.15 * Math.max(a.at, b.at))

/** Plural of what is gathered, in words. */
function calledAs(kind: ValueKind, members: readonly Distinct[]): string {
  const count = members.length
  if (kind === 'colour') {
    const grey = members.every((one) => oklchOf(one.hex!).c < GREY)
    return `${count} ${grey ? 'near-grey' : 'colour'}${count === 1 ? '' : 's'}`
  }
  return `${count} ${kind}${count === 1 ? '' : 's'}`
}

function targetOf(site: Site, kind: ValueKind, members: readonly Distinct[], taken: Set<string>): Gathering['target'] {
  const most = members.reduce((best, one) => (one.uses.length > best.uses.length ? one : best))
  if (kind === 'size') return { name: most.text, isNew: false, value: most.text }
  const tokens = distinctValues(site, kind).filter((one) => !one.literal)
  const near = tokens.filter((one) => apart(one, most) <= 1).sort((a, b) => apart(a, most) - apart(b, most))[0]
  if (near) return { name: near.text, isNew: false, value: near.hex ?? `${near.at} px` }
  const stem = kind === 'colour' ? (oklchOf(most.hex!).c < GREY ? 'grey' : 'tint') : kind
  let n = 1
  const names = new Set([...tokens.map((one) => one.text), ...taken])
  while (names.has(`${stem}-${n}`)) n++
  taken.add(`${stem}-${n}`)
  return { name: `${stem}-${n}`, isNew: true, value: most.text }
}

/** Literal values gathered with those that are nearly like them, each with the token that they could be. */
export function gatherings(site: Site, kind: ValueKind): Gathering[] {
  if (kind === 'face') return []
  const left = distinctValues(site, kind)
    .filter((one) => one.literal && !(kind !== 'colour' && one.at <= 0))
    .sort((a, b) => b.uses.length - a.uses.length)
  const taken = new Set<string>()
  const found: Gathering[] = []
  while (left.length > 0) {
    const [first] = left
    const members = left.filter((one) => apart(one, first!) <= 1)
    for (const one of members) left.splice(left.indexOf(one), 1)
    // A size of its own can only become another one; there is nothing to promote it to but a type role.
    if (kind === 'size' && members.length < 2) continue
    const target = targetOf(site, kind, members, taken)
    const count = members.reduce((sum, one) => sum + one.uses.length, 0)
    const sentence = `${calledAs(kind, members)} in ${count} ${count === 1 ? 'place' : 'places'}: make ${members.length === 1 ? 'it' : 'them'} ${target.isNew ? `a new ${target.name}, ` : kind === 'size' ? '' : `${target.name}, `}${target.value}?`
    found.push({ kind, members, sentence, target })
  }
  return found
}

/** The edits that put one token in the place of gathered literals, made first if it is new. */
export function mergeEdits(site: Site, { kind, members, target }: Pick<Gathering, 'kind' | 'members' | 'target'>): Edit[] {
  const texts = new Set(members.map((one) => one.text))
  const most = members.reduce((best, one) => (one.uses.length > best.uses.length ? one : best))
  const { guide } = site
  const made: Edit[] = []
  if (target.isNew && kind === 'colour')
    made.push({ kind: 'guide', part: 'colours', value: [...guide.colours, { role: target.name, hex: most.hex! }] })
  else if (target.isNew && (kind === 'space' || kind === 'corner'))
    made.push({
      kind: 'guide',
      part: LIST[kind],
      value: [...guide[LIST[kind]], { name: target.name, size: { value: most.at, unit: 'px' } }],
    })
  const edits = changeEverywhere(site, (one) => {
    if (one.kind !== kind) return one.value
    const described = describe(one, site)
    if (!described || !texts.has(described.text)) return one.value
    if (one.kind === 'face') return target.name
    if (one.kind === 'size') return parseLength(target.name, []) ?? one.value
    if (one.kind !== 'colour') return { token: target.name }
    return { role: target.name, ...(one.value.alpha === undefined ? {} : { alpha: one.value.alpha }) }
  })
  return [...made, ...edits]
}
