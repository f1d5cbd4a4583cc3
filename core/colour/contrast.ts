import { wcagContrast } from 'culori'
import type { Block, Container, Site } from '#core/site/schema'
import type { Colour } from '#core/style/values'

/** A colour as #rrggbb, its role looked up; `undefined` for a role that the guide has not. */
export function hexOf(colour: Colour, roles: Site['guide']['colours']): string | undefined {
  return 'hex' in colour ? colour.hex : roles.find((one) => one.role === colour.role)?.hex
}

/** Contrast ratio of two colours, 1 to 21 (WCAG 2.2, 1.4.3). */
export const contrast = (a: string, b: string): number => wcagContrast(a, b)

/** What is behind a block: the nearest flat fill around it, or a picture, whose contrast differs from place to place. */
type Behind = { fill: string } | { picture: true }

function behind(ancestors: readonly Container[], site: Site): Behind {
  for (const ancestor of [...ancestors].reverse()) {
    const { base } = ancestor.style
    if (base?.gradient || ancestor.children.some((child) => child.kind === 'picture' && child.style.base?.position === 'backdrop'))
      return { picture: true }
    if (base?.fill && (base.fill.alpha ?? 1) === 1) return { fill: hexOf(base.fill, site.guide.colours) ?? '#ffffff' }
  }
  return { fill: site.guide.colours.find((one) => one.role === 'ground')?.hex ?? '#ffffff' }
}

/** The contrast of a block's words with the flat fill behind them; `undefined` over a picture or a gradient. */
export function contrastOfWords(block: Block, ancestors: readonly Container[], site: Site): number | undefined {
  const own = block.style.base?.fill
  const ground = own && (own.alpha ?? 1) === 1 ? { fill: hexOf(own, site.guide.colours) ?? '#ffffff' } : behind(ancestors, site)
  if ('picture' in ground) return undefined
  const inks = [block, ...[...ancestors].reverse()].map((one) => one.style.base?.ink).filter((ink) => ink !== undefined)
  const ink = inks[0] ? hexOf(inks[0], site.guide.colours) : site.guide.colours.find((one) => one.role === 'ink')?.hex
  return ink === undefined ? undefined : contrast(ink, ground.fill)
}
