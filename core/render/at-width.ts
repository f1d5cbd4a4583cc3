import type { Rule } from './rules'

/** A viewport that is not the window's, px. */
export type Viewport = { width: number; height: number }

const inPixels = (value: string, { width, height }: Viewport) =>
  value.replace(
    /(-?\d*\.?\d+)v([wh])\b/g,
    (_, n: string, axis: string) => `${Number(((Number(n) * (axis === 'w' ? width : height)) / 100).toFixed(3))}px`,
  )

/** Selectors of the document's own elements, as they are written inside a shadow tree. */
const INSIDE: Record<string, string> = { ':root': ':host', html: ':host', body: '.page' }

/**
 * The rules that hold at one viewport width, without media queries and viewport units, for a small rendering in the
 * shadow tree of an element: it costs no frame of its own, and looks as the page does at that width.
 */
export function rulesAt(rules: readonly Rule[], viewport: Viewport): Rule[] {
  return rules
    .filter(({ below }) => below === null || viewport.width < below)
    .map(({ selector, declarations }) => ({
      selector: INSIDE[selector] ?? selector,
      below: null,
      declarations: declarations.map(([name, value]) => [name, inPixels(value, viewport)] as const),
    }))
}
