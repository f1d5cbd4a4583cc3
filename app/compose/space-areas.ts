import type { Box } from '../live/frames'

/** Space that belongs to a block: one of its paddings, or a gap between what it holds. */
export type SpaceArea = {
  name: 'paddingTop' | 'paddingBottom' | 'paddingSides' | 'paddingStart' | 'paddingEnd' | 'gap' | 'rowGap'
  /** Px of the screen. */
  box: Box
  /** Px of the page. */
  px: number
  /** The axis that it is measured along, and whether it grows towards the end of that or the start. */
  axis: 'x' | 'y'
  grows: 1 | -1
}

/** Sizes that a block has at one width, px of the page. */
export type Spaces = {
  top: number
  bottom: number
  left: number
  right: number
  /** The property that each side is set by. */
  leftBy: 'paddingSides' | 'paddingStart' | 'paddingEnd'
  rightBy: 'paddingSides' | 'paddingStart' | 'paddingEnd'
  gap: number
  rowGap: number
}

const right = (box: Box) => box.left + box.width
const bottom = (box: Box) => box.top + box.height
const near = (a: number, b: number) => Math.abs(a - b) < 1

/**
 * The areas of a block's paddings and of the gaps between what it holds.
 * @param box the block, and `children` what it lays out, px of the screen
 * @param scale of the view; sizes of spaces are px of the page
 */
export function spaceAreas(box: Box, children: readonly Box[], spaces: Spaces, scale: number): SpaceArea[] {
  const areas: SpaceArea[] = []
  const { top, bottom: below, gap, rowGap } = spaces
  const padding = (name: SpaceArea['name'], px: number, area: Box, axis: 'x' | 'y', grows: 1 | -1) =>
    px >= 1 && areas.push({ name, px, box: area, axis, grows })
  padding('paddingTop', top, { ...box, height: top * scale }, 'y', 1)
  padding('paddingBottom', below, { ...box, top: bottom(box) - below * scale, height: below * scale }, 'y', -1)
  const inner = { top: box.top + top * scale, height: box.height - (top + below) * scale }
  padding(spaces.leftBy, spaces.left, { left: box.left, width: spaces.left * scale, ...inner }, 'x', 1)
  const end = spaces.right * scale
  padding(spaces.rightBy, spaces.right, { left: right(box) - end, width: end, ...inner }, 'x', -1)

  const rows = new Map<number, Box[]>()
  for (const child of [...children].sort((a, b) => a.top - b.top)) {
    const row = [...rows.keys()].find((start) => child.top < Math.max(...rows.get(start)!.map(bottom)) - 1)
    rows.set(row ?? child.top, [...(row === undefined ? [] : rows.get(row)!), child])
  }
  const list = [...rows.values()]
  for (const row of list) {
    const across = [...row].sort((a, b) => a.left - b.left)
    for (const [n, child] of across.entries()) {
      const next = across[n + 1]
      // Only what is as wide as the gap is the gap: an offset is other space.
      if (!next || gap < 1 || !near((next.left - right(child)) / scale, gap)) continue
      const [from, to] = [Math.min(child.top, next.top), Math.max(bottom(child), bottom(next))]
      areas.push({
        name: 'gap',
        px: gap,
        axis: 'x',
        grows: 1,
        box: { left: right(child), width: gap * scale, top: from, height: to - from },
      })
    }
  }
  for (const [n, row] of list.entries()) {
    const next = list[n + 1]
    if (!next || rowGap < 1) continue
    const [end, start] = [Math.max(...row.map(bottom)), Math.min(...next.map((one) => one.top))]
    if (!near((start - end) / scale, rowGap)) continue
    const both = [...row, ...next]
    const [left, far] = [Math.min(...both.map((one) => one.left)), Math.max(...both.map(right))]
    areas.push({
      name: 'rowGap',
      px: rowGap,
      axis: 'y',
      grows: 1,
      box: { left, width: far - left, top: end, height: rowGap * scale },
    })
  }
  return areas
}
