import { type Block, typeRoleOf, type WordBlock } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { plainText, type Span } from '#core/values/words'
import { pxAt } from '#core/type/measure'
import { type Family, familyOf, measuresOf } from '#core/type/families'
import { leadingOf, typeOf, type TypeSet } from '#core/guide/type-roles'
import { rangeAt } from '#core/grid/columns'
import { valuesByRange } from '#core/style/cascade'
import type { StyleValues } from '#core/style/registry'
import type { Length } from '#core/values/length'

/** A site at one viewport width, for what is worked out without a browser. */
export type Sight = {
  site: Site
  language: string
  /** Index of the breakpoint that holds. */
  index: number
  /** Width and height of the window, px. */
  viewport: number
  window: number
  /** What has been asked for: type roles as they are set at this width, and px of tokens. */
  roles: Map<string, RoleSetting>
  tokens: Map<string, Length | undefined>
}

/** A site at one width and height of the window, px. */
export const sightOf = (site: Site, language: string, viewport: number, window: number): Sight => ({
  site,
  language,
  index: rangeAt(site.breakpoints, viewport),
  viewport,
  window,
  roles: new Map(),
  tokens: new Map(),
})

function tokenOf(name: string, { site, tokens }: Sight): Length | undefined {
  if (tokens.size === 0) for (const one of [...site.guide.corners, ...site.guide.spaces]) tokens.set(one.name, one.size)
  return tokens.get(name)
}

/** A length in px where it can be told without its place; % of `whole`, em of `size`. */
export function pxOf(length: Length | undefined, sight: Sight, whole = 0, size = 16): number | undefined {
  if (length === undefined) return undefined
  const { viewport, window } = sight
  if ('token' in length) {
    const named = tokenOf(length.token, sight)
    return named && !('token' in named) ? pxOf(named, sight, whole, size) : undefined
  }
  if ('fluid' in length) return pxAt(length, viewport)
  switch (length.unit) {
    case '%':
      return (length.value / 100) * whole
    case 'vh':
      return (length.value / 100) * window
    case 'em':
      return length.value * size
    case 'ch':
      return length.value * size * 0.55
    case 'columns':
      return undefined
    default:
      return pxAt(length, viewport)
  }
}

/** How words are set: size and line height in px, and the mean advance of a letter in em. */
export type Setting = { size: number; line: number; advance: number }

/** Bold letters are wider than those that the measures are of, and capitals wider than the small letters. */
const WIDER = { bold: 1.05, capitals: 1.28 }

/** A type role at one width, and how words are set in it that set nothing of their own. */
type RoleSetting = { type: TypeSet | undefined; size: number; base: number; family: Family | undefined; setting: Setting }

function roleAt(role: string, sight: Sight): RoleSetting {
  let known = sight.roles.get(role)
  if (!known) {
    const { guide, fonts } = sight.site
    const body = typeOf(guide, 'body')
    const type = typeOf(guide, role) ?? body
    const base = (body && pxOf(body.size, sight)) ?? 16
    const face = guide.faces.find((one) => one.name === type?.face)
    const size = pxOf(type?.size, sight, base, base) ?? base
    const one = { type, size, base, family: familyOf(face?.family ?? '', fonts) }
    sight.roles.set(role, (known = { ...one, setting: settingIn(one, NOTHING, sight) }))
  }
  return known
}

const NOTHING: StyleValues = {}
const OWN = ['size', 'weight', 'leading', 'tracking', 'letterCase', 'face'] as const

/** How words are set in a role, with what a block sets of its own. */
function settingIn({ type, base, ...role }: Omit<RoleSetting, 'setting'>, own: StyleValues, sight: Sight): Setting {
  const { site } = sight
  const size = pxOf(own.size, sight, base, base) ?? role.size
  const named = own.face === undefined ? undefined : site.guide.faces.find((one) => one.name === own.face)
  const family = named ? familyOf(named.family, site.fonts) : role.family
  const bold = (own.weight ?? type?.weight ?? 400) >= 600 ? WIDER.bold : 1
  const capitals = (own.letterCase ?? type?.letterCase) === 'capitals' ? WIDER.capitals : 1
  const advance = (family ? measuresOf(family).averageAdvance : 0.5) * bold * capitals + (own.tracking ?? type?.tracking ?? 0)
  const leading = own.leading ?? (type ? leadingOf(site.guide, type, size) : 1.5)
  return { size, line: leading * size, advance }
}

/** How the words of a block are set at one width. */
export function settingOf(block: Block, sight: Sight): Setting {
  const role = roleAt(typeRoleOf(block, sight.site.guide), sight)
  const own = valuesByRange(block.style, sight.site.breakpoints)[sight.index]!
  return OWN.some((name) => own[name] !== undefined) ? settingIn(role, own, sight) : role.setting
}

export const spansOf = (block: WordBlock, { language, site }: Sight): readonly Span[] =>
  block.words[language] ?? block.words[site.language] ?? []

/** Width of a text on one line, px. */
export const naturalWidth = (text: string, { size, advance }: Setting): number => text.length * advance * size

const lengths = new WeakMap<readonly Span[], number[][]>()

/** The lengths of the words between breaks, in letters; remembered, since the same words are looked at at many widths. */
function wordLengths(spans: readonly Span[]): number[][] {
  let known = lengths.get(spans)
  if (!known) {
    known = [[]]
    for (const span of spans) {
      if (typeof span !== 'string' && span.kind === 'break') known.push([])
      else for (const word of plainText([span]).split(/\s+/)) if (word !== '') known.at(-1)!.push(word.length)
    }
    if (Object.isFrozen(spans)) lengths.set(spans, known)
  }
  return known
}

/** How many lines spans take in a width in px, broken between words. */
export function linesIn(spans: readonly Span[], width: number, { size, advance }: Setting): number {
  const perLine = Math.max(1, width / (advance * size))
  let lines = 0
  for (const words of wordLengths(spans)) {
    lines++
    let used = 0
    for (const length of words) {
      if (used > 0 && used + 1 + length > perLine) {
        lines++
        used = 0
      }
      used += (used > 0 ? 1 : 0) + length
      for (; used > perLine && length > perLine; used -= perLine) lines++
    }
  }
  return lines
}
