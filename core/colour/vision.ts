import { hexOfLinear, linearOf, type LinearRgb } from './oklch'

type Matrix = readonly [LinearRgb, LinearRgb, LinearRgb]

/**
 * How colours look without one kind of cone, and without any: 3 × 3 matrices on linear sRGB. The dichromacies are
 * those of Machado, Oliveira and Fernandes, “A physiologically-based model for simulation of color vision
 * deficiency” (2009), severity 1; grey is relative luminance (WCAG 2.2).
 */
export const VISIONS: Record<string, Matrix> = {
  protanopia: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deuteranopia: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritanopia: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
  greyscale: [
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
  ],
}
export type Vision = 'protanopia' | 'deuteranopia' | 'tritanopia' | 'greyscale'

/** A colour as it is seen, #RRGGBB. */
export function seenAs(hex: string, vision: Vision): string {
  const rgb = linearOf(hex)
  return hexOfLinear(VISIONS[vision]!.map((row) => row.reduce((sum, k, i) => sum + k * rgb[i]!, 0)) as unknown as LinearRgb)
}

/** The values of an SVG `feColorMatrix` in `linearRGB` that does the same to a whole picture of the page. */
export const filterValues = (vision: Vision): string =>
  [...VISIONS[vision]!.map((row) => `${row.join(' ')} 0 0`), '0 0 0 1 0'].join(' ')
