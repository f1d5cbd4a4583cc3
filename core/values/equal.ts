/** True for two JSON values that say the same, whatever the order of their keys. */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null || Array.isArray(a) !== Array.isArray(b))
    return false
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>]
  const keys = Object.keys(x).filter((key) => x[key] !== undefined)
  return keys.length === Object.keys(y).filter((key) => y[key] !== undefined).length && keys.every((key) => isSame(x[key], y[key]))
}
