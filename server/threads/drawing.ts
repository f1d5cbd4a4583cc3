import type { Element } from 'hast'
import { fromHtml } from 'hast-util-from-html'
import { FormatError } from '#core/formats/site-json'
import { cleanSvg } from '#core/formats/svg'
import type { Icon } from '#core/values/icon'
import { pathOf } from '../icon-bounds'
import { type Matrix, matrixOf, moved, SHAPES, times } from './svg-matrix'

/** A drawing as its file comes: its text, and its name for sentences. */
export type DrawingFile = { text: string; name: string }

/** An SVG that was cleaned: its root, and the part of the plane that it shows. */
export type Drawing = { root: Element; left: number; top: number; across: number; down: number }

/** @throws FormatError if it is no drawing */
export function drawingOf({ text }: DrawingFile): Drawing {
  const clean = cleanSvg(text)
  const tree = fromHtml(clean.text, { fragment: true, space: 'svg' })
  const root = tree.children.find((one): one is Element => one.type === 'element')!
  const [left = 0, top = 0, across = clean.width, down = clean.height] = String(root.properties.viewBox ?? '')
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number)
  return { root, left, top, across, down }
}

/** Elements that draw nothing where they stand, or nothing that is a shape. */
const NOT_DRAWN = new Set(['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'title', 'desc', 'text'])

type Walk<P, T> = {
  name: string
  /** Most shapes that there may be, and most signs of one; more is refused before any work is done for it. */
  most: number
  longest: number
  /** What an element is painted with, by what holds it. */
  paint: (element: Element, around: P) => P
  /** A shape as it is kept: how it is painted, the matrix that it stands under, and its path under that matrix. */
  take: (paint: P, matrix: Matrix, path: () => string) => T | undefined
}

/**
 * The shapes of a drawing in the order that they are painted.
 * @param place the matrix of the whole
 * @throws FormatError if there are too many, or one is too long, cannot be read, or lies beyond what can be measured
 */
export function shapesIn<P, T>(root: Element, place: Matrix, outer: P, { name, most, longest, paint, take }: Walk<P, T>): T[] {
  const shapes: T[] = []
  const visit = (element: Element, matrix: Matrix, around: P): void => {
    const here = times(matrix, matrixOf(element.properties.transform))
    const painted = paint(element, around)
    if (NOT_DRAWN.has(element.tagName)) return
    if (!SHAPES.has(element.tagName)) {
      for (const child of element.children) if (child.type === 'element') visit(child, here, painted)
      return
    }
    const values = Object.fromEntries(Object.entries(element.properties).map(([key, value]) => [key, String(value)]))
    const path = pathOf([element.tagName, values] as unknown as Icon['nodes'][number])
    if (path === '') return
    if (path.length > longest)
      throw new FormatError(
        `"${name}" has a path of ${path.length.toLocaleString('en-GB')} signs; ${longest.toLocaleString('en-GB')} are allowed.`,
      )
    const shape = take(painted, here, () => {
      const done = moved(path, here)
      if (done === undefined) throw new FormatError(`"${name}" has a path that cannot be read, or that lies beyond all measure.`)
      return done
    })
    if (shape !== undefined) shapes.push(shape)
    if (shapes.length > most) throw new FormatError(`"${name}" has more than ${most} shapes. Use it as a picture instead.`)
  }
  visit(root, place, outer)
  return shapes
}
