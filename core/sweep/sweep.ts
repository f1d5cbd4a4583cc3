/** What holds over a range of widths, both ends included, px. */
export type Held = { key: string; from: number; to: number }

/** What was seen at a width: the keys of all that holds there, and what tells whether anything happens on the way to the next. */
export type Look<Seen> = { keys: ReadonlySet<string>; seen: Seen }

/**
 * Goes through widths and finds the exact ranges over which things hold. A step at whose ends and in whose middle the same
 * holds, and in which what is seen moves evenly, is passed over; in every other one each px is looked at. It yields each
 * width that it must know of, from the least to the greatest but for the middles, and is given what is seen there.
 * @param from the least width, px; `to` the greatest
 * @param step px between the widths that are looked at first
 * @param also widths that are looked at as well, as those at which something may change at once
 * @param isStraight tells from what is seen at both ends and in the middle whether all moves evenly between
 * @param onSteps told what holds at the steps, as far as they tell it: they are looked at by themselves then, before all else
 */
export function* sweep<Seen>(
  from: number,
  to: number,
  step: number,
  also: readonly number[],
  isStraight: (before: Seen, between: Seen, after: Seen) => boolean,
  onSteps?: (held: Held[]) => void,
): Generator<number, Held[], Look<Seen>> {
  const all = steps(from, to, step, also)
  if (onSteps) {
    const soFar = new Map<number, ReadonlySet<string>>()
    for (const width of all) soFar.set(width, (yield width).keys)
    onSteps(rangesOf(soFar))
  }
  // Looked at again, in their order: an engine sets letters a little otherwise after those of many other sizes.
  const known = new Map<number, ReadonlySet<string>>()
  const [first, ...rest] = all
  let [low, before] = [first!, yield first!]
  known.set(low, before.keys)
  for (const high of rest) {
    const after = yield high
    known.set(high, after.keys)
    if (high - low > 1) {
      const middle = Math.floor((low + high) / 2)
      const between = yield middle
      known.set(middle, between.keys)
      const quiet = same(before.keys, between.keys) && same(between.keys, after.keys)
      if (!quiet || !isStraight(before.seen, between.seen, after.seen))
        for (let width = low + 1; width < high; width++) if (width !== middle) known.set(width, (yield width).keys)
    }
    ;[low, before] = [high, after]
  }
  return rangesOf(known)
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
  const first = steps(from, to, step, also)
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
function steps(from: number, to: number, step: number, also: readonly number[]): number[] {
  const widths = new Set([to])
  for (let width = from; width < to; width += step) widths.add(width)
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
