import type { Blend } from '#core/style/blends'
import { layOver } from './blend'
import type { Rect, Size } from './crop'
import { type Gradient, gradientIn } from './gradient'
import type { Rgba } from './rgba'

/** One thing that is painted, on a rectangle counted from the top left corner of the part that is looked at, px. */
export type Paint = { rect: Rect; opacity?: number; blend?: Blend } & (
  | { kind: 'colour'; colour: Rgba }
  | { kind: 'gradient'; gradient: Gradient }
  /** Pixels of the whole part, four bytes each; those outside the rectangle let all through. */
  | { kind: 'pixels'; pixels: Uint8ClampedArray }
)

/** Pixels of a part in one colour, for other things to be painted on. */
export function ground({ width, height }: Size, { r, g, b }: Rgba): Uint8ClampedArray {
  const pixels = new Uint8ClampedArray(width * height * 4)
  const one = new Uint32Array(pixels.buffer)
  // Bytes lie in the order red, green, blue, alpha on every machine that browsers run on.
  one.fill((255 << 24) | (Math.round(b) << 16) | (Math.round(g) << 8) | Math.round(r))
  return pixels
}

/** Paints one thing over opaque pixels of a part, in place. */
export function paintOver(pixels: Uint8ClampedArray, part: Size, paint: Paint): void {
  const { rect, opacity = 1, blend = 'normal' } = paint
  const [left, top] = [Math.max(0, Math.round(rect.left)), Math.max(0, Math.round(rect.top))]
  const right = Math.min(part.width, Math.round(rect.left + rect.width))
  const bottom = Math.min(part.height, Math.round(rect.top + rect.height))
  const colourAt = readerOf(paint, part)
  for (let y = top; y < bottom; y++) {
    for (let x = left; x < right; x++) {
      const colour = colourAt(x, y)
      layOver(pixels, (y * part.width + x) * 4, opacity === 1 ? colour : { ...colour, a: colour.a * opacity }, blend)
    }
  }
}

function readerOf(paint: Paint, part: Size): (x: number, y: number) => Rgba {
  switch (paint.kind) {
    case 'colour':
      return () => paint.colour
    case 'gradient': {
      const { left, top } = paint.rect
      const read = gradientIn(paint.gradient, paint.rect)
      return (x, y) => read(x + 0.5 - left, y + 0.5 - top)
    }
    case 'pixels': {
      const { pixels } = paint
      const one = { r: 0, g: 0, b: 0, a: 0 }
      return (x, y) => {
        const at = (y * part.width + x) * 4
        one.r = pixels[at]!
        one.g = pixels[at + 1]!
        one.b = pixels[at + 2]!
        one.a = pixels[at + 3]! / 255
        return one
      }
    }
  }
}

/** Paints things over pixels, the lowest first; what was given stays as it is. */
export function painted(pixels: Uint8ClampedArray, part: Size, paints: readonly Paint[]): Uint8ClampedArray {
  if (paints.length === 0) return pixels
  const out = new Uint8ClampedArray(pixels)
  for (const paint of paints) paintOver(out, part, paint)
  return out
}
