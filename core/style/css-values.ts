import { type Colour, layersOfShadow, type Shadow } from '#core/values/colour'
import type { Length } from '#core/values/length'
import { fluidToCss } from '#core/type/fluid'

/** How `vh` is written: as the unit, or through `--vh` where a frame is as tall as its page (the views). */
export type ViewportUnit = 'unit' | 'property'

const number = (value: number) => String(Number(value.toFixed(4)))

/** The CSS of a length. A width in columns counts the gutters between them: n columns and n - 1 gutters. */
export function lengthToCss(length: Length, viewportUnit: ViewportUnit = 'unit'): string {
  if ('token' in length) return `var(--${length.token})`
  if ('fluid' in length) return fluidToCss(length.fluid)
  const { value, unit } = length
  if (value === 0) return '0'
  if (unit === 'columns') return `calc((100% + var(--gutter)) / var(--columns) * ${number(value)} - var(--gutter))`
  if (unit === 'vh' && viewportUnit === 'property') return `calc(var(--vh) * ${number(value)})`
  return `${number(value)}${unit}`
}

/** The CSS of a colour: a custom property for a role, mixed with transparent where it has an alpha below 1. */
export function colourToCss(colour: Colour): string {
  const alpha = colour.alpha ?? 1
  if ('role' in colour) {
    const property = `var(--${colour.role})`
    return alpha === 1 ? property : `color-mix(in srgb, ${property} ${number(alpha * 100)}%, transparent)`
  }
  if (alpha === 1) return colour.hex.toLowerCase()
  const byte = Math.round(alpha * 255)
  return `${colour.hex.toLowerCase()}${byte.toString(16).padStart(2, '0')}`
}

export function shadowToCss(shadow: Shadow): string {
  if ('token' in shadow) return shadow.token === 'none' ? 'none' : `var(--${shadow.token})`
  return layersOfShadow(shadow)
    .map(
      ({ x, y, blur, spread, colour, inset }) =>
        `${inset ? 'inset ' : ''}${x}px ${y}px ${blur}px ${spread}px ${colourToCss(colour)}`,
    )
    .join(', ')
}

/** A length in words, with its unit: `24 px`, `space-4`, `38 to 76 px`. */
export function lengthInWords(length: Length): string {
  if ('token' in length) return length.token
  if ('fluid' in length) return `${length.fluid.from.px} to ${length.fluid.to.px} px`
  return `${number(length.value)} ${length.unit}`
}
