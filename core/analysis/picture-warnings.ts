import type { BlockOf, Section } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { cropPosition, isSeen, seenPart } from '#core/picture/crop-position'
import { type Picture, turned } from '#core/picture/picture'
import { sampleViewports } from '#core/picture/sizes'
import { drawnWidth, pictureBoxes } from '#core/render/boxes'
import { sightOf } from '#core/render/line-box'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Site } from '#core/site/schema'
import { valuesByRange } from '#core/style/cascade'

/** Something that is wrong with a picture where it stands, with the widths of the window between which it is so, px. */
export type PictureWarning = {
  kind: 'larger at 1x' | 'larger at 2x' | 'focal point' | 'safe area'
  from: number
  to: number
  /** What is needed, or missing: px of width, or nothing. */
  px?: number
}

/** The picture that a block shows at a range of widths. */
export function pictureAtRange({ pictures, breakpoints }: Site, block: BlockOf<'picture'>, range: number): Picture | undefined {
  let id = block.picture
  for (let i = 1; i <= range; i++) id = block.instead?.[breakpoints[i]!.id] ?? id
  const found = pictures.find((one) => one.id === id)
  return found && turned(found, block.turn)
}

type Found = { kind: PictureWarning['kind']; viewport: number; px?: number }

/** What is wrong with one picture in one of its boxes. */
function* foundIn(
  site: Site,
  block: BlockOf<'picture'>,
  box: { width: number; height: number },
  range: number,
): Generator<Omit<Found, 'viewport'>> {
  const picture = pictureAtRange(site, block, range)
  if (!picture || box.width < 1 || box.height < 1) return
  const values = valuesByRange(block.style, site.breakpoints)[range]!
  const fit = values.fit ?? 'cover'
  const drawn = Math.round(drawnWidth(box, picture.width / picture.height, fit) * (values.zoom ?? 1))
  if (picture.type !== 'image/svg+xml') {
    if (drawn > picture.width + 1) yield { kind: 'larger at 1x', px: drawn }
    else if (2 * drawn > picture.width + 2) yield { kind: 'larger at 2x', px: 2 * drawn }
  }
  const at = values.focal ?? cropPosition(picture) ?? { x: 50, y: 50 }
  if (fit !== 'cover') return
  const whole = seenPart(picture, box, at)
  const zoom = values.zoom ?? 1
  // What is zoomed is drawn larger about that point of its box.
  const seen = {
    left: whole.left + (whole.width * (1 - 1 / zoom) * at.x) / 100,
    top: whole.top + (whole.height * (1 - 1 / zoom) * at.y) / 100,
    width: whole.width / zoom,
    height: whole.height / zoom,
  }
  const { focal, safe } = picture
  if (focal && !isSeen(focal, seen)) yield { kind: 'focal point' }
  const corners = safe && [
    { x: safe.left, y: safe.top },
    { x: safe.left + safe.width, y: safe.top + safe.height },
  ]
  if (corners && !corners.every((one) => isSeen(one, seen))) yield { kind: 'safe area' }
}

/**
 * What is wrong with the pictures of a section at any width of the window from 320 to 2560 px, by the ids of their blocks.
 * Boxes are worked out without a browser, so that a tenth more or less is possible where words give the height.
 */
export function pictureWarnings(site: Site, section: Section): Map<string, PictureWarning[]> {
  const blocks = [...walk(section)].filter((one): one is BlockOf<'picture'> => one.kind === 'picture' && one.picture !== undefined)
  const found = new Map<string, Found[]>(blocks.map(({ id }) => [id, []]))
  if (blocks.length === 0) return new Map()
  const viewports = sampleViewports(site.breakpoints)
  for (const viewport of viewports) {
    const sight = sightOf(site, site.language, viewport, viewportHeightFor(viewport))
    const boxes = pictureBoxes(section, sight)
    for (const block of blocks) {
      const box = boxes.get(block.id)
      if (box) for (const one of foundIn(site, block, box, sight.index)) found.get(block.id)!.push({ ...one, viewport })
    }
  }
  return new Map([...found].flatMap(([id, list]) => (list.length > 0 ? [[id, ranged(list)]] : [])))
}

/** The same kinds joined, each with the widths from the narrowest to the widest. */
function ranged(list: readonly Found[]): PictureWarning[] {
  const kinds = [...new Set(list.map((one) => one.kind))]
  // What is too small at one density is so at two.
  return kinds.map((kind) => {
    const all = list.filter((one) => one.kind === kind)
    const px = Math.max(...all.map((one) => one.px ?? 0))
    const widths = all.map((one) => one.viewport)
    return { kind, from: Math.min(...widths), to: Math.max(...widths), ...(px > 0 ? { px } : {}) }
  })
}

/** A warning as a sentence. */
export function warningInWords({ kind, from, to, px }: PictureWarning, picture: Pick<Picture, 'width'>): string {
  const where = from === to ? `at ${from} px` : `from ${from} to ${to} px`
  switch (kind) {
    case 'larger at 1x':
      return `Shown larger than it is ${where}: ${px} px wide, and it has ${picture.width}.`
    case 'larger at 2x':
      return `On screens of twice the density it is too small ${where}: ${px} px are asked for, and it has ${picture.width}.`
    case 'focal point':
      return `Its focal point is cropped away ${where}.`
    case 'safe area':
      return `Part of its safe area is cropped away ${where}.`
  }
}
