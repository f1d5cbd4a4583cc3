import { contentWidth, rangeAt } from '#core/grid/columns'
import type { Extent } from '#core/render/surround'
import type { Breakpoint } from '#core/site/schema'

const round = (value: number) => Number(value.toFixed(2))

/** Px that an extent comes to at a viewport width in px. */
export function extentAt(extent: Extent, breakpoint: Breakpoint, viewport: number): number {
  return extent.v * viewport + extent.c * contentWidth(breakpoint, viewport) + extent.px
}

function linear(vw: number, px: number): string {
  if (round(vw) === 0) return `${round(px)}px`
  if (round(px) === 0) return `${round(vw)}vw`
  return `calc(${round(vw)}vw ${px < 0 ? '-' : '+'} ${round(Math.abs(px))}px)`
}

/**
 * The `sizes` attribute of a picture, out of the width that the layout gives it in each range. Where the columns have
 * reached their greatest width the size is a plain px value; elsewhere it follows the viewport.
 */
export function sizesAttribute(extents: readonly Extent[], breakpoints: readonly Breakpoint[]): string {
  const parts: string[] = []
  extents.forEach((extent, index) => {
    const breakpoint = breakpoints[index]!
    const lower = breakpoints[index + 1]?.below ?? 0
    const upper = breakpoint.below ?? Infinity
    const full = breakpoint.container + 2 * breakpoint.margin
    const condition = (from: number) => (from === 0 ? '' : `(width >= ${from}px) `)
    if (extent.c !== 0 && full < upper) {
      const from = Math.max(full, lower)
      parts.push(condition(from) + linear(extent.v * 100, extent.c * breakpoint.container + extent.px))
    }
    if (extent.c === 0 || full > lower) {
      parts.push(condition(lower) + linear((extent.v + extent.c) * 100, extent.px - extent.c * 2 * breakpoint.margin))
    }
  })
  const sizeOf = (part: string) => part.replace(/^\(width >= \d+px\) /, '')
  // Of neighbours with one size, the last reaches furthest down.
  return parts.filter((part, i) => i === parts.length - 1 || sizeOf(part) !== sizeOf(parts[i + 1]!)).join(', ')
}

/** Viewports that pictures are made for, px, at one and two device pixels for each CSS pixel. */
const VIEWPORTS = [320, 375, 480, 640, 768, 1024, 1280, 1440, 1920]

/**
 * Widths in px to make of a picture, smallest first: those that the layout asks for at common viewports, at 1x and 2x,
 * none above the original's, and none within a fifth of the next.
 */
export function sourceWidths(extents: readonly Extent[], breakpoints: readonly Breakpoint[], original: number): number[] {
  const wanted = VIEWPORTS.flatMap((viewport) => {
    const index = rangeAt(breakpoints, viewport)
    const px = extentAt(extents[index]!, breakpoints[index]!, viewport)
    return [px, 2 * px]
  })
  const sorted = [...new Set(wanted.map((px) => Math.min(original, Math.max(16, Math.ceil(px)))))].sort((a, b) => b - a)
  const kept: number[] = []
  for (const width of sorted) if (kept.length === 0 || width * 1.2 <= kept.at(-1)!) kept.push(width)
  return kept.reverse()
}
