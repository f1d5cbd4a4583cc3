import { wcagContrast } from 'culori'
import type { Colour } from '#core/values/colour'

/** A colour as #rrggbb, its role looked up; `undefined` for a role that the guide has not. */
export function hexOf(colour: Colour, roles: readonly { role: string; hex: string }[]): string | undefined {
  return 'hex' in colour ? colour.hex : roles.find((one) => one.role === colour.role)?.hex
}

/** Contrast ratio of two colours, 1 to 21 (WCAG 2.2, 1.4.3). */
export const contrast = (a: string, b: string): number => wcagContrast(a, b)
