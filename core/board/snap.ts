export type Box = { x: number; y: number; width: number; height: number }
/** A line that boxes were brought to: at a place across (`x`) or down (`y`), from one end to the other, px. */
export type SnapLine = { axis: 'x' | 'y'; at: number; from: number; to: number }
export type Snapped = { x: number; y: number; lines: SnapLine[] }

/** The smallest box around boxes. */
export function boxAround(boxes: readonly Box[]): Box {
  const x = Math.min(...boxes.map((one) => one.x))
  const y = Math.min(...boxes.map((one) => one.y))
  return {
    x,
    y,
    width: Math.max(...boxes.map((one) => one.x + one.width)) - x,
    height: Math.max(...boxes.map((one) => one.y + one.height)) - y,
  }
}

const edges = (start: number, extent: number) => [start, start + extent / 2, start + extent]

/** The nearest way from any edge or middle of one box to any of the others, within reach; `undefined` if none is near. */
function nearest(own: readonly number[], others: readonly number[], reach: number): { by: number; at: number } | undefined {
  let best: { by: number; at: number } | undefined
  for (const a of own) {
    for (const b of others) {
      const by = b - a
      if (Math.abs(by) <= reach && (!best || Math.abs(by) < Math.abs(best.by))) best = { by, at: b }
    }
  }
  return best
}

/**
 * Brings a box that is moved to the edges and middles of others, and to the gap that cards keep from each other.
 * @param reach how near an edge must come, px
 * @param gap distance that cards keep from each other, px
 */
export function snap(box: Box, others: readonly Box[], reach: number, gap: number): Snapped {
  const across = others.flatMap((one) => [...edges(one.x, one.width), one.x - gap, one.x + one.width + gap])
  const down = others.flatMap((one) => [...edges(one.y, one.height), one.y - gap, one.y + one.height + gap])
  const byX = nearest(edges(box.x, box.width), across, reach)
  const byY = nearest(edges(box.y, box.height), down, reach)
  const x = box.x + (byX?.by ?? 0)
  const y = box.y + (byY?.by ?? 0)
  const lines: SnapLine[] = []
  const all = boxAround([...others, { ...box, x, y }])
  if (byX) lines.push({ axis: 'x', at: byX.at, from: all.y, to: all.y + all.height })
  if (byY) lines.push({ axis: 'y', at: byY.at, from: all.x, to: all.x + all.width })
  return { x, y, lines }
}

const overlaps = (a: Box, b: Box, gap: number) =>
  a.x < b.x + b.width + gap && b.x < a.x + a.width + gap && a.y < b.y + b.height + gap && b.y < a.y + a.height + gap

/** A place for a new box where it covers no other, row by row from the top left, within a width. */
export function freePlace(
  size: { width: number; height: number },
  others: readonly Box[],
  within: number,
  gap: number,
): { x: number; y: number } {
  const step = gap
  for (let y = gap; ; y += step) {
    for (let x = gap; x + size.width <= Math.max(within, size.width + 2 * gap); x += step) {
      if (others.every((one) => !overlaps({ x, y, ...size }, one, gap - 1))) return { x, y }
    }
  }
}
