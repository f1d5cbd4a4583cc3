import type { Rule } from './rules'

/** A viewport that is not the window's, px. */
export type Viewport = { width: number; height: number }

const inPixels = (value: string, { width, height }: Viewport) =>
  value.replace(
    /(?<![\d.])(-?(?:\d+(?:\.\d+)?|\.\d+))v([wh])\b/g,
    (_, n: string, axis: string) => `${Number(((Number(n) * (axis === 'w' ? width : height)) / 100).toFixed(3))}px`,
  )

/** Selectors of the document's own elements, as they are written inside a shadow tree. */
const INSIDE: Record<string, string> = { ':root': ':host', html: ':host', body: '.page' }

/**
 * The rules that hold at one viewport width, without media queries and viewport units, for a small rendering in the
 * shadow tree of an element: it costs no frame of its own, and looks as the page does at that width. Each selector has
 * one rule, in which what a narrower range declares has taken the place of what it changed.
 */
export function rulesAtViewport(rules: readonly Rule[], viewport: Viewport): Rule[] {
  const bySelector = new Map<string, Map<string, string>>()
  for (const { selector, below, declarations, when, frames } of rules) {
    // What moves, or asks what the visitor points with, stands still in a picture of the page, which is of one that works.
    if ((when && when !== 'scripted') || frames || (below !== null && viewport.width >= below)) continue
    const inside = INSIDE[selector] ?? selector
    const known = bySelector.get(inside) ?? new Map<string, string>()
    for (const [name, value] of declarations) {
      // What is declared again comes last, as in the cascade.
      known.delete(name)
      known.set(name, inPixels(value, viewport))
    }
    bySelector.set(inside, known)
  }
  return [...bySelector].map(([selector, declarations]) => ({ selector, below: null, declarations: [...declarations] }))
}
