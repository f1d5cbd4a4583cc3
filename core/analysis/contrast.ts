import { type Block, hasTrait, guideColoursOf, type Section, typeRoleOf } from '#core/blocks/index'
import type { GuideColours } from '#core/blocks/guide-colours'
import type { Page, Site } from '#core/site/schema'
import { restyledPage } from '#core/site/directions'
import type { StateColours } from '#core/guide/looks'
import { rangeAt } from '#core/grid/columns'
import { hasWords, isContainer } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { statesOfStyle, type PropertyName } from '#core/style/registry'
import { valueAt } from '#core/style/cascade'
import type { Colour } from '#core/values/colour'
import type { Length } from '#core/values/length'
import { fluidAt, REM } from '#core/type/fluid'
import { typeOf } from '#core/guide/type-roles'
import { contrast, hexOf } from '#core/colour/contrast'
import { seenOver } from '#core/legibility/blend'
import type { Blend } from '#core/style/blends'
import { visible } from '#core/site/visible'

/** Words of one colour on a ground of one colour, wherever on the page. */
export type Pair = {
  /** Role of each, or its hex where it is a literal colour. */
  ink: string
  ground: string
  inkHex: string
  groundHex: string
  /** Contrast ratio, 1 to 21. */
  ratio: number
  /** What the smallest of these words need (WCAG 2.2, 1.4.3): 3 for large text, else 4.5. */
  needed: number
  blocks: string[]
  /** Ranges of widths at which they occur, by the index of their breakpoints. */
  ranges: number[]
}

/** Words over a picture or a gradient, whose contrast differs from place to place. */
export type OverPicture = { block: string; ink: string }

/** Large text: from 24 px, or from 18.66 px in bold (WCAG 2.2, definition of large scale). */
export const isLarge = (px: number, weight: number): boolean => px >= 24 || (weight >= 700 && px >= 18.66)

/** The least ratio for text of a size and weight (WCAG 2.2, 1.4.3). */
export const neededRatio = (px: number, weight: number): number => (isLarge(px, weight) ? 3 : 4.5)

/** The least px that a length comes to at any of the widths; lengths that depend on their place count as small text. */
export function leastPx(length: Length, widths: readonly number[]): number {
  if ('fluid' in length) return Math.min(...widths.map((width) => fluidAt(length.fluid, width)))
  if (!('value' in length)) return 0
  return length.unit === 'px' ? length.value : length.unit === 'rem' ? length.value * REM : 0
}

const nameOf = (colour: Colour): string => ('role' in colour ? colour.role : colour.hex.toUpperCase())
const isSolid = (colour: Colour | undefined): colour is Colour => colour !== undefined && (colour.alpha ?? 1) === 1

type Backing = { ink: Colour; ground: Colour | null }

/** Words of one block as they stand at one range of widths, in one state; no ground over a picture or a gradient. */
type Standing = { block: Block; range: number; ink: Colour; ground: Colour | null; needed: number; blend?: Blend }

/** The states of a look in which words are read, each with the colours that hold in it: what one leaves open is as at rest. */
function statesIn(look: GuideColours | undefined): StateColours[] {
  if (look?.apart) return []
  const { rest, hover, pressed } = look?.states ?? {}
  if (!rest) return []
  return [rest, ...(hover ? [{ ...rest, ...hover }] : []), ...(pressed ? [{ ...rest, ...hover, ...pressed }] : [])]
}

/** Viewports at which sizes are looked at in a range, px: the site's views in it, or its narrow end. */
function viewportsIn({ breakpoints, views }: Site, range: number): number[] {
  const inside = views.filter((width) => rangeAt(breakpoints, width) === range)
  return inside.length > 0 ? inside : [Math.max(320, breakpoints[range + 1]?.below ?? 0)]
}

/** All words of a section at one range of widths, with their ink and what they stand on. */
function* standingAt(site: Site, section: Section, range: number): Generator<Standing> {
  const { breakpoints, guide, language } = site
  const viewports = viewportsIn(site, range)
  const value = <N extends PropertyName>(block: Block, name: N) => valueAt(block.style, name, breakpoints, range)

  /** What a block makes of what words stand on. */
  function inside(block: Block, place: Backing): Backing {
    const look = guideColoursOf(block, guide)
    const backdrop =
      isContainer(block) &&
      block.children.some((one) => hasTrait(one.kind, 'image') && !one.hidden && value(one, 'position') === 'backdrop')
    const fill = value(block, 'fill') ?? look?.fill
    const ground = value(block, 'fillLayers') || backdrop ? null : isSolid(fill) ? fill : place.ground
    return { ink: value(block, 'ink') ?? look?.ink ?? place.ink, ground }
  }

  function neededFor(block: Block): number {
    const type = typeOf(guide, typeRoleOf(block, guide))
    const size = value(block, 'size') ?? type?.size
    return neededRatio(size ? leastPx(size, viewports) : 0, value(block, 'weight') ?? type?.weight ?? 400)
  }

  /** A block's words in every state in which they are read. */
  function* ofWords(block: Block, around: Backing): Generator<Standing> {
    const place = inside(block, around)
    const filled = isSolid(value(block, 'fill')) || value(block, 'fillLayers') !== undefined
    const ownInk = value(block, 'ink')
    const blend = value(block, 'blend')
    const stands = (ink: Colour | undefined, fill: Colour | undefined): Standing => ({
      block,
      range,
      ink: ownInk ?? ink ?? place.ink,
      ground: !filled && isSolid(fill) ? fill : place.ground,
      needed: neededFor(block),
      ...(blend && blend !== 'normal' ? { blend } : {}),
    })
    const states = statesIn(guideColoursOf(block, guide))
    const all = states.length === 0 ? [stands(undefined, undefined)] : states.map((one) => stands(one.ink, one.fill))
    yield* all
    const [rest] = all
    // What cannot be used needs no contrast (WCAG 2.2, 1.4.3: inactive).
    for (const [state, { ink, fill }] of statesOfStyle(block.style))
      if (state !== 'disabled' && (ink || fill))
        yield { ...rest!, ink: ink ?? rest!.ink, ground: isSolid(fill) ? fill : rest!.ground }
  }

  const outer: Backing = { ink: { role: 'ink' }, ground: { role: 'ground' } }
  for (const { block, around } of visible(section, outer, inside))
    if (hasWords(block) && plainText(block.words[language] ?? []).trim() !== '') yield* ofWords(block, around)
}

type Known = Pick<Site, 'guide' | 'breakpoints' | 'views' | 'language'> & { list: Standing[] }
const known = new WeakMap<Section, Known>()

/**
 * The words of a section as they stand at every range of widths; remembered for as long as the section and what all
 * sections share are the same, so that an edit looks at its own section alone.
 */
function standingIn(site: Site, section: Section): Standing[] {
  const { guide, breakpoints, views, language } = site
  const before = known.get(section)
  if (before?.guide === guide && before.breakpoints === breakpoints && before.views === views && before.language === language)
    return before.list
  const list = breakpoints.flatMap((_, range) => [...standingAt(site, section, range)])
  if (Object.isFrozen(section)) known.set(section, { guide, breakpoints, views, language, list })
  return list
}

/** The contrast ratio of words; `undefined` over a picture or a gradient, and for roles that the guide has not. */
function ratioOf(standing: Standing, { guide }: Site): number | undefined {
  const { ink, ground } = standing
  if (ground === null || !isSolid(ink)) return undefined
  const groundHex = hexOf(ground, guide.colours)
  const inkHex = seenInk(standing, guide, groundHex)
  return inkHex && groundHex ? contrast(inkHex, groundHex) : undefined
}

/** The colour that words are seen in: their ink, or what their blend mode makes of it and their ground. */
function seenInk({ ink, blend }: Standing, { colours }: Site['guide'], groundHex: string | undefined): string | undefined {
  const hex = hexOf(ink, colours)
  return blend && hex && groundHex ? seenOver(hex, groundHex, { mode: blend }) : hex
}

/** The least contrast of one block's words, what they need there, and the ranges of widths at which it is so. */
export type WordContrast = { ratio: number; needed: number; ranges: number[] }

/** The contrast of a block's words where it is least, over all states and widths; `undefined` over pictures alone. */
export function contrastOfBlock(site: Site, page: Page, block: string): WordContrast | undefined {
  const { sections } = restyledPage(site, page)
  const found = sections
    .flatMap((section) => standingIn(site, section))
    .flatMap((one) => {
      const ratio = one.block.id === block ? ratioOf(one, site) : undefined
      return ratio === undefined ? [] : [{ ratio, needed: one.needed, range: one.range }]
    })
  const [least] = found.sort((a, b) => a.ratio / a.needed - b.ratio / b.needed)
  if (!least) return undefined
  const same = found.filter((one) => Math.abs(one.ratio - least.ratio) < 1e-6 && one.needed === least.needed)
  return { ratio: least.ratio, needed: least.needed, ranges: [...new Set(same.map((one) => one.range))].sort((a, b) => a - b) }
}

/** Every pair of ink and ground that occurs on a page, the least contrast first; and the words over pictures. */
export function pairsOn(site: Site, page: Page): { pairs: Pair[]; overPictures: OverPicture[] } {
  const pairs = new Map<string, Pair>()
  const over = new Map<string, OverPicture>()
  const { colours } = site.guide
  const all = restyledPage(site, page).sections.flatMap((section) => standingIn(site, section))
  for (const one of all) {
    const { block, ink, ground, needed, range, blend } = one
    if (ground === null) {
      over.set(`${block.id} ${nameOf(ink)}`, { block: block.id, ink: nameOf(ink) })
      continue
    }
    const ratio = ratioOf(one, site)
    if (ratio === undefined) continue
    const name = blend ? `${nameOf(ink)} in ${blend}` : nameOf(ink)
    const key = `${name} ${nameOf(ground)}`
    const known = pairs.get(key)
    if (known) {
      known.needed = Math.max(known.needed, needed)
      if (!known.blocks.includes(block.id)) known.blocks.push(block.id)
      if (!known.ranges.includes(range)) known.ranges.push(range)
      continue
    }
    pairs.set(key, {
      ink: name,
      ground: nameOf(ground),
      inkHex: seenInk(one, site.guide, hexOf(ground, colours))!,
      groundHex: hexOf(ground, colours)!,
      ratio,
      needed,
      blocks: [block.id],
      ranges: [range],
    })
  }
  return { pairs: [...pairs.values()].sort((a, b) => a.ratio / a.needed - b.ratio / b.needed), overPictures: [...over.values()] }
}

/** Ranges of widths in words: `at all widths`, `below 640`, `from 640 to 1023`. */
export function rangesInWords({ breakpoints }: Pick<Site, 'breakpoints'>, ranges: readonly number[]): string {
  if (ranges.length === breakpoints.length) return 'at all widths'
  const words = ranges.map((range) => {
    const [upper, lower] = [breakpoints[range]!.below, breakpoints[range + 1]?.below]
    if (upper === null) return lower === undefined ? 'at all widths' : `from ${lower}`
    return lower === undefined || lower === null ? `below ${upper}` : `from ${lower} to ${upper - 1}`
  })
  return words.join(' and ')
}
