import { LENGTH_UNITS, type Length } from '#core/values/length'

/** Widths between which a fluid size grows when none are named, px. */
export const FLUID_WIDTHS = { from: 375, to: 1360 }

const NUMBER = String.raw`-?\d+(?:[.,]\d+)?`
const SIMPLE = new RegExp(`^(${NUMBER})\\s*(${LENGTH_UNITS.join('|')}|col|cols)?$`, 'i')
const FLUID = new RegExp(
  `^(${NUMBER})(?:\\s*px)?(?:\\s+at\\s+(\\d+))?\\s*(?:to|–|-|…)\\s*(${NUMBER})(?:\\s*px)?(?:\\s+at\\s+(\\d+))?(?:\\s*px)?$`,
  'i',
)

const figure = (text: string) => Number(text.replace(',', '.'))

/**
 * Reads a length as it is typed: `24`, `50 %`, `1.5rem`, `3 columns`, a token's name, or a fluid size as
 * `38 to 76` (at 375 and 1360 px) or `38 at 400 to 76 at 1200`. A bare figure has the unit given.
 * @returns the length, or `undefined` if the text is none
 */
export function parseLength(
  text: string,
  tokens: readonly string[],
  bareUnit: (typeof LENGTH_UNITS)[number] = 'px',
): Length | undefined {
  const trimmed = text.trim()
  if (tokens.includes(trimmed)) return { token: trimmed }
  const simple = SIMPLE.exec(trimmed)
  if (simple) {
    const unit = (simple[2]?.toLowerCase() ?? bareUnit).replace(/^cols?$/, 'columns') as (typeof LENGTH_UNITS)[number]
    return { value: figure(simple[1]!), unit }
  }
  const fluid = FLUID.exec(trimmed)
  if (!fluid) return undefined
  const from = { at: fluid[2] ? Number(fluid[2]) : FLUID_WIDTHS.from, px: figure(fluid[1]!) }
  const to = { at: fluid[4] ? Number(fluid[4]) : FLUID_WIDTHS.to, px: figure(fluid[3]!) }
  return from.at < to.at ? { fluid: { from, to } } : undefined
}

/** A length as it would be typed. */
export function lengthText(length: Length): string {
  if ('token' in length) return length.token
  if ('fluid' in length) {
    const { from, to } = length.fluid
    const usual = from.at === FLUID_WIDTHS.from && to.at === FLUID_WIDTHS.to
    return usual ? `${from.px} to ${to.px}` : `${from.px} at ${from.at} to ${to.px} at ${to.at}`
  }
  const unit = length.unit === 'columns' ? ' columns' : length.unit === '%' ? ' %' : ` ${length.unit}`
  return `${Number(length.value.toFixed(3))}${unit}`
}
