import { wcagContrast } from 'culori'
import type { Site } from '#core/site/schema'
import type { Colour } from '#core/style/values'

/** A colour as #rrggbb, its role looked up; `undefined` for a role that the guide has not. */
export function hexOf(colour: Colour, roles: Site['guide']['colours']): string | undefined {
  return 'hex' in colour ? colour.hex : roles.find((one) => one.role === colour.role)?.hex
}

/** Contrast ratio of two colours, 1 to 21 (WCAG 2.2, 1.4.3). */
export const contrast = (a: string, b: string): number => wcagContrast(a, b)
