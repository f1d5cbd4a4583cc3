/** One step from an old list to a new one: an item kept, changed into another, taken out (`to` absent) or put in. */
export type Step = { from?: number; to?: number }

/**
 * The cheapest way from one list to another. `cost` of making one item into another is 0 where they are equal;
 * taking out and putting in cost `gap` each. Wagner and Fischer's algorithm (1974), with the equal ends cut off first.
 */
export function align<A, B>(from: readonly A[], to: readonly B[], cost: (a: A, b: B) => number, gap: number): Step[] {
  let start = 0
  while (start < from.length && start < to.length && cost(from[start]!, to[start]!) === 0) start++
  let ends = 0
  while (
    ends < from.length - start &&
    ends < to.length - start &&
    cost(from[from.length - 1 - ends]!, to[to.length - 1 - ends]!) === 0
  )
    ends++
  const n = from.length - start - ends
  const m = to.length - start - ends
  const width = m + 1
  const best = new Float64Array((n + 1) * width)
  for (let i = 1; i <= n; i++) best[i * width] = i * gap
  for (let j = 1; j <= m; j++) best[j] = j * gap
  for (let i = 1; i <= n; i++) {
    for (let j = 1; j <= m; j++) {
      const change = best[(i - 1) * width + j - 1]! + cost(from[start + i - 1]!, to[start + j - 1]!)
      best[i * width + j] = Math.min(change, best[(i - 1) * width + j]! + gap, best[i * width + j - 1]! + gap)
    }
  }
  const middle: Step[] = []
  let i = n
  let j = m
  while (i > 0 || j > 0) {
    const here = best[i * width + j]!
    const near = (value: number) => Math.abs(value - here) < 1e-9
    // Of ways that cost the same, the one that changes what comes first and adds or takes out what comes last.
    if (j > 0 && near(best[i * width + j - 1]! + gap)) middle.push({ to: start + --j })
    else if (i > 0 && near(best[(i - 1) * width + j]! + gap)) middle.push({ from: start + --i })
    else middle.push({ from: start + --i, to: start + --j })
  }
  const same = (offset: number, other: number, count: number): Step[] =>
    Array.from({ length: count }, (_, k) => ({ from: offset + k, to: other + k }))
  return [...same(0, 0, start), ...middle.reverse(), ...same(from.length - ends, to.length - ends, ends)]
}
