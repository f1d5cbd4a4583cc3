import { walk } from '#core/blocks/tree'
import { type Drawn, sampleViewports } from '#core/picture/sizes'
import type { BlockOf, Section } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Picture } from '#core/picture/picture'
import type { Site } from '#core/site/schema'
import { valueAt } from '#core/style/cascade'
import { boxedOtherwise, drawnWidth, type PictureBoxes, pictureBoxes } from './boxes'
import { type Sight, sightOf } from './line-box'

/** Two heights of the window, px, so large that what follows the window is higher than the words in it. */
const TALL = [4000, 8000] as const

const inWindow = (value: unknown): boolean => typeof value === 'object' && value !== null && 'unit' in value && value.unit === 'vh'

/** True for a section of which something is set in parts of the window's height. */
function followsWindow(section: Section): boolean {
  for (const { style } of walk(section))
    for (const values of [style.base, ...Object.values(style.below ?? {})])
      if (values && Object.values(values).some(inWindow)) return true
  return false
}

/** What the pictures of a section are drawn at, for `sizes`; `undefined` for one whose box follows from columns alone. */
export type DrawnIn = (block: BlockOf<'picture'>, picture: Picture) => Drawn[] | undefined

/**
 * How much wider than its box a picture of one shape is drawn that covers a box of another; less than 1 for one that
 * is shown whole inside it. 1 where its height is set otherwise.
 */
export function shapeFactor(
  block: BlockOf<'picture'>,
  { width, height }: Picture,
  breakpoints: readonly Breakpoint[],
  index: number,
): number {
  const value = <N extends 'aspect' | 'height' | 'fit' | 'position'>(name: N) => valueAt(block.style, name, breakpoints, index)
  const aspect = value('aspect')
  if (!aspect || value('height') !== undefined || value('position') === 'backdrop') return 1
  const factor = width / height / (aspect.width / aspect.height)
  return value('fit') === 'contain' ? Math.min(1, factor) : Math.max(1, factor)
}

/** How much larger a picture is drawn than its crop needs it. */
export const zoomAt = ({ style }: BlockOf<'picture'>, breakpoints: readonly Breakpoint[], index: number): number =>
  valueAt(style, 'zoom', breakpoints, index) ?? 1

/** A site at every width of the window that is looked at, and at tall windows; shared by its sections. */
export type Sights = { flat: Sight; tall: () => readonly Sight[] }[]

/** The widths of the window that pictures are looked at in, made when the first section asks. */
export function sightsOf(site: Site, language: string): () => Sights {
  let sights: Sights | undefined
  return () =>
    (sights ??= sampleViewports(site.breakpoints).map((viewport) => {
      let tall: Sight[] | undefined
      return {
        flat: sightOf(site, language, viewport, 0),
        tall: () => (tall ??= TALL.map((window) => sightOf(site, language, viewport, window))),
      }
    }))
}

/** Works out a section's pictures, once, when the first of them is asked for; the views never ask. */
export function drawnIn(section: Section, { breakpoints }: Site, sights: () => Sights): DrawnIn {
  let otherwise: Set<string> | undefined
  let samples: { viewport: number; index: number; boxes: PictureBoxes; tall?: PictureBoxes[] }[] | undefined
  const make = () => {
    const follows = followsWindow(section)
    const all = sights()
    return all.map(({ flat, tall }, i) => {
      // What follows the window's height hangs on little else, so both ends of a range tell it for all between.
      const atEnd = all[i - 1]?.flat.index !== flat.index || all[i + 1]?.flat.index !== flat.index
      return {
        viewport: flat.viewport,
        index: flat.index,
        boxes: pictureBoxes(section, flat),
        ...(follows && atEnd ? { tall: tall().map((sight) => pictureBoxes(section, sight)) } : {}),
      }
    })
  }
  return (block, picture) => {
    otherwise ??= boxedOtherwise(section)
    if (!otherwise.has(block.id)) return undefined
    samples ??= make()
    const ratio = picture.width / picture.height
    return samples.flatMap(({ viewport, index, boxes, tall }): Drawn[] => {
      const box = boxes.get(block.id)
      if (!box) return []
      const fit = valueAt(block.style, 'fit', breakpoints, index) ?? 'cover'
      const zoom = zoomAt(block, breakpoints, index)
      const least = drawnWidth(box, ratio, fit) * zoom
      // A shape of its own keeps its height in proportion, so what it needs grows in a straight line as its width does.
      if (shapeFactor(block, picture, breakpoints, index) !== 1) return [{ viewport, box: least, least }]
      const one = { viewport, box: box.width * zoom, least }
      const [low, high] = tall ? tall.map((each) => each.get(block.id)?.height ?? 0) : [0, 0]
      const growth = (high! - low!) / (TALL[1] - TALL[0])
      if (growth < 0.01 || fit === 'contain') return [one]
      return [{ ...one, window: { px: zoom * ratio * (low! - growth * TALL[0]), vh: zoom * ratio * growth * 100 } }]
    })
  }
}
