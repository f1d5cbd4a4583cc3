import type { Role } from '#core/values/passage-role'
import { plainText, type Span } from '#core/values/words'
import type { Placeable } from './placeable'

/** Words that are a price and nothing else: a figure with its currency, and perhaps what it is for. */
const PRICE =
  /^(?:from )?(?:[£€$¥₹₽₩]|CHF|kr\.?)\s?\d[\d.,'\u00a0 ]*\D{0,24}$|^(?:from )?\d[\d.,'\u00a0 ]*\s?(?:€|£|kr\.?|zł|Kč|CHF)\D{0,24}$/i

/** True for words that say what something costs, and nothing else. */
export const isPrice = (words: readonly Span[]): boolean => PRICE.test(plainText(words).trim())

/** What stands in an entry as a line of words and says what it costs is its price, where it has none said as such. */
export function withPrices(list: readonly Placeable[], slots: readonly { role: Role; entry: number }[]): Placeable[] {
  const priced = new Set(list.filter((one) => one.role === 'price').map((one) => one.entry))
  return list.map((one) => {
    const said = one.role === 'text' && one.entry > 0 && Object.values(one.words).every(isPrice)
    if (!said || priced.has(one.entry) || !slots.some((slot) => slot.role === 'price')) return one
    priced.add(one.entry)
    return { ...one, role: 'price' }
  })
}
