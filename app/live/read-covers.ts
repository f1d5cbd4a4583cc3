import type { Hides } from './opacities'
import { type Box, type BlockRead, lettersOf, overlapOf } from '#core/sweep/reading'

/** Share of what is behind that something must hide to cover it. */
const SOLID = 0.9
/** Where, as shares of what two have in common, the engine is asked which of them is seen. */
const POINTS = [
  [0.5, 0.5],
  [0.25, 0.25],
  [0.75, 0.75],
  [0.1, 0.5],
  [0.9, 0.5],
] as const
/** Px across and down that it must lie over letters. */
const LEAST = 1

/** A block that was read, with its element, and how it stands. */
export type Standing = { id: string; element: HTMLElement; read: BlockRead; paint: Paint }

/** How a block paints and clips, as far as its words and those under it are concerned. */
export type Paint = {
  /** True where nothing is seen through it. */
  solid: boolean
  /** The picture that makes it solid, where that may be seen through in places. */
  image?: HTMLImageElement
  /** True where it paints a ground or an edge all around, or is a picture. */
  any: boolean
  /** True where it, or what holds it, stays in the window: what is scrolled under it is seen again. */
  stays: boolean
  /** True where it shows no more of what it holds than its box. */
  clips: boolean
}

const alphaOf = (colour: string): number => {
  const [, alpha] = /rgba?\([^,]+,[^,]+,[^,]+(?:,\s*([\d.]+))?\)/.exec(colour) ?? []
  if (colour === 'transparent') return 0
  if (alpha !== undefined) return Number(alpha)
  const [, slashed] = /\/\s*([\d.]+)\s*\)/.exec(colour) ?? []
  return slashed === undefined ? 1 : Number(slashed)
}

const COLOURS = /(?:rgba?|oklch|oklab|color)\([^()]*\)|transparent/g

/** How solid the images behind a box are: the most that one of them hides everywhere. */
function imageAlpha(image: string): number {
  if (image === 'none') return 0
  if (!image.includes('gradient(')) return 1
  return Math.min(...[...image.matchAll(COLOURS)].map(([colour]) => alphaOf(colour)), 1)
}

/**
 * How an element paints, by its computed style.
 * @param opacity of it and of all around it, 0 to 1
 * @param stays true where it or something around it stays in the window
 */
export function paintOf(element: HTMLElement, style: CSSStyleDeclaration, opacity: number, stays: boolean): Paint {
  const ground = Math.max(alphaOf(style.backgroundColor), imageAlpha(style.backgroundImage))
  const own = element.matches('img, video, picture')
    ? element
    : element.querySelector(':scope > img, :scope > picture, :scope > video')
  const picture = own && !own.closest('[data-block]')!.isSameNode(element) ? null : own
  // A line above or under words is no ground; one all around is seen as one.
  const sides = [style.borderTopStyle, style.borderRightStyle, style.borderBottomStyle, style.borderLeftStyle]
  const edge = sides.every((one) => one !== 'none')
  const image = picture instanceof element.ownerDocument.defaultView!.HTMLImageElement ? picture : picture?.querySelector('img')
  return {
    solid: Math.max(ground, picture ? 1 : 0) * opacity >= SOLID,
    ...(image && ground * opacity < SOLID ? { image } : {}),
    any: ground > 0.04 || picture !== null || edge,
    stays,
    clips: /hidden|clip|auto|scroll/.test(`${style.overflowX} ${style.overflowY}`),
  }
}

const clipped = (box: Box, by: Box): Box => ({
  left: Math.max(box.left, by.left),
  top: Math.max(box.top, by.top),
  right: Math.min(box.right, by.right),
  bottom: Math.min(box.bottom, by.bottom),
})

/** What of a box is shown by those around it that clip. */
function shownOf(box: Box, element: Element, standing: ReadonlyMap<Element, Standing>): Box {
  let shown = box
  for (let around = element.parentElement; around; around = around.parentElement) {
    const one = standing.get(around)
    if (one?.paint.clips) shown = clipped(shown, one.read.box)
  }
  return shown
}

/**
 * Finds the words that something solid is painted over. Which of two is painted over the other, the engine is asked, at a
 * point that both have; the answer holds as long as the same breakpoint does.
 * @param hides tells of a picture whether anything is seen through a part of it
 */
export function createCovers(root: Document, hides: Hides): (all: readonly Standing[], breakpoint: string) => void {
  const view = root.defaultView!
  const known = new Map<string, boolean>()

  /** Whether one is painted over the other, at a point of the page; nothing where the engine does not find both there. */
  function isOver(one: HTMLElement, other: HTMLElement, x: number, y: number): boolean | undefined {
    const { scrollX, scrollY } = view
    // What is beside the window is found at no point of it.
    const left = x < 0 || x >= view.innerWidth ? scrollX + x - view.innerWidth / 2 : scrollX
    view.scrollTo({ left, top: Math.max(0, y - view.innerHeight / 2), behavior: 'instant' })
    const at = root.elementsFromPoint(x - view.scrollX + scrollX, y - view.scrollY + scrollY)
    view.scrollTo({ left: scrollX, top: scrollY, behavior: 'instant' })
    const first = at.findIndex((each) => one.contains(each))
    const second = at.findIndex((each) => other.contains(each))
    return first < 0 || second < 0 ? undefined : first < second
  }

  /** The same at the first of some points of what both have where the engine finds both: letters have gaps. */
  function isOverIn(one: HTMLElement, other: HTMLElement, shared: readonly Box[]): boolean | undefined {
    for (const { left, top, right, bottom } of shared)
      for (const [across, down] of POINTS) {
        const over = isOver(one, other, left + (right - left) * across, top + (bottom - top) * down)
        if (over !== undefined) return over
      }
    return undefined
  }

  return (all, breakpoint) => {
    const standing = new Map<Element, Standing>(all.map((one) => [one.element, one]))
    const solid = all
      .filter(({ paint }) => paint.solid && !paint.stays)
      .map((one) => ({ one, box: shownOf(one.read.box, one.element, standing) }))
      .sort((a, b) => a.box.top - b.box.top)
    for (const { id, element, read, paint } of all) {
      if (!read.words?.lines.length || paint.stays) continue
      const { lines, size } = read.words
      const [top, bottom] = [lines[0]!.top, Math.max(...lines.map((line) => line.bottom))]
      for (const { one, box } of solid) {
        if (box.top >= bottom) break
        if (box.bottom <= top || one.element.contains(element) || element.contains(one.element)) continue
        const shared: Box[] = []
        let most = 0
        for (const line of lines) {
          const letters = shownOf(lettersOf(line, size), element, standing)
          const { x, y } = overlapOf(letters, box)
          if (x <= LEAST || y <= LEAST) continue
          const common = clipped(letters, box)
          if (one.paint.image && !hides(one.paint.image, common)) continue
          shared.push(common)
          most = Math.max(most, Math.min(x, y))
        }
        if (most === 0) continue
        const key = `${breakpoint} ${one.id} ${id}`
        let over = known.get(key)
        if (over === undefined) {
          over = isOverIn(one.element, element, shared)
          if (over === undefined) continue
          known.set(key, over)
        }
        if (over && most > (read.covered?.px ?? 0)) read.covered = { by: one.id, px: most }
      }
    }
  }
}
