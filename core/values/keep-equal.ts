type Values = Record<string, unknown>

const isObject = (value: unknown): value is Values => typeof value === 'object' && value !== null
const idOf = (value: unknown): unknown => (isObject(value) ? value.id : undefined)

/** What stands in the place of the nth item of a list in another: the item with its id, or where items have none, the nth. */
function counterparts(before: readonly unknown[], after: readonly unknown[]): readonly unknown[] {
  if (idOf(after[0]) === undefined) return before
  const byId = new Map(before.map((item) => [idOf(item), item]))
  return after.map((item) => byId.get(idOf(item)))
}

/**
 * A JSON value in which all that is equal to what stands in its place in another is that other's very object, so that what
 * remembers by identity knows it again after both were read from text. Time grows with the size of the value.
 */
export function keepEqual<T>(before: unknown, after: T): T {
  if (before === after || !isObject(before) || !isObject(after) || Array.isArray(before) !== Array.isArray(after)) return after
  const [old, next]: [Values, Values] = Array.isArray(after)
    ? [counterparts(before as unknown as unknown[], after) as unknown as Values, after as unknown as Values]
    : [before, after]
  const keys = Object.keys(next)
  const kept = keys.map((key): [string, unknown] => [key, keepEqual(Object.hasOwn(old, key) ? old[key] : undefined, next[key])])
  // The order of keys counts as well: it may be seen in what is made of them.
  const was = Object.entries(before)
  if (was.length === kept.length && was.every(([key, value], n) => kept[n]![0] === key && kept[n]![1] === value)) return before as T
  return (Array.isArray(after) ? kept.map(([, value]) => value) : Object.fromEntries(kept)) as T
}
