import { sharedClass } from '#core/render/shared-class'
import type { Block, Page, Site } from '#core/site/schema'
import { dressedPage } from '#core/site/directions'
import type { StateLook } from '#core/site/looks'
import { isContainer } from '#core/site/tree'
import { plainText } from '#core/site/words'
import type { Colour, Length } from '#core/style/values'
import { fluidAt, REM } from '#core/type/fluid'
import { typeOf } from '#core/type/roles'
import { contrast, hexOf } from './contrast'

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

type Place = { ink: Colour; ground: Colour | null }

/** What a container makes of what its words stand on; null where a picture or a gradient lies behind them. */
function inside(block: Block, place: Place, site: Site): Place {
  const { base } = block.style
  const card = block.kind === 'group' ? site.guide.looks.cards.find((one) => one.name === block.look) : undefined
  const backdrop =
    isContainer(block) &&
    block.children.some((one) => one.kind === 'picture' && !one.hidden && one.style.base?.position === 'backdrop')
  const fill = base?.fill ?? card?.fill
  const ground = base?.gradient || backdrop ? null : isSolid(fill) ? fill : place.ground
  return { ink: base?.ink ?? card?.ink ?? place.ink, ground }
}

/** The states of a button with the colours that hold in each: what a state leaves open is as at rest. */
function buttonStates(block: Block, site: Site): StateLook[] {
  if (block.kind !== 'button') return []
  const kind = site.guide.buttons.find((one) => one.name === block.look)
  if (!kind) return []
  return [kind.rest, { ...kind.rest, ...kind.hover }, ...(kind.pressed ? [{ ...kind.rest, ...kind.hover, ...kind.pressed }] : [])]
}

/** Every pair of ink and ground that occurs on a page, the least contrast first; and the words over pictures. */
export function pairsOn(site: Site, page: Page): { pairs: Pair[]; overPictures: OverPicture[] } {
  const pairs = new Map<string, Pair>()
  const overPictures: OverPicture[] = []
  const { colours } = site.guide
  const note = (block: Block, ink: Colour, ground: Colour | null, needed: number) => {
    if (ground === null) return void overPictures.push({ block: block.id, ink: nameOf(ink) })
    const [inkHex, groundHex] = [hexOf(ink, colours), hexOf(ground, colours)]
    if (!inkHex || !groundHex || !isSolid(ink)) return
    const key = `${nameOf(ink)} ${nameOf(ground)}`
    const known = pairs.get(key)
    if (known) {
      known.needed = Math.max(known.needed, needed)
      if (known.blocks.at(-1) !== block.id) known.blocks.push(block.id)
    } else
      pairs.set(key, {
        ink: nameOf(ink),
        ground: nameOf(ground),
        inkHex,
        groundHex,
        ratio: contrast(inkHex, groundHex),
        needed,
        blocks: [block.id],
      })
  }
  const visit = (block: Block, around: Place) => {
    if (block.hidden) return
    const place = inside(block, around, site)
    if (isContainer(block)) return block.children.forEach((child) => visit(child, place))
    if (!('words' in block) || plainText(block.words[site.language] ?? []).trim() === '') return
    const type = typeOf(
      site.guide,
      block.kind === 'button'
        ? (site.guide.buttons.find((one) => one.name === block.look)?.type ?? 'button')
        : sharedClass(block) || 'body',
    )
    const size = block.style.base?.size ?? type?.size
    const needed = neededRatio(size ? leastPx(size, site.views) : 0, block.style.base?.weight ?? type?.weight ?? 400)
    const own = block.style.base
    const states = buttonStates(block, site)
    if (states.length === 0) {
      const link = block.kind === 'link' ? site.guide.looks.link : undefined
      note(block, own?.ink ?? link?.rest.ink ?? place.ink, place.ground, needed)
      if (link?.hover.ink) note(block, link.hover.ink, place.ground, needed)
    }
    for (const state of states)
      note(
        block,
        own?.ink ?? state.ink ?? place.ink,
        isSolid(own?.fill) ? own.fill : isSolid(state.fill) ? state.fill : around.ground,
        needed,
      )
  }
  const outer: Place = { ink: { role: 'ink' }, ground: { role: 'ground' } }
  for (const section of dressedPage(site, page).sections) visit(section, outer)
  return { pairs: [...pairs.values()].sort((a, b) => a.ratio / a.needed - b.ratio / b.needed), overPictures }
}
