/** What holds over a range of widths, both ends included, px. */
export type Held = { key: string; from: number; to: number }

/** What was seen at a width: the keys of all that holds there, and what tells whether anything happens on the way to the next. */
export type Look<Seen> = { keys: ReadonlySet<string>; seen: Seen }

/** How many times as far as the other side of the middle of three widths one may be: what happens far from it is hardly seen there. */
const LOPSIDED = 4

/**
 * Goes through widths and finds the exact ranges over which things hold. It looks at widths in steps, and passes over what
 * lies between two where the same holds at both, and a third beside or between them shows that what is seen moves evenly;
 * else it looks in the middle, until it is between two neighbouring px. It yields each width that it must know of, in steps
 * from the least to the greatest first, and is given what is seen there.
 * @param from the least width, px; `to` the greatest
 * @param step px between the widths that are looked at first, at a width; less than 1 never
 * @param also widths that are looked at as well, as those at which something may change at once
 * @param isStraight tells from what is seen at three widths, the least first, whether all moves evenly from one to the next
 */
export function* sweep<Seen>(
  from: number,
  to: number,
  step: (width: number) => number,
  also: readonly number[],
  isStraight: (before: Seen, between: Seen, after: Seen) => boolean,
): Generator<number, Held[], Look<Seen>> {
  const known = new Map<number, Look<Seen>>()
  const first = steps(from, to, step, also)
  for (const width of first) known.set(width, yield width)
  const looks = (widths: readonly number[]) => widths.map((one) => known.get(one)!)
  /** Whether three widths show that nothing happens between them; not where one of them is none, or near to another by comparison. */
  const isEven = (a: number | undefined, b: number, c: number | undefined) => {
    if (a === undefined || c === undefined || Math.min(b - a, c - b) * LOPSIDED < Math.max(b - a, c - b)) return false
    const [before, between, after] = looks([a, b, c]) as [Look<Seen>, Look<Seen>, Look<Seen>]
    return isStraight(before.seen, between.seen, after.seen)
  }
  /** Whether nothing happens between two widths, as those that are known beside them show. */
  const isQuiet = (before: number | undefined, low: number, high: number, after: number | undefined) => {
    const [a, b] = looks([low, high]) as [Look<Seen>, Look<Seen>]
    return same(a.keys, b.keys) && (isEven(before, low, high) || isEven(low, high, after))
  }
  for (const [n, start] of first.slice(0, -1).entries()) {
    // The spans that are left of this step, the next one last, and the width that was known before each of them.
    const open = [first[n + 1]!]
    let [before, low] = [first[n - 1], start]
    for (let high = open.at(-1); high !== undefined; high = open.at(-1)) {
      const after = open.at(-2) ?? first[n + 2]
      const middle = Math.floor((low + high) / 2)
      if (middle === low || isQuiet(before, low, high, after)) {
        open.pop()
        ;[before, low] = [low, high]
        continue
      }
      known.set(middle, yield middle)
      open.push(middle)
    }
  }
  return rangesOf(new Map([...known].map(([width, { keys }]) => [width, keys])))
}

/** Looks at some widths alone, of which none says anything of what lies between. @param widths px, the least first */
export function* alone<Seen>(widths: readonly number[]): Generator<number, Held[], Look<Seen>> {
  const held: Held[] = []
  for (const width of widths) for (const key of (yield width).keys) held.push({ key, from: width, to: width })
  return held
}

/**
 * Does the same for what takes long to look at: in steps first, then by halving between two steps that differ. What comes
 * and goes within one step is not seen. It yields each width that it must know of, and is given the keys of all that holds
 * there.
 * @param from the least width, px; `to` the greatest
 * @param step px between the widths that are looked at first
 * @param also widths that are looked at as well, as those at which something may change at once
 */
export function* halved(
  from: number,
  to: number,
  step: number,
  also: readonly number[] = [],
): Generator<number, Held[], ReadonlySet<string>> {
  const known = new Map<number, ReadonlySet<string>>()
  const first = steps(from, to, () => step, also)
  for (const width of first) known.set(width, yield width)
  for (const [n, low] of first.slice(0, -1).entries()) {
    const high = first[n + 1]!
    // Each half that still differs is halved again, until the two widths are neighbours.
    const open: [number, number][] = [[low, high]]
    for (let span = open.pop(); span; span = open.pop()) {
      const [a, b] = span
      if (b - a <= 1 || same(known.get(a)!, known.get(b)!)) continue
      const middle = Math.floor((a + b) / 2)
      known.set(middle, yield middle)
      open.push([a, middle], [middle, b])
    }
  }
  return rangesOf(known)
}

/** Widths that are looked at first: in steps, at both ends, and at what is named besides; the least first. */
export function steps(from: number, to: number, step: (width: number) => number, also: readonly number[]): number[] {
  const widths = new Set([to])
  for (let width = from; width < to; width += Math.max(1, Math.round(step(width)))) widths.add(width)
  for (const width of also) if (width > from && width < to) widths.add(width)
  return [...widths].sort((a, b) => a - b)
}

const same = (a: ReadonlySet<string>, b: ReadonlySet<string>) => a.size === b.size && [...a].every((one) => b.has(one))

/** Ranges of what holds at neighbouring known widths. */
function rangesOf(known: ReadonlyMap<number, ReadonlySet<string>>): Held[] {
  const open = new Map<string, Held>()
  const done: Held[] = []
  for (const width of [...known.keys()].sort((a, b) => a - b)) {
    const holding = known.get(width)!
    for (const [key, range] of open) {
      if (holding.has(key)) range.to = width
      else {
        done.push(range)
        open.delete(key)
      }
    }
    for (const key of holding) if (!open.has(key)) open.set(key, { key, from: width, to: width })
  }
  return [...done, ...open.values()].sort((a, b) => a.from - b.from || b.to - a.to)
}
