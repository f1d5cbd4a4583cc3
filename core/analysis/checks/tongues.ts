import { type Check, nameOf } from '#core/analysis/finding'
import { hasWords } from '#core/blocks/tree'
import { plainText } from '#core/values/words'

/** Scripts that languages are written in; all others are in Latin letters. */
const SCRIPTS: Record<string, string> = {
  ar: 'Arabic',
  fa: 'Arabic',
  ur: 'Arabic',
  he: 'Hebrew',
  el: 'Greek',
  hi: 'Devanagari',
  th: 'Thai',
  bg: 'Cyrillic',
  ru: 'Cyrillic',
  uk: 'Cyrillic',
  sr: 'Cyrillic',
  mk: 'Cyrillic',
  be: 'Cyrillic',
  zh: 'Han',
  ja: 'Han',
  ko: 'Hangul',
  ka: 'Georgian',
  hy: 'Armenian',
}
const KNOWN = ['Latin', ...new Set(Object.values(SCRIPTS))].map((name) => ({ name, of: new RegExp(`\\p{Script=${name}}`, 'gu') }))
/** Letters from which words count as a part in another language. */
const ENOUGH = 12

/** Words in another script than the language of the page, which are read out wrongly (WCAG 2.2, 3.1.2). */
export const tongues: Check = ({ blocks, site: { language } }) => {
  const own = SCRIPTS[language.split('-')[0]!] ?? 'Latin'
  return blocks.map((block) => {
    if (!hasWords(block)) return undefined
    const text = plainText(block.words[language] ?? [])
    const counts = KNOWN.map(({ name, of }) => ({ name, count: text.match(of)?.length ?? 0 }))
    const [most] = counts.sort((a, b) => b.count - a.count)
    if (!most || most.count < ENOUGH || most.name === own) return undefined
    // Japanese and Chinese share signs with each other, and borrow Latin ones.
    const ownCount = counts.find((one) => one.name === own)?.count ?? 0
    return ownCount > most.count / 4
      ? undefined
      : {
          block: block.id,
          fault: false,
          sentence: `“${nameOf(block)}” is in ${most.name} letters and is read out as “${language}”.`,
        }
  })
}
