import type { Budget } from '#core/site/launch'

/** What a page weighs in one view, bytes. */
export type Weights = { html: number; css: number; script: number; fonts: number; taken: number; later: number }

/** A slow connection, as a telephone has it at the edge of its net: bits for each second, and seconds of a way there and back. */
export const SLOW = { bits: 1_600_000, trip: 0.15 } as const
/** Ways there and back before the first byte of the page is here: the name, the connection, its encryption, the page. */
const BEFORE = 4
/** Ways from there until all is asked for: the stylesheet and what it names. */
const AFTER = 2

/** Bytes that come before a visitor scrolls. */
export const firstLoad = ({ html, css, script, fonts, taken, later }: Weights): number =>
  html + css + script + fonts + taken - later

/** How long the first load takes on a slow connection, seconds; an estimate, with nothing but this page on the line. */
export const secondsOf = (bytes: number): number => (BEFORE + AFTER) * SLOW.trip + (bytes * 8) / SLOW.bits

/** What a first load takes beyond a budget, in words; nothing where it keeps to it. */
export function beyond(bytes: number, budget: Budget): string | undefined {
  const seconds = secondsOf(bytes)
  const parts = [
    ...(bytes > budget.bytes ? [`${Math.round((bytes - budget.bytes) / 1024)} kB`] : []),
    ...(seconds > budget.seconds ? [`${(seconds - budget.seconds).toFixed(1)} s`] : []),
  ]
  return parts.length === 0 ? undefined : `${parts.join(' and ')} beyond the budget`
}
