import type { Rect, Size } from './crop'

/** A colour of sRGB, each channel 0 to 255, and its opacity, 0 to 1. */
export type Rgba = { r: number; g: number; b: number; a: number }

/** A tint over a picture: of one strength, or along a gradient over the box, in degrees as CSS counts them. */
export type Tint = { colour: Omit<Rgba, 'a'>; from: number; to: number; angle: number }

/**
 * The strength of a tint at a point of its box, 0 to 1, along the gradient line of CSS (CSS Images 3, 3.1.1): through the
 * middle, as long as puts the corners on its ends.
 */
export function strengthAt({ from, to, angle }: Tint, x: number, y: number, { width, height }: Size): number {
  if (from === to) return from
  const turn = (angle * Math.PI) / 180
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)]
  const length = Math.abs(width * sin) + Math.abs(height * cos)
  const along = (x - width / 2) * sin - (y - height / 2) * cos
  return from + (to - from) * Math.min(1, Math.max(0, along / length + 0.5))
}

/**
 * Lays tints over pixels, the lowest first, as source-over in sRGB (Compositing and Blending 1, 5.1).
 * @param pixels four bytes for each, opaque; they stay as they are
 * @param part of the tinted box that they show, px, one pixel for each
 */
export function tinted(pixels: Uint8ClampedArray, part: Rect, box: Size, tints: readonly Tint[]): Uint8ClampedArray {
  const out = new Uint8ClampedArray(pixels)
  for (const tint of tints) {
    for (let n = 0; n < out.length; n += 4) {
      const at = n / 4
      const [x, y] = [part.left + (at % part.width) + 0.5, part.top + Math.floor(at / part.width) + 0.5]
      const strength = strengthAt(tint, x, y, box)
      out[n] = out[n]! + (tint.colour.r - out[n]!) * strength
      out[n + 1] = out[n + 1]! + (tint.colour.g - out[n + 1]!) * strength
      out[n + 2] = out[n + 2]! + (tint.colour.b - out[n + 2]!) * strength
    }
  }
  return out
}
