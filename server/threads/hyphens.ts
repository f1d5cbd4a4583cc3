import { createRequire } from 'node:module'

/** Patterns by language; of English those of either side of the ocean, by its region. */
const PATTERNS: Record<string, string> = {
  en: 'en-gb',
  'en-US': 'en-us',
  ...Object.fromEntries('cs cy da de es fi fr hu it nb nl pl pt ro sv tr'.split(' ').map((one) => [one, one])),
}

/** The patterns are modules of the older kind, in folders, which `import` does not find. */
const load = createRequire(import.meta.url)

/**
 * Words with soft hyphens where their language parts them (Liang's patterns, as TeX has them).
 * @returns in the order of the words; a word that cannot be parted is as it was, and undefined where there are no patterns
 */
export function hyphenated({ language, words }: { language: string; words: readonly string[] }): string[] | undefined {
  const patterns = PATTERNS[language] ?? PATTERNS[language.split('-')[0]!]
  if (!patterns) return undefined
  const { hyphenateSync } = load(`hyphen/${patterns}`) as { hyphenateSync: (text: string) => string }
  return words.map((word) => hyphenateSync(word))
}
