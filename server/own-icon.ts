import type { Element } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import { FormatError } from '#core/formats/site-json'
import { slug } from '#core/render/names'
import { type Icon, ICON_FIELD, iconSchema } from '#core/values/icon'
import { boundsOf, pathOf } from './icon-bounds'
import { type Matrix, matrixOf, moved, SHAPES, times } from './svg-matrix'
import { inThread } from './threads/pool'

type Node = Icon['nodes'][number]

type Paint = { fill: string; stroke: string; width: number }

/** What an element is painted with; what it does not say is as in what holds it. Every colour becomes that of the words. */
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
