import type { Element } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import SVGPathCommander from 'svg-path-commander'
import { FormatError } from '#core/formats/site-json'
import { slug } from '#core/render/names'
import { type Icon, ICON_FIELD, iconSchema } from '#core/values/icon'
import { boundsOf, pathOf } from './icon-bounds'
import { inThread } from './threads/pool'

const SHAPES = new Set(['path', 'circle', 'rect', 'line', 'polyline', 'polygon', 'ellipse'])
type Node = Icon['nodes'][number]
/** A matrix as SVG has it: a, b, c, d, e, f. */
type Matrix = readonly [number, number, number, number, number, number]
const SAME: Matrix = [1, 0, 0, 1, 0, 0]

const times = ([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
]

/** The matrix of one `transform` (SVG 2, 8.5); what is no transform changes nothing. */
function matrixOf(text: unknown): Matrix {
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
function moved(path: string, matrix: Matrix): string {
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

type Paint = { fill: string; stroke: string; width: number }

/** What an element is painted with, what it does not say as what holds it is: any colour becomes that of the words. */
function paintOf({ properties }: Element, around: Paint): Paint {
  const of = (name: 'fill' | 'stroke') => {
    const value = properties[name]
    return value === undefined ? around[name] : value === 'none' ? 'none' : 'currentColor'
  }
  const width = Number.parseFloat(String(properties.strokeWidth ?? around.width))
  return { fill: of('fill'), stroke: of('stroke'), width: Number.isFinite(width) ? width : around.width }
}

function nodesIn(element: Element, matrix: Matrix, around: Paint, scale: number): Node[] {
  const here = times(matrix, matrixOf(element.properties.transform))
  const paint = paintOf(element, around)
  if (SHAPES.has(element.tagName)) {
    const values = Object.fromEntries(Object.entries(element.properties).map(([name, value]) => [name, String(value)]))
    const path = pathOf([element.tagName, values] as unknown as Node)
    if (path === '' || (paint.fill === 'none' && paint.stroke === 'none')) return []
    const node: Node = ['path', { d: moved(path, here), fill: paint.fill, stroke: paint.stroke }]
    if (paint.stroke !== 'none') node[1]['stroke-width'] = String(Number((paint.width * scale).toFixed(2)))
    return [node]
  }
  if (['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'title', 'desc', 'text'].includes(element.tagName)) return []
  return element.children.flatMap((child) => (child.type === 'element' ? nodesIn(child, here, paint, scale) : []))
}

/**
 * An uploaded SVG as an icon: cleaned, in paths on the field of 24 by 24, in one colour.
 * @throws FormatError if it is no drawing, or too much of one for an icon
 */
export async function ownIcon(bytes: Uint8Array, name: string): Promise<Icon> {
  const { text, width, height } = await inThread(Symbol(name), 'clean-svg', new TextDecoder().decode(bytes), {
    sentence: `"${name}" takes too long to clean. Simplify its paths.`,
  })
  const root = fromHtml(text, { fragment: true, space: 'svg' }).children.find((one): one is Element => one.type === 'element')!
  const [left = 0, top = 0, across = width, down = height] = String(root.properties.viewBox ?? '')
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number)
  const scale = ICON_FIELD / Math.max(across, down)
  const place: Matrix = [
    scale,
    0,
    0,
    scale,
    (ICON_FIELD - across * scale) / 2 - left * scale,
    (ICON_FIELD - down * scale) / 2 - top * scale,
  ]
  const outer: Paint = paintOf(root, { fill: 'currentColor', stroke: 'none', width: 1 })
  const nodes = root.children.flatMap((child) => (child.type === 'element' ? nodesIn(child, place, outer, scale) : []))
  if (nodes.length === 0) throw new FormatError(`"${name}" holds no shapes that can be drawn in one colour.`)
  const icon = { name: slug(name.replace(/\.[a-z]+$/i, '')).slice(0, 60), nodes, bounds: boundsOf(nodes, 0) }
  const read = iconSchema.safeParse(icon)
  if (!read.success) throw new FormatError(`"${name}" has more in it than an icon may: 40 shapes of 4,000 signs each at most.`)
  return read.data
}
