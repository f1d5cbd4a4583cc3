import type { Element } from 'hast'
import { formatHex, parse } from 'culori'
import { FormatError } from '#core/formats/site-json'
import { MOST_PARTS, type Shape, type ShapePart } from '#core/blocks/shape'
import type { Colour } from '#core/values/colour'
import { type DrawingFile, drawingOf, shapesIn } from './drawing'
import type { Matrix } from './svg-matrix'

/** Most signs of a path, in a file and as it is kept: worked out, it may be longer. */
const LONGEST = 20_000
/** Longest side of the field that a drawing is kept on. */
const FIELD = 2000

type Paint = { fill: Colour | null; stroke: Colour | null; width: number; opacity: number }

const share = (value: unknown): number => {
  const number = Number(value ?? 1)
  return Number.isFinite(number) ? Math.min(1, Math.max(0, number)) : 1
}

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

function paintOf({ properties }: Element, around: Paint): Paint {
  const opacity = around.opacity * share(properties.opacity)
  const width = Number.parseFloat(String(properties.strokeWidth ?? around.width))
  return {
    fill: colourOf(properties.fill, around.fill, opacity * share(properties.fillOpacity)),
    stroke: colourOf(properties.stroke, around.stroke, opacity * share(properties.strokeOpacity)),
    width: Number.isFinite(width) ? width : around.width,
    opacity,
  }
}

function partOf({ fill, stroke, width }: Paint, [a, b, c, d]: Matrix, path: () => string): ShapePart | undefined {
  if (!fill && !stroke) return undefined
  const scale = Math.sqrt(Math.abs(a * d - b * c))
  return {
    path: path(),
    ...(fill ? { fill } : {}),
    ...(stroke ? { stroke, strokeWidth: Math.min(500, Number((width * scale).toFixed(2))) } : {}),
  }
}

/**
 * An SVG as a drawing of paths whose colours can be changed: cleaned, transforms worked in.
 * @throws FormatError if it is no drawing, or has more in it than a block may
 */
export function readShapeFile(file: DrawingFile): Pick<Shape, 'view' | 'parts'> {
  const { name } = file
  const { root, left, top, across, down } = drawingOf(file)
  const scale = Math.min(1, FIELD / Math.max(across, down))
  const outer: Paint = { fill: { hex: '#000000' }, stroke: null, width: 1, opacity: 1 }
  const parts = shapesIn(root, [scale, 0, 0, scale, -left * scale, -top * scale], outer, {
    name,
    most: MOST_PARTS,
    longest: LONGEST,
    paint: paintOf,
    take: partOf,
  })
  if (parts.length === 0) throw new FormatError(`"${name}" holds no shapes.`)
  const long = parts.find((one) => (one.path?.length ?? 0) > LONGEST)
  if (long) throw new FormatError(`"${name}" has a path of ${long.path!.length.toLocaleString('en-GB')} signs; 20,000 are allowed.`)
  return { view: { width: Number((across * scale).toFixed(2)), height: Number((down * scale).toFixed(2)) }, parts }
}
