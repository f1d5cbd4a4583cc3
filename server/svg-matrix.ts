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
  for (const [, name, list] of String(text ?? '').matchAll(/(\w+)\s*\(([^)]*)\)/g)) {
    const v = list!
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
    matrix = times(matrix, made[name!] ?? SAME)
  }
  return matrix
}

/** Path data under a matrix; curves and arcs become cubic curves, which stay what they are. */
export function moved(path: string, matrix: Matrix): string {
  const curves = SVGPathCommander.pathToCurve(path) as unknown as (readonly [string, ...number[]])[]
  const [a, b, c, d, e, f] = matrix
  const round = (value: number) => Number(value.toFixed(3))
  return curves
    .map(([letter, ...figures]) => {
      const moved: number[] = []
      for (let i = 0; i + 1 < figures.length; i += 2) {
        const [x, y] = [figures[i]!, figures[i + 1]!]
        moved.push(round(a * x + c * y + e), round(b * x + d * y + f))
      }
      return `${letter}${moved.join(' ')}`
    })
    .join('')
}
