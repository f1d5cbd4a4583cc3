import SVGPathCommander from 'svg-path-commander'

/** Elements that draw. */
export const SHAPES = new Set(['path', 'circle', 'rect', 'line', 'polyline', 'polygon', 'ellipse'])
/** A matrix as SVG has it: a, b, c, d, e, f. */
export type Matrix = readonly [number, number, number, number, number, number]
export const SAME: Matrix = [1, 0, 0, 1, 0, 0]

/** One matrix after another. */
export const times = ([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
]

/** The matrix of one `transform` (SVG 2, 8.5); what is no transform changes nothing. */
export function matrixOf(text: unknown): Matrix {
  let matrix = SAME
  // What stands between two brackets that close: a name, a bracket, and figures.
  const functions = String(text ?? '')
    .split(')')
    .slice(0, -1)
  for (const one of functions) {
    const at = one.indexOf('(')
    const name = one
      .slice(0, Math.max(0, at))
      .split(/[\s,]+/)
      .findLast((word) => word !== '')
    const v = one
      .slice(at + 1)
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number)
    if (v.some((one) => !Number.isFinite(one))) continue
    const turn = ((v[0] ?? 0) * Math.PI) / 180
    const rotated: Matrix = [Math.cos(turn), Math.sin(turn), -Math.sin(turn), Math.cos(turn), 0, 0]
    const about = (inner: Matrix, x = 0, y = 0) => times(times([1, 0, 0, 1, x, y], inner), [1, 0, 0, 1, -x, -y])
    const made: Record<string, Matrix> = {
      matrix: v.length === 6 ? (v as unknown as Matrix) : SAME,
      translate: [1, 0, 0, 1, v[0] ?? 0, v[1] ?? 0],
      scale: [v[0] ?? 1, 0, 0, v[1] ?? v[0] ?? 1, 0, 0],
      rotate: about(rotated, v[1], v[2]),
      skewX: [1, 0, Math.tan(turn), 1, 0, 0],
      skewY: [1, Math.tan(turn), 0, 1, 0, 0],
    }
    matrix = times(matrix, name !== undefined && Object.hasOwn(made, name) ? made[name]! : SAME)
  }
  return matrix
}

const curvesOf = (path: string): readonly (readonly [string, ...number[]])[] | undefined => {
  try {
    return SVGPathCommander.pathToCurve(path) as unknown as (readonly [string, ...number[]])[]
  } catch {
    return undefined
  }
}

/**
 * Path data under a matrix; curves and arcs become cubic curves, which stay what they are. `undefined` for what is no
 * path, and for one that comes to figures without an end.
 */
export function moved(path: string, matrix: Matrix): string | undefined {
  const curves = curvesOf(path)
  if (!curves) return undefined
  const [a, b, c, d, e, f] = matrix
  const round = (value: number) => Number(value.toFixed(3))
  const done = curves
    .map(([letter, ...figures]) => {
      const moved: number[] = []
      for (let i = 0; i + 1 < figures.length; i += 2) {
        const [x, y] = [figures[i]!, figures[i + 1]!]
        moved.push(round(a * x + c * y + e), round(b * x + d * y + f))
      }
      return `${letter}${moved.join(' ')}`
    })
    .join('')
  return /NaN|Infinity|e[+-]?\d/.test(done) ? undefined : done
}
