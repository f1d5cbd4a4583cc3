import { contrast } from '#core/colour/contrast'
import { nearestPassing } from '#core/colour/nearest'
import { hexOfOklch, mostChroma, oklchOf } from '#core/colour/oklch'
import type { StyleGuide } from '#core/guide/style-guide'
import type { Given } from './given'
import type { Mood } from './moods'

/** What words need on their ground, a little above WCAG's 4.5 (2.2, 1.4.3) so that rounding cannot undo it. */
const NEEDED = 4.6

const colourOf = (l: number, c: number, h: number): string => hexOfOklch({ l, c: Math.min(c, mostChroma(l, h)), h })

const apart = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)

/** A hue that keeps away from colours that are not wanted: the nearest that is 40 degrees from all of them. */
function wantedHue(hue: number, unwanted: readonly string[]): number {
  const hues = unwanted.map(oklchOf).filter(({ c }) => c > 0.04)
  for (let turn = 0; turn <= 180; turn += 10) {
    for (const sign of [1, -1]) {
      const next = (hue + sign * turn + 360) % 360
      if (hues.every(({ h }) => apart(h, next) >= 40)) return next
    }
  }
  return hue
}

/** Words on a fill: of two candidates the one that stands out, made to pass. */
function inkOn(fill: string, light: string, dark: string): string {
  const better = contrast(light, fill) >= contrast(dark, fill) ? light : dark
  return (
    nearestPassing(better, [{ hex: fill, ratio: NEEDED }]) ??
    (contrast('#FFFFFF', fill) > contrast('#000000', fill) ? '#FFFFFF' : '#000000')
  )
}

/** The primary and the accent colour: what the client wants kept, else what the board shows, else the mood's own. */
function leading(mood: Mood, { fixed, board, unwanted }: Given, turn: number): { primary: string; accent: string; more: string[] } {
  const byDepth = [...fixed].sort((a, b) => oklchOf(a).l - oklchOf(b).l)
  const colourful = board.filter((one) => oklchOf(one).c > 0.04 && !unwanted.includes(one))
  const turned = colourful.map((_, i) => colourful[(i + turn) % colourful.length]!)
  const [primaryHue, accentHue] = mood.hues.map((hue) => wantedHue(hue, unwanted)) as [number, number]
  const own = {
    primary: mood.dark ? colourOf(0.72, 0.12, primaryHue) : colourOf(0.44, 0.13, primaryHue),
    accent: colourOf(0.8, 0.15, accentHue),
  }
  // A colour that only the board shows is deepened until light words can stand on it, as they do wherever it leads.
  const shown = turned[0] && !mood.dark ? nearestPassing(turned[0], [{ hex: '#FFFFFF', ratio: 5 }]) : turned[0]
  const primary = byDepth[0] ?? shown ?? own.primary
  const away = turned.find((one) => apart(oklchOf(one).h, oklchOf(primary).h) > 40)
  const accent =
    (byDepth.length > 1 ? byDepth.at(-1) : undefined) ??
    away ??
    (byDepth.length + turned.length === 0 ? own.accent : complement(primary, mood, unwanted))
  return { primary, accent, more: byDepth.slice(1, -1) }
}

/** A light colour of another hue than a colour's, for what is to stand out beside it. */
function complement(hex: string, mood: Mood, unwanted: readonly string[]): string {
  const { h, c } = oklchOf(hex)
  const hue = c < 0.03 ? mood.hues[1] : (h + (mood.id.length % 2 === 0 ? 150 : 200)) % 360
  return colourOf(0.8, 0.14, wantedHue(hue, unwanted))
}

/**
 * The colour roles of a first guide: grounds and inks of one tint, and what leads. Every pair of words that the looks
 * and kinds of button of a first guide make passes 4.5 : 1.
 * @param turn which of the board's colours leads, counted from 0
 */
export function coloursFor(mood: Mood, given: Given, turn: number): StyleGuide['colours'] {
  const { primary, accent, more } = leading(mood, given, turn)
  // What the client wants kept tints the neutrals, so that the whole belongs together.
  const lead = oklchOf(primary)
  const hue = given.fixed.length + given.board.length > 0 && lead.c > 0.03 ? lead.h : wantedHue(mood.tint.hue, given.unwanted)
  const neutral = (l: number, c: number) => colourOf(l, c * mood.tint.amount, hue)
  const grounds = mood.dark
    ? { ground: neutral(0.19, 0.04), panel: neutral(0.235, 0.045), line: neutral(0.36, 0.045) }
    : { ground: neutral(mood.tint.amount > 0.5 ? 0.985 : 1, 0.014), panel: neutral(0.957, 0.022), line: neutral(0.88, 0.026) }
  const on = [grounds.ground, grounds.panel, grounds.line].map((hex) => ({ hex, ratio: NEEDED }))
  const passing = (hex: string, against: readonly { hex: string; ratio: number }[]) =>
    nearestPassing(hex, against) ?? (mood.dark ? '#FFFFFF' : '#000000')
  const ink = passing(mood.dark ? neutral(0.96, 0.012) : neutral(0.24, 0.035), on)
  const soft = passing(mood.dark ? neutral(0.78, 0.03) : neutral(0.46, 0.035), on)
  const link = passing(primary, on)
  const [light, dark] = mood.dark ? [ink, grounds.ground] : [grounds.ground, ink]
  const roles: [string, string][] = [
    ['ground', grounds.ground],
    ['panel', grounds.panel],
    ['line', grounds.line],
    ['ink', ink],
    ['ink-soft', soft],
    ['primary', primary],
    ['on-primary', inkOn(primary, light, dark)],
    ['accent', accent],
    ['on-accent', inkOn(accent, light, dark)],
    ['link', link],
    ...more.map((hex, i): [string, string] => [`brand-${i + 2}`, hex]),
  ]
  return roles.map(([role, hex]) => ({ role, hex: hex.toUpperCase() }))
}
