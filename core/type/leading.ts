import { REM } from './fluid'

/** Leading at the size of running text and at that of the largest heading, as multiples of the size. */
export type Leading = { small: number; large: number }

/** Sizes that the two leadings are given for, px. */
export const LEADING_SIZES = { small: 16, large: 76 } as const

/**
 * Line height as a straight line over the size, `height = em × size + px`, through both given leadings. Since the
 * constant part weighs less the larger the type is, leading falls as size grows.
 */
export function leadingLine({ small, large }: Leading): { em: number; px: number } {
  const [a, b] = [LEADING_SIZES.small * small, LEADING_SIZES.large * large]
  const em = (b - a) / (LEADING_SIZES.large - LEADING_SIZES.small)
  return { em, px: a - em * LEADING_SIZES.small }
}

const places = (value: number) => String(Number(value.toFixed(4)))

/** The `line-height` of the line: em of the block's own size, and rem, so that it grows with the reader's text size. */
export function leadingToCss(leading: Leading): string {
  const { em, px } = leadingLine(leading)
  return `calc(${places(em)}em ${px < 0 ? '-' : '+'} ${places(Math.abs(px) / REM)}rem)`
}

/** Leading at a size in px, as a multiple of it. */
export function leadingAt(leading: Leading, size: number): number {
  const { em, px } = leadingLine(leading)
  return em + px / size
}
