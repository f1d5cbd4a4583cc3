import { converter, formatHex } from 'culori'
import type { Picture } from '#core/picture/picture'
import type { Site } from '#core/site/schema'
import type { StyleGuide } from '#core/guide/style-guide'

/** How a page is shown: with its style guide, or in greys with crossed frames for pictures. */
export type Finish = 'finished' | 'wire'

/** The face of the wire look, of those that ship with the application. */
const NEUTRAL = 'public-sans'

const toOklab = converter('oklab')

/** The grey of the same perceived lightness (OKLab, Ottosson 2020), so that words stay as legible as they are. */
export function greyOf(hex: string): string {
  const { l } = toOklab(hex)!
  return formatHex({ mode: 'oklab', l, a: 0, b: 0 })
}

const known = new WeakMap<StyleGuide, StyleGuide>()

/** The style guide of the wire look: the same sizes and spaces, in greys and one neutral face. */
export function wireGuide(guide: StyleGuide): StyleGuide {
  let wire = known.get(guide)
  if (!wire) {
    wire = {
      ...guide,
      colours: guide.colours.map((one) => ({ ...one, hex: greyOf(one.hex) })),
      faces: guide.faces.map((one) => ({ ...one, family: NEUTRAL })),
    }
    known.set(guide, wire)
  }
  return wire
}

/** A site as the wire look shows it. */
export const wireSite = (site: Site): Site => ({ ...site, guide: wireGuide(site.guide) })

/** What the wire look adds to a stylesheet: frames fill their boxes corner to corner; colours of single blocks turn grey. */
export const WIRE_CSS = 'html{filter:grayscale(1)}img{object-fit:fill!important}'

/** A crossed frame of a picture's size, as the URL of an SVG. */
export function crossedFrame({ width, height }: Picture): string {
  const stroke = `stroke="#6f6f6f" vector-effect="non-scaling-stroke"`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" preserveAspectRatio="none"><rect width="100%" height="100%" fill="#a3a3a3" ${stroke}/><path d="M0 0L${width} ${height}M0 ${height}L${width} 0" ${stroke}/></svg>`
  return `data:image/svg+xml,${encodeURIComponent(svg)}`
}
