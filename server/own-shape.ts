import type { Element } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import { formatHex, parse } from 'culori'
import { FormatError } from '#core/formats/site-json'
import { MOST_PARTS, type Shape, type ShapePart } from '#core/blocks/shape'
import type { Colour } from '#core/values/colour'
import { pathOf } from './icon-bounds'
import { type Matrix, matrixOf, moved, SHAPES, times } from './svg-matrix'
import { inThread } from './threads/pool'

type Paint = { fill: Colour | null; stroke: Colour | null; width: number; opacity: number }

/** A paint of SVG as a colour; `null` for none, and for what is no plain colour, as a gradient. */
function colourOf(value: unknown, around: Colour | null, opacity: number): Colour | null {
  if (value === undefined) return around
  const text = String(value)
  if (text === 'none') return null
  if (text === 'currentColor' || text === 'currentcolor') return { role: 'ink' }
  const colour = parse(text)
  if (!colour) return around
  const alpha = (colour.alpha ?? 1) * opacity
  const hex = formatHex(colour).toUpperCase()
  return alpha < 1 ? { hex, alpha } : { hex }
}

function partsIn(element: Element, matrix: Matrix, around: Paint): ShapePart[] {
  const { properties } = element
  const here = times(matrix, matrixOf(properties.transform))
  const opacity = around.opacity * Number(properties.opacity ?? 1)
  const width = Number.parseFloat(String(properties.strokeWidth ?? around.width))
  const paint: Paint = {
    fill: colourOf(properties.fill, around.fill, opacity * Number(properties.fillOpacity ?? 1)),
    stroke: colourOf(properties.stroke, around.stroke, opacity * Number(properties.strokeOpacity ?? 1)),
    width: Number.isFinite(width) ? width : around.width,
    opacity,
  }
  if (SHAPES.has(element.tagName)) {
    const values = Object.fromEntries(Object.entries(properties).map(([name, value]) => [name, String(value)]))
    const path = pathOf([element.tagName, values] as unknown as Parameters<typeof pathOf>[0])
    if (path === '' || (!paint.fill && !paint.stroke)) return []
    const scale = Math.sqrt(Math.abs(here[0] * here[3] - here[1] * here[2]))
    return [
      {
        path: moved(path, here),
        ...(paint.fill ? { fill: paint.fill } : {}),
        ...(paint.stroke ? { stroke: paint.stroke, strokeWidth: Number((paint.width * scale).toFixed(2)) } : {}),
      },
    ]
  }
  if (['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'title', 'desc', 'text'].includes(element.tagName)) return []
  return element.children.flatMap((child) => (child.type === 'element' ? partsIn(child, here, paint) : []))
}

/**
 * An uploaded SVG as a drawing of paths whose colours can be changed: cleaned, transforms worked in.
 * @throws FormatError if it is no drawing, or has more in it than a block may
 */
export async function ownShape(bytes: Uint8Array, name: string): Promise<Pick<Shape, 'view' | 'parts'>> {
  const { text, width, height } = await inThread(Symbol(name), 'clean-svg', new TextDecoder().decode(bytes), {
    sentence: `"${name}" takes too long to clean. Simplify its paths.`,
  })
  const root = fromHtml(text, { fragment: true, space: 'svg' }).children.find((one): one is Element => one.type === 'element')!
  const [left = 0, top = 0, across = width, down = height] = String(root.properties.viewBox ?? '')
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number)
  const scale = Math.min(1, 2000 / Math.max(across, down))
  const place: Matrix = [scale, 0, 0, scale, -left * scale, -top * scale]
  const parts = partsIn(root, place, { fill: { hex: '#000000' }, stroke: null, width: 1, opacity: 1 })
  if (parts.length === 0) throw new FormatError(`"${name}" holds no shapes.`)
  if (parts.length > MOST_PARTS)
    throw new FormatError(`"${name}" has ${parts.length} shapes. A drawing may have ${MOST_PARTS}; use it as a picture instead.`)
  const long = parts.find((one) => (one.path?.length ?? 0) > 20_000)
  if (long) throw new FormatError(`"${name}" has a path of ${long.path!.length.toLocaleString('en-GB')} signs; 20,000 are allowed.`)
  return { view: { width: Number((across * scale).toFixed(2)), height: Number((down * scale).toFixed(2)) }, parts }
}
