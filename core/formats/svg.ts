import { fromHtml } from 'hast-util-from-html'
import { sanitize, type Schema } from 'hast-util-sanitize'
import { toHtml } from 'hast-util-to-html'
import type { Element } from 'hast'
import { MAX_SIDE } from '#core/picture/picture'
import { printable } from '#core/render/printable'
import { FormatError } from './site-json'

const GEOMETRY = ['x', 'y', 'x1', 'y1', 'x2', 'y2', 'cx', 'cy', 'r', 'rx', 'ry', 'width', 'height', 'd', 'points', 'pathLength']
const PAINT = [
  'fill',
  'fillOpacity',
  'fillRule',
  'stroke',
  'strokeWidth',
  'strokeOpacity',
  'strokeLineCap',
  'strokeLineJoin',
  'strokeDashArray',
  'strokeDashOffset',
  'strokeMiterLimit',
  'opacity',
  'clipPath',
  'clipRule',
  'mask',
  'transform',
  'color',
  'stopColor',
  'stopOpacity',
  'fontFamily',
  'fontSize',
  'fontWeight',
  'textAnchor',
  'dominantBaseline',
  'vectorEffect',
  'id',
  'display',
  'visibility',
]

/** Elements and attributes that only draw. Nothing that runs, loads, links or embeds. */
const DRAWING: Schema = {
  tagNames: [
    'svg',
    'g',
    'path',
    'rect',
    'circle',
    'ellipse',
    'line',
    'polyline',
    'polygon',
    'defs',
    'clipPath',
    'mask',
    'linearGradient',
    'radialGradient',
    'stop',
    'pattern',
    'symbol',
    'text',
    'tspan',
    'title',
    'desc',
  ],
  attributes: {
    '*': [...GEOMETRY, ...PAINT],
    svg: ['viewBox', 'xmlns', 'preserveAspectRatio'],
    linearGradient: ['gradientUnits', 'gradientTransform', 'spreadMethod'],
    radialGradient: ['gradientUnits', 'gradientTransform', 'spreadMethod', 'fx', 'fy'],
    stop: ['offset'],
    clipPath: ['clipPathUnits'],
    mask: ['maskUnits', 'maskContentUnits'],
    pattern: ['patternUnits', 'patternContentUnits', 'patternTransform', 'viewBox'],
  },
  clobberPrefix: '',
  strip: ['script', 'style', 'foreignObject'],
}

/**
 * An attribute that points outside the drawing: a `url(…)` that is not a fragment of it, another function that loads,
 * or an escape, by which either can be written so that it is not seen (CSS Syntax, 4.3.7).
 */
const OUTSIDE = /url\(\s*['"]?(?!#)|image|src\s*\(|cross-fade|element\s*\(|paint\s*\(|\\/i

/** Most that an SVG file may weigh, bytes. */
export const MAX_SVG = 2 * 1024 * 1024

export type CleanSvg = { text: string; width: number; height: number }

/**
 * Cleans an SVG file: scripts, event handlers, links, embedded files and references outside it are taken out.
 * Its size comes from `viewBox`, or from `width` and `height` in px.
 * @throws FormatError if there is no svg element, or no size
 */
export function cleanSvg(source: string): CleanSvg {
  if (source.length > MAX_SVG) throw new FormatError('The SVG picture weighs more than 2 MB. Simplify its paths, or use a PNG.')
  try {
    return clean(source)
  } catch (error) {
    if (error instanceof RangeError) throw new FormatError('The groups of the SVG picture are nested too deep to be read.')
    throw error
  }
}

function clean(source: string): CleanSvg {
  const start = source.search(/<svg[\s>]/i)
  if (start < 0) throw new FormatError('The file has no svg element, so it is not an SVG picture.')
  const tree = sanitize(fromHtml(source.slice(start), { fragment: true, space: 'svg' }), DRAWING)
  const svg =
    tree.type === 'root'
      ? tree.children.find((node): node is Element => node.type === 'element' && node.tagName === 'svg')
      : undefined
  if (!svg) throw new FormatError('The file has no svg element, so it is not an SVG picture.')
  dropOutside(svg)
  const box = String(svg.properties.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const width = box.length === 4 ? box[2]! : Number.parseFloat(String(svg.properties.width))
  const height = box.length === 4 ? box[3]! : Number.parseFloat(String(svg.properties.height))
  if (!(width > 0 && height > 0 && Number.isFinite(width * height)))
    throw new FormatError('The SVG picture has no viewBox and no width and height, so its shape is not known.')
  svg.properties.xmlns = 'http://www.w3.org/2000/svg'
  svg.properties.viewBox ??= `0 0 ${width} ${height}`
  // What a drawing measures is up to whoever drew it; a picture is no larger than a document allows.
  const scale = Math.min(1, MAX_SIDE / Math.max(width, height))
  const size = { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) }
  svg.properties.width = size.width
  svg.properties.height = size.height
  return { text: printable(toHtml(svg, { space: 'svg' })), ...size }
}

function dropOutside(element: Element): void {
  for (const [name, value] of Object.entries(element.properties)) {
    if (typeof value === 'string' && OUTSIDE.test(value)) delete element.properties[name]
  }
  for (const child of element.children) if (child.type === 'element') dropOutside(child)
}
