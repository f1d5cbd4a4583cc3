import type { Fluid } from '#core/values/length'

/** px of one rem: the browser's default root size, which exported pages leave alone so that readers may change it. */
export const REM = 16

const trim = (value: number, places: number) => String(Number(value.toFixed(places)))

/**
 * The `clamp()` of a fluid size. Between the two widths the size is the straight line
 * `px = from.px + slope * (viewport - from.at)`, `slope = (to.px - from.px) / (to.at - from.at)`,
 * written as rem + vw (CSS Values 4, 10.2), so that zoom and the reader's own text size still count.
 */
export function fluidToCss({ from, to }: Fluid): string {
  const slope = (to.px - from.px) / (to.at - from.at)
  const atZero = from.px - slope * from.at
  const low = Math.min(from.px, to.px)
  const high = Math.max(from.px, to.px)
  const vw = trim(slope * 100, 4)
  const sign = Number(vw) < 0 ? '-' : '+'
  return `clamp(${trim(low / REM, 4)}rem, ${trim(atZero / REM, 4)}rem ${sign} ${vw.replace('-', '')}vw, ${trim(high / REM, 4)}rem)`
}

/** The px that a fluid size comes to at a viewport width in px. */
export function fluidAt({ from, to }: Fluid, viewport: number): number {
  const share = (viewport - from.at) / (to.at - from.at)
  return from.px + Math.min(1, Math.max(0, share)) * (to.px - from.px)
}

/** How many px a fluid size grows for every 100 px of viewport width. */
export function growthPer100({ from, to }: Fluid): number {
  return (100 * (to.px - from.px)) / (to.at - from.at)
}
