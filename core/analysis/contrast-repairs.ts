import type { Page, Site } from '#core/site/schema'
import type { StyleGuide } from '#core/guide/style-guide'
import { contrast } from '#core/colour/contrast'
import { nearestPassing } from '#core/colour/nearest'
import { type Pair, pairsOn } from './contrast'

/** A change of one colour role that makes a failing pair pass: what to, and how many pairs it changes or breaks. */
export type Repair = { role: string; from: string; to: string; ratio: number; breaks: number }

/** A style guide with another colour in one role. */
export const withColour = (guide: StyleGuide, role: string, hex: string): StyleGuide => ({
  ...guide,
  colours: guide.colours.map((one) => (one.role === role ? { ...one, hex } : one)),
})

/**
 * Repairs of a failing pair: the nearest colour for its ink and for its ground that passes in this pair, and, where
 * it is another, the nearest that passes in every pair that the role occurs in. A role that is fixed is not touched.
 */
export function repairsOf(pair: Pair, site: Site, page: Page, fixed: ReadonlySet<string>): Repair[] {
  const { pairs } = pairsOn(site, page)
  const failing = (now: readonly Pair[]) => now.filter((one) => one.ratio < one.needed).length
  const before = failing(pairs)
  const found: Repair[] = []
  const offer = (role: string, from: string, to: string | undefined) => {
    if (to === undefined || found.some((one) => one.role === role && one.to === to)) return
    const after = failing(pairsOn({ ...site, guide: withColour(site.guide, role, to) }, page).pairs)
    const other = role === pair.ink ? pair.groundHex : pair.inkHex
    found.push({ role, from, to, ratio: contrast(to, other), breaks: Math.max(0, after - (before - 1)) })
  }
  for (const [role, hex, other] of [
    [pair.ink, pair.inkHex, pair.groundHex],
    [pair.ground, pair.groundHex, pair.inkHex],
  ] as const) {
    if (fixed.has(role) || !site.guide.colours.some((one) => one.role === role)) continue
    const everywhere = pairs.flatMap((one) =>
      one.ink === role && one.ground !== role
        ? [{ hex: one.groundHex, ratio: one.needed }]
        : one.ground === role && one.ink !== role
          ? [{ hex: one.inkHex, ratio: one.needed }]
          : [],
    )
    offer(role, hex, nearestPassing(hex, everywhere))
    offer(role, hex, nearestPassing(hex, [{ hex: other, ratio: pair.needed }]))
  }
  return found.sort((a, b) => a.breaks - b.breaks)
}
