import type { Element } from 'hast'
import { FormatError } from '#core/formats/site-json'
import { slug } from '#core/render/names'
import { type Icon, ICON_FIELD, iconSchema } from '#core/values/icon'
import { boundsOf } from '../icon-bounds'
import { type DrawingFile, drawingOf, shapesIn } from './drawing'

type Node = Icon['nodes'][number]

/** Most shapes of an icon, and most signs of one. */
const MOST = { shapes: 40, signs: 4000 }

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

/**
 * An SVG as an icon: cleaned, in paths on the field of 24 by 24, in one colour.
 * @throws FormatError if it is no drawing, or too much of one for an icon
 */
export function readIconFile(file: DrawingFile): Icon {
  const { name } = file
  const { root, left, top, across, down } = drawingOf(file)
  const scale = ICON_FIELD / Math.max(across, down)
  const middle = (from: number, size: number) => (ICON_FIELD - size * scale) / 2 - from * scale
  const nodes = shapesIn<Paint, Node>(
    root,
    [scale, 0, 0, scale, middle(left, across), middle(top, down)],
    { fill: 'currentColor', stroke: 'none', width: 1 },
    {
      name,
      most: MOST.shapes,
      longest: MOST.signs,
      paint: paintOf,
      take({ fill, stroke, width }, _, path) {
        if (fill === 'none' && stroke === 'none') return undefined
        const line = stroke === 'none' ? {} : { 'stroke-width': String(Number((width * scale).toFixed(2))) }
        return ['path', { d: path(), fill, stroke, ...line }]
      },
    },
  )
  if (nodes.length === 0) throw new FormatError(`"${name}" holds no shapes that can be drawn in one colour.`)
  const icon = { name: slug(name.replace(/\.[a-z]+$/i, '')).slice(0, 60), nodes, bounds: boundsOf(nodes, 0) }
  const read = iconSchema.safeParse(icon)
  if (!read.success) throw new FormatError(`"${name}" has more in it than an icon may: 40 shapes of 4,000 signs each at most.`)
  return read.data
}
