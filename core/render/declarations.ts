import type { Declaration } from '#core/style/property'

/** Leaves the last of the declarations of one property alone. */
export function keepLast(own: Declaration[], property: string): void {
  const last = own.findLastIndex(([name]) => name === property)
  for (let i = last - 1; i >= 0; i--) if (own[i]![0] === property) own.splice(i, 1)
}
