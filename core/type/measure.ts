import type { Length } from '#core/values/length'
import { fluidAt, REM } from './fluid'

/** Characters per line that are read with ease, in one column. */
export const MEASURE = { least: 45, most: 80 } as const

/** Characters that a line of a width holds, on average. @param averageAdvance of the face, em */
export const charactersPerLine = (width: number, size: number, averageAdvance: number, tracking = 0): number =>
  width / (size * (averageAdvance + tracking))

/** What a size comes to at a viewport width, px; sizes that hang on their place (%, em, ch) have none. */
export function pxAt(length: Length, viewport: number): number | undefined {
  if ('fluid' in length) return fluidAt(length.fluid, viewport)
  if (!('value' in length)) return undefined
  return length.unit === 'px' ? length.value : length.unit === 'rem' ? length.value * REM : undefined
}

/**
 * How much larger text becomes when a reader zooms in to 200% in a window of a width: the window then counts half as
 * many CSS px, and a fluid size is that of the narrower window, drawn at twice the scale (WCAG 2.2, 1.4.4).
 * @returns the factor; 2 is full zoom
 */
export function zoomedBy200(length: Length, viewport: number): number | undefined {
  const [now, half] = [pxAt(length, viewport), pxAt(length, viewport / 2)]
  return now === undefined || half === undefined || now === 0 ? undefined : (2 * half) / now
}

/** The greatest zoom that browsers have, as a factor. */
export const GREATEST_ZOOM = 5

/** True if text can be made twice as large in a window of a width by some zoom that browsers have (WCAG 2.2, 1.4.4). */
export function reachesDouble(length: Length, viewport: number): boolean {
  const now = pxAt(length, viewport)
  if (now === undefined) return true
  const steps = [1.1, 1.25, 1.5, 1.75, 2, 2.5, 3, 4, GREATEST_ZOOM]
  return steps.some((zoom) => (zoom * pxAt(length, viewport / zoom)!) / now >= 2)
}
