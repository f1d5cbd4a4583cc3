import type { Breakpoint } from '#core/grid/breakpoint'

/** What a picture is asked for in one width of the window: px of its own width, as measured. */
export type Asked = { viewport: number; px: number }

type Line = { slope: number; px: number }
type Corner = readonly [slope: number, px: number]

/** Greatest slope and distance that a line is looked for with: more than any picture is asked for. */
const FIELD: Corner[] = [
  [-20, -40_000],
  [20, -40_000],
  [20, 40_000],
  [-20, 40_000],
]

/** The part of a polygon on one side of a line, a x + b y <= c (Sutherland and Hodgman 1974). */
function clipped(polygon: readonly Corner[], a: number, b: number, c: number): Corner[] {
  const side = ([x, y]: Corner) => c - a * x - b * y
  return polygon.flatMap((corner, i) => {
    const next = polygon[(i + 1) % polygon.length]!
    const [here, there] = [side(corner), side(next)]
    const kept = here >= 0 ? [corner] : []
    if (here >= 0 === there >= 0) return kept
    const share = here / (here - there)
    return [...kept, [corner[0] + (next[0] - corner[0]) * share, corner[1] + (next[1] - corner[1]) * share] as const]
  })
}

/** Lines that pass within a share of all that was asked, as a polygon of their slopes and distances; without corners if none does. */
const passing = (polygon: readonly Corner[], { viewport, px }: Asked, tolerance: number): Corner[] =>
  clipped(clipped(polygon, viewport, 1, px * (1 + tolerance)), -viewport, -1, -px * (1 - tolerance))

/** The line in the middle of those that pass, as it is written: in hundredths, flat where one of them is. */
function chosen(polygon: readonly Corner[], run: readonly Asked[], tolerance: number): Line {
  const round = (value: number) => Number(value.toFixed(2))
  const flat = round(run.reduce((sum, one) => sum + one.px, 0) / run.length)
  const fits = ({ slope, px }: Line) =>
    run.every((one) => Math.abs(slope * one.viewport + px - one.px) <= one.px * tolerance + 0.01)
  if (fits({ slope: 0, px: flat })) return { slope: 0, px: flat }
  const mean = (at: 0 | 1) => polygon.reduce((sum, one) => sum + one[at], 0) / polygon.length
  const slope = Number(mean(0).toFixed(4))
  // The whole width of the window, or a part of it, is said without px where that fits.
  const plain = Number((run.reduce((sum, one) => sum + one.px / one.viewport, 0) / run.length).toFixed(4))
  if (fits({ slope: plain, px: 0 })) return { slope: plain, px: 0 }
  // Once the slope is rounded, the distance is what suits all of them best.
  const px = round(run.reduce((sum, one) => sum + one.px - slope * one.viewport, 0) / run.length)
  return fits({ slope, px }) ? { slope, px } : { slope, px: round(mean(1)) }
}

const written = ({ slope, px }: Line): string => {
  const vw = Number((slope * 100).toFixed(2))
  if (vw === 0) return `${px}px`
  return px === 0 ? `${vw}vw` : `calc(${vw}vw ${px < 0 ? '-' : '+'} ${Math.abs(px)}px)`
}

/**
 * The `sizes` attribute with the fewest conditions whose error stays under a share at every width that was measured. From
 * the widest down, each condition holds for as long as some line passes within that share of all it covers, which leaves
 * no way with fewer.
 * @param asked from the narrowest to the widest
 * @param tolerance a share, 0.03 for three percent
 */
export function fittedSizes(asked: readonly Asked[], tolerance = 0.03): string {
  const parts: { from: number; size: string }[] = []
  let [run, polygon]: [Asked[], Corner[]] = [[], FIELD]
  const close = (from: number) => parts.push({ from, size: written(chosen(polygon, run, tolerance)) })
  for (const one of [...asked].reverse()) {
    const next = passing(polygon, one, tolerance)
    if (next.length === 0 && run.length > 0) {
      close(run.at(-1)!.viewport)
      ;[run, polygon] = [[], FIELD]
      polygon = passing(polygon, one, tolerance)
    } else polygon = next
    run.push(one)
  }
  if (run.length > 0) close(0)
  return parts.map(({ from, size }) => (from === 0 ? size : `(width >= ${from}px) ${size}`)).join(', ')
}

/** Widths of the window at which pictures are measured, px: evenly apart, and both sides of each breakpoint. */
export function measuredViewports(breakpoints: readonly Breakpoint[], from = 320, to = 2560, step = 40): number[] {
  const even = Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => from + i * step)
  const edges = breakpoints.flatMap(({ below, container, margin }) => [
    ...(below === null ? [] : [below - 1, below]),
    container + 2 * margin,
  ])
  return [...new Set([...even, ...edges])].filter((one) => one >= from && one <= to).sort((a, b) => a - b)
}
