import type { Role } from '#core/values/passage-role'

/** What is seen of a passage in the text of a deck before it is known which entry it belongs to. */
export type Seen = {
  role: Role
  /** True for a heading of the fourth level, and for the name of a plan in a row. */
  deep: boolean
  /** The line that stands before it: one that begins the next entry, or one that goes back to the section's own words. */
  sign?: 'next' | 'own'
}

/** The entry of each passage of a section in whose text only signs begin entries. */
function bySigns(list: readonly Seen[]): number[] {
  let entry = 0
  let count = 0
  return list.map(({ sign }) => {
    if (sign === 'next') entry = ++count
    else if (sign === 'own') entry = 0
    return entry
  })
}

/**
 * The entry of each passage of a section, from 1, or 0. A deep heading begins an entry, with the eyebrow over it; so
 * does a quote, unless the entry has none yet. A section whose only entry is one quote has no entries. Where signs
 * say it, or where the section begins with a return to its own words, nothing else begins an entry.
 */
export function entryNumbers(list: readonly Seen[]): number[] {
  if (list.some((one, i) => one.sign === 'next' || (i === 0 && one.sign === 'own'))) return bySigns(list)
  const numbers: number[] = []
  let entry = 0
  let count = 0
  let first: Role | undefined
  list.forEach(({ role, deep, sign }, i) => {
    if (sign === 'own') entry = 0
    const quoted = list.some((one, j) => j < i && numbers[j] === entry && one.role === 'quote')
    if ((role === 'heading' && deep) || (role === 'quote' && (entry === 0 || quoted))) {
      entry = ++count
      first ??= role
      if (role === 'heading' && list[i - 1]?.role === 'eyebrow' && sign === undefined) numbers[i - 1] = entry
    }
    numbers.push(entry)
  })
  return count === 1 && first === 'quote' ? numbers.map(() => 0) : numbers
}

/** The signs that must stand before the passages of a section so that their entries are read as they are. */
export function signsFor(list: readonly { role: Role; entry: number }[]): Seen['sign'][] {
  const order = [...new Set(list.map((one) => one.entry))].filter((entry) => entry > 0)
  const numbers = list.map(({ entry }) => (entry === 0 ? 0 : order.indexOf(entry) + 1))
  const seen = list.map(({ role, entry }, i): Seen => ({
    role,
    deep: role === 'heading' && entry > 0,
    ...(entry === 0 && (numbers[i - 1] ?? 0) > 0 ? { sign: 'own' as const } : {}),
  }))
  if (entryNumbers(seen).every((entry, i) => entry === numbers[i])) return seen.map((one) => one.sign)
  return numbers.map((entry, i) => {
    if (entry === (numbers[i - 1] ?? 0)) return i === 0 && order.length === 0 ? 'own' : undefined
    return entry === 0 ? 'own' : 'next'
  })
}
