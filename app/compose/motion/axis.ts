import type { SectionBox } from '../../live/moving'

/** px of a view on the screen at which a px of its page stands; sections are apart by what aligns the rows. */
export function screenOf(sections: readonly Pick<SectionBox, 'box' | 'shift'>[], scale: number, px: number): number {
  const at = sections.findLast((one) => one.box.top <= px) ?? sections[0]
  return (px + (at?.shift ?? 0)) * scale
}

/** The px of a page that stands at a px of its view on the screen; what is between two rows belongs to the end of the upper one. */
export function pageOfScreen(sections: readonly Pick<SectionBox, 'box' | 'shift'>[], scale: number, y: number): number {
  const px = y / scale
  const at = sections.findLast((one) => one.box.top + one.shift <= px) ?? sections[0]
  if (!at) return px
  const last = at === sections.at(-1)
  return last ? px - at.shift : Math.min(px - at.shift, at.box.top + at.box.height)
}

/** The same place of a page in another view: the same share of the same section. */
export function sameIn(
  sections: readonly Pick<SectionBox, 'id' | 'box'>[],
  others: readonly Pick<SectionBox, 'id' | 'box'>[],
  px: number,
): number {
  const at = sections.findLast((one) => one.box.top <= px) ?? sections[0]
  const other = at && others.find((one) => one.id === at.id)
  if (!at || !other) return px
  if (at.box.height === 0) return other.box.top
  return other.box.top + ((px - at.box.top) / at.box.height) * other.box.height
}
