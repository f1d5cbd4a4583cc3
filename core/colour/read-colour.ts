import { type Color, formatHex, parse } from 'culori'

/** A colour as CSS writes it; `undefined` for a text that is none, also where the reader itself fails on it. */
export function readCssColour(text: string): Color | undefined {
  try {
    return parse(text)
  } catch {
    return undefined
  }
}

/**
 * A colour as CSS writes it, or six or three figures of hexadecimal without their sign, as `#1A1D47`; what lies outside
 * sRGB is clipped. `undefined` for a text that is no colour, and for one that lets others through.
 */
export function readHex(text: string): string | undefined {
  const typed = text.trim()
  const colour = readCssColour(/^[0-9a-f]{3}([0-9a-f]{3})?$/i.test(typed) ? `#${typed}` : typed)
  return colour && (colour.alpha ?? 1) === 1 ? formatHex(colour).toUpperCase() : undefined
}
