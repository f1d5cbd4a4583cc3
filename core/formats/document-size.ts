import type { Site } from '#core/site/schema'

/** Characters of a value as `writeSite` writes it at the margin, and how many lines it goes on for after its first. */
type Size = { length: number; more: number }

const INDENT = 2
/** Characters from which on a value's size is kept: what is shorter is counted sooner than looked up. */
const WORTH_KEEPING = 400
const known = new WeakMap<object, Size>()
/** Characters of keys, which are few and come again and again. */
const keys = new Map<string, number>()

function lengthOfKey(key: string): number {
  let length = keys.get(key)
  if (length === undefined) {
    length = JSON.stringify(key).length
    // Keys of foreign lists are without number.
    if (keys.size < 5000) keys.set(key, length)
  }
  return length
}

function sizeOf(value: unknown): Size {
  if (typeof value !== 'object' || value === null) return { length: JSON.stringify(value ?? null).length, more: 0 }
  const before = known.get(value)
  if (before) return before
  let [length, more, parts] = [2, 0, 0]
  const add = (head: number, part: unknown) => {
    const size = sizeOf(part)
    // A line of its own, with a comma after all but the last, and the lines after it indented as well.
    length += 1 + INDENT + head + size.length + INDENT * size.more + 1
    more += 1 + size.more
    parts++
  }
  if (Array.isArray(value)) for (const one of value) add(0, one)
  // What is undefined is left out of an object, and is null in a list (ECMA-262, 25.5.2).
  else for (const [key, one] of Object.entries(value)) if (one !== undefined) add(lengthOfKey(key) + 2, one)
  // The last has no comma, and the closing bracket a line of its own.
  const size = parts === 0 ? { length, more } : { length, more: more + 1 }
  if (length > WORTH_KEEPING) known.set(value, size)
  return size
}

/**
 * Characters of a site's file, without writing it: what an edit left as it was is not counted anew.
 * @param site that is never changed in place
 */
export const documentLength = (site: Site): number => sizeOf(site).length + 1
