import { changeSections, type Stress } from './stress'
import { mapText, withWords } from './words'

/** Letters with marks, which other languages have and some faces lack. */
const MARKED: Record<string, string> = { a: 'å', e: 'é', i: 'ï', o: 'ø', u: 'ü', A: 'Å', E: 'É', I: 'Ï', O: 'Ø', U: 'Ü' }
/** How much longer words become: what English takes in translation (W3C, Text size in translation). */
const BY = 0.4

/**
 * Words as a translation might have them: each 40 % longer, its vowels marked and said again. Words without a vowel, and
 * figures, stay as they are.
 */
export const longerText = (text: string): string =>
  text.replace(/(?<!\S)[^\s@]+@\S+|https?:\S+|[\p{L}\u00ad]+/gu, (word) => {
    // Addresses are the same in all languages.
    if (/[@:]/.test(word)) return word
    const vowels = [...word.matchAll(/[aeiou]/gi)]
    if (vowels.length === 0) return word
    const more = Math.round(word.length * BY)
    let made = ''
    let at = 0
    vowels.forEach(({ index, 0: vowel }, n) => {
      // What is to be added is shared out among the vowels.
      const times = Math.floor(((n + 1) * more) / vowels.length) - Math.floor((n * more) / vowels.length)
      made += word.slice(at, index) + MARKED[vowel]! + vowel.toLowerCase().repeat(times)
      at = index + 1
    })
    return made + word.slice(at)
  })

export const longer: Stress = {
  label: 'Words 40 % longer',
  note: 'as a translation has them, with marks on letters',
  change: changeSections((section, site) => withWords(section, site, (spans) => mapText(spans, longerText))),
}
