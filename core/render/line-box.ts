import type { Block, Site, WordBlock } from '#core/site/schema'
import { plainText, type Span } from '#core/site/words'
import { pxAt } from '#core/type/measure'
import { familyOf, measuresOf } from '#core/type/families'
import { leadingOf, typeOf } from '#core/type/roles'
import { valueAt } from '#core/style/resolve'
import type { Length } from '#core/style/values'
import { sharedClass } from './shared-class'

/** A site at one viewport width, for what is worked out without a browser. */
export type Sight = {
  site: Site
  language: string
  /** Index of the breakpoint that holds. */
  index: number
  /** Width and height of the window, px. */
  viewport: number
  window: number
}

/** A length in px where it can be told without its place; % of `whole`, em of `size`. */
export function pxOf(length: Length | undefined, { site, viewport, window }: Sight, whole = 0, size = 16): number | undefined {
  if (length === undefined) return undefined
  if ('token' in length) {
    const { spaces, corners } = site.guide
    const named = [...spaces, ...corners].find((one) => one.name === length.token)
    return named && !('token' in named.size) ? pxOf(named.size, { site, viewport, window } as Sight, whole, size) : undefined
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

/** The type role that a block's words are set in. */
function roleOf(block: Block, site: Site): string {
  if (block.kind === 'button') return site.guide.buttons.find((one) => one.name === block.look)?.type ?? 'button'
  return sharedClass(block) || 'body'
}

/** How the words of a block are set at one width. */
export function settingOf(block: Block, sight: Sight): Setting {
  const { site, index } = sight
  const { guide, breakpoints } = site
  const type = typeOf(guide, roleOf(block, site)) ?? typeOf(guide, 'body')
  const own = <N extends 'size' | 'weight' | 'leading' | 'tracking' | 'letterCase' | 'face'>(name: N) =>
    valueAt(block.style, name, breakpoints, index)
  const body = typeOf(guide, 'body')
  const base = (body && pxOf(body.size, sight)) ?? 16
  const size = pxOf(own('size') ?? type?.size, sight, base, base) ?? base
  const face = guide.faces.find((one) => one.name === (own('face') ?? type?.face))
  const family = familyOf(face?.family ?? '', site.fonts)
  const bold = (own('weight') ?? type?.weight ?? 400) >= 600 ? WIDER.bold : 1
  const capitals = (own('letterCase') ?? type?.letterCase) === 'capitals' ? WIDER.capitals : 1
  const advance = (family ? measuresOf(family).averageAdvance : 0.5) * bold * capitals + (own('tracking') ?? type?.tracking ?? 0)
  const leading = own('leading') ?? (type ? leadingOf(guide, type, size) : 1.5)
  return { size, line: leading * size, advance }
}

export const spansOf = (block: WordBlock, { language, site }: Sight): readonly Span[] =>
  block.words[language] ?? block.words[site.language] ?? []

/** Width of a text on one line, px. */
export const naturalWidth = (text: string, { size, advance }: Setting): number => text.length * advance * size

/** How many lines spans take in a width in px, broken between words. */
export function linesIn(spans: readonly Span[], width: number, { size, advance }: Setting): number {
  const perLine = Math.max(1, width / (advance * size))
  let lines = 1
  let used = 0
  for (const piece of spans.flatMap((span) => (typeof span !== 'string' && span.kind === 'break' ? ['\n'] : [plainText([span])]))) {
    if (piece === '\n') {
      lines++
      used = 0
      continue
    }
    for (const word of piece.split(/\s+/)) {
      if (word === '') continue
      if (used > 0 && used + 1 + word.length > perLine) {
        lines++
        used = 0
      }
      used += (used > 0 ? 1 : 0) + word.length
      for (; used > perLine && word.length > perLine; used -= perLine) lines++
    }
  }
  return lines
}
