import type { Role } from '#core/values/passage-role'

/** Marks that stand around placeholder words wherever they are seen, so that none passes for the real thing. */
const OPEN = '‹'
const CLOSE = '›'

/** Syllables of a language that is nobody's. */
const FIRST = ['mar', 'tel', 'or', 'ven', 'sil', 'bram', 'ket', 'lu', 'fen', 'dor', 'is', 'nal', 'pem', 'gor', 'wy', 'hal']
const LAST = ['row', 'en', 'ith', 'a', 'ble', 'um', 'et', 'ish', 'o', 'ard', 'el', 'ing', 'os', 'ly']

/** Words that each role usually has. */
const LENGTHS: Record<Role, number> = {
  eyebrow: 3,
  heading: 6,
  text: 24,
  item: 6,
  call: 2,
  link: 2,
  quote: 18,
  source: 3,
  price: 1,
  term: 2,
  label: 2,
}

/** Minimal standard generator of Park and Miller (1988), so that the same seed gives the same words. */
const nextOf = (state: number) => (state * 16807) % 2147483647

/** Placeholder words of about the length that a role has, between marks. The same seed gives the same words. */
export function fillerFor(role: Role, seed: number): string {
  let state = nextOf((Math.abs(seed) % 2147483646) + 1)
  const pick = (list: readonly string[]) => {
    state = nextOf(state)
    return list[state % list.length]!
  }
  const words = Array.from({ length: LENGTHS[role] }, () => {
    const short = pick(FIRST) + pick(LAST)
    return state % 5 === 0 ? short + pick(LAST) : short
  })
  const text = words.join(' ')
  return `${OPEN}${text[0]!.toUpperCase()}${text.slice(1)}${role === 'text' || role === 'quote' ? '.' : ''}${CLOSE}`
}

/** True for words that hold a placeholder. */
export const isPlaceholder = (text: string): boolean => /‹[^‹›]*›/.test(text)
