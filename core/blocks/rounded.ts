type Point = { x: number; y: number }

const n = (value: number) => String(Number(value.toFixed(2)))
const at = ({ x, y }: Point) => `${n(x)} ${n(y)}`
const towards = (from: Point, to: Point, px: number): Point => {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  return { x: from.x + ((to.x - from.x) * px) / length, y: from.y + ((to.y - from.y) * px) / length }
}

/**
 * How far from a corner its arc begins: the tangent length of a circle of that radius, and no more than half of the
 * shorter side, so that neighbouring arcs never meet.
 */
function setBack(before: Point, corner: Point, after: Point, radius: number): number {
  const [a, b] = [Math.hypot(before.x - corner.x, before.y - corner.y), Math.hypot(after.x - corner.x, after.y - corner.y)]
  if (a === 0 || b === 0) return 0
  const cosine = ((before.x - corner.x) * (after.x - corner.x) + (before.y - corner.y) * (after.y - corner.y)) / (a * b)
  const angle = Math.acos(Math.min(1, Math.max(-1, cosine)))
  return Math.min(radius / Math.tan(Math.max(angle, 0.001) / 2), a / 2, b / 2)
}

/** The way round a corner: a line to where its arc begins, and the arc, as a quadratic curve about the corner. */
function around(before: Point, corner: Point, after: Point, radius: number, first = false): string {
  const back = radius > 0 ? setBack(before, corner, after, radius) : 0
  const begin = first ? 'M' : 'L'
  if (back < 0.01) return `${begin}${at(corner)}`
  return `${begin}${at(towards(corner, before, back))}Q${at(corner)} ${at(towards(corner, after, back))}`
}

/** A polygon as path data, its corners rounded by a radius. */
export function roundedPolygon(points: readonly Point[], radius: number): string {
  const { length } = points
  return `${points
    .map((corner, i) => around(points[(i + length - 1) % length]!, corner, points[(i + 1) % length]!, radius, i === 0))
    .join('')}Z`
}

/** Lines of one run of a path, which can have their corners rounded; `undefined` for anything that is more than lines. */
function linesOf(run: string): { points: Point[]; closed: boolean } | undefined {
  if (!/^[Mm][MmLlHhVvZz\d\s.,eE+-]*$/.test(run)) return undefined
  const points: Point[] = []
  let now: Point = { x: 0, y: 0 }
  for (const [, letter, text] of run.matchAll(/([MmLlHhVvZz])([^MmLlHhVvZz]*)/g)) {
    const figures = (text!.match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?/g) ?? []).map(Number)
    const relative = letter === letter!.toLowerCase()
    const step = /[HhVv]/.test(letter!) ? 1 : 2
    for (let i = 0; i + step <= figures.length; i += step) {
      const origin = relative ? now : { x: 0, y: 0 }
      if (/[Hh]/.test(letter!)) now = { x: origin.x + figures[i]!, y: now.y }
      else if (/[Vv]/.test(letter!)) now = { x: now.x, y: origin.y + figures[i]! }
      else now = { x: origin.x + figures[i]!, y: origin.y + figures[i + 1]! }
      points.push(now)
    }
  }
  return points.length < 3 ? undefined : { points, closed: /[Zz]\s*$/.test(run) }
}

/** Path data with the corners between straight lines rounded by a radius; runs with curves in them stay as they are. */
export function roundedPath(path: string, radius: number): string {
  if (radius <= 0) return path
  // A run that begins relatively hangs on where the one before it ended, so only the first may.
  const runs = path.match(/[Mm][^Mm]*/g) ?? []
  if (runs.slice(1).some((run) => run.startsWith('m'))) return path
  return runs
    .map((run) => {
      const lines = linesOf(run)
      if (!lines) return run
      if (lines.closed) return roundedPolygon(lines.points, radius)
      const { points } = lines
      return points
        .map((corner, i) =>
          i === 0 || i === points.length - 1
            ? `${i === 0 ? 'M' : 'L'}${at(corner)}`
            : around(points[i - 1]!, corner, points[i + 1]!, radius),
        )
        .join('')
    })
    .join('')
}
