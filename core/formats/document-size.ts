import type { Site } from '#core/site/schema'

/** Characters of a value as `writeSite` writes it at the margin, and how many lines it goes on for after its first. */
type Size = { length: number; more: number }

const INDENT = 2
const known = new WeakMap<object, Size>()

function sizeOf(value: unknown): Size {
  if (typeof value !== 'object' || value === null) return { length: JSON.stringify(value ?? null).length, more: 0 }
  const before = known.get(value)
  if (before) return before
  // What is undefined is left out of an object, and is null in a list (ECMA-262, 25.5.2).
  const parts = Array.isArray(value)
    ? value.map((one) => ({ head: 0, size: sizeOf(one) }))
    : Object.entries(value).flatMap(([key, one]) =>
        one === undefined ? [] : [{ head: JSON.stringify(key).length + 2, size: sizeOf(one) }],
      )
  let [length, more] = [2, 0]
  for (const { head, size } of parts) {
    // A line of its own, with a comma after all but the last, and the lines after it indented as well.
    length += 1 + INDENT + head + size.length + INDENT * size.more + 1
    more += 1 + size.more
  }
  // The last has no comma, and the closing bracket a line of its own.
  const size = parts.length === 0 ? { length, more } : { length, more: more + 1 }
  known.set(value, size)
  return size
}

/**
 * Characters of a site's file, without writing it: what an edit left as it was is not counted anew.
 * @param site that is never changed in place
 */
export const documentLength = (site: Site): number => sizeOf(site).length + 1
