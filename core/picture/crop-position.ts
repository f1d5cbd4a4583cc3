import type { Part, Picture, Point } from './picture'

/**
 * The position along one side, percent, with which a safe part from `from` to `from + size` stays whole in every box
 * that has room for it. As `object-position` counts it, a point q of a picture that is k times as long as its box lies at
 * p + (q - p) k of the box; the part is inside while p k / (k - 1) reaches from its end to its start. At the greatest k for
 * which it fits, k = 1 / size, one p is left, and that one does for every smaller k too.
 */
const keeping = (from: number, size: number): number => (size >= 100 ? 50 : (from / (100 - size)) * 100)

/** The `object-position` of a picture that has a safe area or a focal point; nothing for one that has neither. */
export function cropPosition({ focal, safe }: Pick<Picture, 'focal' | 'safe'>): Point | undefined {
  if (!safe) return focal
  return { x: clamp(keeping(safe.left, safe.width)), y: clamp(keeping(safe.top, safe.height)) }
}

const clamp = (value: number) => Math.min(100, Math.max(0, value))

/** What is seen of a picture in a box that it covers, percent of its own sides. */
export function seenPart(picture: { width: number; height: number }, box: { width: number; height: number }, at: Point): Part {
  const scale = Math.max(box.width / picture.width, box.height / picture.height)
  const width = Math.min(100, (box.width / (picture.width * scale)) * 100)
  const height = Math.min(100, (box.height / (picture.height * scale)) * 100)
  return { left: ((100 - width) * at.x) / 100, top: ((100 - height) * at.y) / 100, width, height }
}

/** True if a point of a picture is seen in a box, to a thousandth of its sides. */
export function isSeen(point: Point, seen: Part): boolean {
  const within = (value: number, from: number, size: number) => value >= from - 0.1 && value <= from + size + 0.1
  return within(point.x, seen.left, seen.width) && within(point.y, seen.top, seen.height)
}

/** The position that a drag of a picture inside its box leads to: it moves with the pointer, px of the box. */
export function draggedPosition(
  picture: { width: number; height: number },
  box: { width: number; height: number },
  from: Point,
  by: { x: number; y: number },
  zoom = 1,
): Point {
  const scale = Math.max(box.width / picture.width, box.height / picture.height)
  // Zoomed about the position itself, so what is left over on a side grows with the whole box.
  const moved = (at: number, size: number, room: number, px: number) => {
    const over = size * zoom - room
    return over < 0.5 ? at : clamp(Number((at - (px / over) * 100).toFixed(2)))
  }
  return {
    x: moved(from.x, picture.width * scale, box.width, by.x),
    y: moved(from.y, picture.height * scale, box.height, by.y),
  }
}
