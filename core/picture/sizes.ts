import { contentWidth, rangeAt } from '#core/grid/columns'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Extent } from '#core/grid/extent'
import type { Breakpoint } from '#core/grid/breakpoint'

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
const VIEWPORTS = [320, 375, 480, 640, 768, 1024, 1280, 1440, 1920, 2560]

/** What a picture is drawn at in one width of the window, px of its own width. */
export type Drawn = {
  viewport: number
  /** Width of its box. */
  box: number
  /** What a box as high as its words need asks for; `box` where the picture covers no higher one. */
  least: number
  /** What a box whose height follows the window asks for: a part of the window's height in vh, and px. */
  window?: { px: number; vh: number }
}

/** Widths of the window between which the box of a picture grows in a straight line, px. */
export function knotsOf(breakpoints: readonly Breakpoint[]): number[] {
  const full = breakpoints.flatMap(({ container, margin, below }, i) => {
    const width = container + 2 * margin
    return width < (below ?? Infinity) && width > (breakpoints[i + 1]?.below ?? 0) ? [width] : []
  })
  const belows = breakpoints.flatMap(({ below }) => (below === null ? [] : [below]))
  return [...new Set([0, ...full, ...belows])].sort((a, b) => a - b)
}

/** Viewports at which boxes are worked out for `sizes`, px: common ones, and both sides of every knot. */
export function sampleViewports(breakpoints: readonly Breakpoint[]): number[] {
  const knots = knotsOf(breakpoints).filter((one) => one > VIEWPORTS[0]!)
  const all = [...VIEWPORTS, 420, 560, 700, 900, 1150, 1600, 2240, ...knots, ...knots.map((one) => one - 1)]
  return [...new Set(all)].sort((a, b) => a - b)
}

/** How much more than needed a picture may be asked for, so that one size holds for a longer range. */
const SLACK = 1.2

const sizeAt = ({ box, least }: Drawn) => Math.max(box, least)

/** The size of a run of neighbouring widths: as wide as the box, and at least what it needs to cover its height. */
function sizeOfRun(run: readonly Drawn[], straight: string): string {
  const covering = run.filter(({ box, least }) => least > box * 1.02)
  const windows = run.flatMap(({ window }) => (window ? [window] : []))
  const tallest = windows.sort((a, b) => b.px + b.vh * 8 - (a.px + a.vh * 8))[0]
  const parts = [
    ...(run.some(({ box, least }) => least < box * 0.98) ? [] : [straight]),
    ...(covering.length > 0 ? [`${Math.ceil(Math.max(...covering.map((one) => one.least)))}px`] : []),
    ...(tallest
      ? [
          tallest.px === 0
            ? `${round(tallest.vh)}vh`
            : `calc(${round(tallest.vh)}vh ${tallest.px < 0 ? '-' : '+'} ${round(Math.abs(tallest.px))}px)`,
        ]
      : []),
  ]
  if (parts.length === 0) return `${Math.ceil(Math.max(...run.map((one) => one.least)))}px`
  return parts.length === 1 ? parts[0]! : `max(${parts.join(', ')})`
}

/** Parts a stretch into runs, from the widest down, that one size suits within the slack. */
function runsOf(stretch: readonly Drawn[]): Drawn[][] {
  const runs: Drawn[][] = []
  for (const one of [...stretch].reverse()) {
    const run = runs.at(-1)
    const longer = [...(run ?? []), one]
    const most = Math.max(...longer.map((each) => (each.least > each.box * 1.02 || each.least < each.box * 0.98 ? each.least : 0)))
    if (run && longer.every((each) => most <= sizeAt(each) * SLACK)) run.push(one)
    else runs.push([one])
  }
  return runs
}

/** The `sizes` attribute of a picture out of what it is drawn at, given at all sample viewports, the narrowest first. */
export function sizesOfDrawn(drawn: readonly Drawn[], breakpoints: readonly Breakpoint[]): string {
  const knots = knotsOf(breakpoints)
  const parts: { from: number; size: string }[] = []
  for (let i = knots.length - 1; i >= 0; i--) {
    const stretch = drawn.filter(({ viewport }) => viewport >= knots[i]! && viewport < (knots[i + 1] ?? Infinity))
    if (stretch.length === 0) continue
    const [first, last] = [stretch[0]!, stretch.at(-1)!]
    const slope = last === first ? 0 : (last.box - first.box) / (last.viewport - first.viewport)
    const straight = linear(slope * 100, first.box - slope * first.viewport)
    const runs = runsOf(stretch)
    runs.forEach((run, at) =>
      parts.push({ from: at === runs.length - 1 ? knots[i]! : run.at(-1)!.viewport, size: sizeOfRun(run, straight) }),
    )
  }
  return parts
    .filter((part, i) => i === parts.length - 1 || part.size !== parts[i + 1]!.size)
    .map(({ from, size }) => (from === 0 ? size : `(width >= ${from}px) ${size}`))
    .join(', ')
}

/** From one file of a picture to the next larger. Of two, browsers take the nearer, so none is a tenth too small. */
const APART = 1.2

/**
 * Widths in px to make of a picture, smallest first: evenly apart from the largest that is asked for, at 2x and no
 * more than the original's, down to the smallest.
 */
export function widthsFor(asked: readonly number[], original: number): number[] {
  const within = (px: number) => Math.min(original, Math.max(16, Math.ceil(px)))
  const [least, most] = [within(Math.min(...asked)), within(2 * Math.max(...asked))]
  const widths = [most]
  for (let width = most / APART; Math.round(width) > 16 && widths[0]! > least; width /= APART) widths.unshift(Math.round(width))
  return widths
}

/** Widths to make of a picture whose box follows from columns. */
export function sourceWidths(extents: readonly Extent[], breakpoints: readonly Breakpoint[], original: number): number[] {
  const asked = VIEWPORTS.map((viewport) => {
    const index = rangeAt(breakpoints, viewport)
    return extentAt(extents[index]!, breakpoints[index]!, viewport)
  })
  return widthsFor(asked, original)
}

/** Widths to make of a picture out of what it is drawn at. */
export function drawnWidths(drawn: readonly Drawn[], original: number): number[] {
  return widthsFor(
    drawn.map((one) =>
      Math.max(sizeAt(one), one.window ? one.window.px + (one.window.vh * viewportHeightFor(one.viewport)) / 100 : 0),
    ),
    original,
  )
}
