/** A bar on the scroll ruler, px of the screen. */
export type Bar = { from: number; to: number }

/**
 * Lays bars side by side so that none covers another: each in the first lane that is free where it begins.
 * @param apart least px between two bars of one lane
 * @returns the lane of each bar, in the order that they were given
 */
export function lanesOf(bars: readonly Bar[], apart = 6): number[] {
  const lanes: number[] = []
  const ends: number[] = []
  const order = bars.map((_, i) => i).sort((a, b) => bars[a]!.from - bars[b]!.from || bars[a]!.to - bars[b]!.to)
  for (const i of order) {
    const free = ends.findIndex((end) => end + apart <= bars[i]!.from)
    const lane = free < 0 ? ends.length : free
    ends[lane] = bars[i]!.to
    lanes[i] = lane
  }
  return lanes
}
