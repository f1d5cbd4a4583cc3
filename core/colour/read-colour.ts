import { type Color, parse } from 'culori'

/** A colour as CSS writes it; `undefined` for a text that is none, also where the reader itself fails on it. */
export function readCssColour(text: string): Color | undefined {
  try {
    return parse(text)
  } catch {
    return undefined
  }
}
