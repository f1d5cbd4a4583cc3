import { type Remote, wrap } from 'comlink'
import { neededRatio } from '#core/analysis/contrast'
import type { Block } from '#core/blocks/index'
import { hexOf } from '#core/colour/contrast'
import { rangeAt } from '#core/grid/columns'
import { luminance, ratioOf } from '#core/legibility/legibility'
import type { Rgba, Tint } from '#core/legibility/tint'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { valuesByRange } from '#core/style/cascade'
import { filterToCss } from '#core/style/filters'
import type { Colour } from '#core/values/colour'
import type { StageView } from '../live/frames'
import type { LegibilityWorker, Measured, Measuring } from '../workers/legibility'

let worker: Remote<LegibilityWorker> | undefined
const legibility = () =>
  (worker ??= wrap<LegibilityWorker>(new Worker(new URL('../workers/legibility.ts', import.meta.url), { type: 'module' })))

/** A colour as the browser has computed it, `rgb()` or `rgba()`. */
export function readRgba(text: string): Rgba | undefined {
  const found = /^rgba?\(\s*([\d.]+)[,\s]+([\d.]+)[,\s]+([\d.]+)(?:\s*[,/]\s*([\d.]+))?\s*\)$/.exec(text)
  if (!found) return undefined
  const [r, g, b] = found.slice(1, 4).map(Number)
  return { r: r!, g: g!, b: b!, a: found[4] === undefined ? 1 : Number(found[4]) }
}

function rgbOf(hex: string): Tint['colour'] {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))
  return { r: r!, g: g!, b: b! }
}

/** The picture that lies behind a block at one range of widths, with what holds both. */
function pictureBehind(site: Site, place: Place, range: number): { picture: Block; depth: number } | undefined {
  for (let depth = place.ancestors.length - 1; depth >= 0; depth--) {
    const picture = place.ancestors[depth]!.children.find((one: Block) => {
      const { position, shown } = valuesByRange(one.style, site.breakpoints)[range]!
      return one.kind === 'picture' && one.picture !== undefined && !one.hidden && position === 'backdrop' && shown !== false
    })
    if (picture) return { picture: picture as Block, depth }
  }
  return undefined
}

/** The ink or the ground of the guide, whichever is further from the ink of words: what a scrim under them is made of. */
function scrimUnder(site: Site, ink: Rgba): { colour: Colour; rgb: Tint['colour'] } | undefined {
  const light = luminance(ink.r, ink.g, ink.b)
  const found = (['ink', 'ground'] as const).flatMap((role) => {
    const hex = hexOf({ role }, site.guide.colours)
    return hex ? [{ colour: { role }, rgb: rgbOf(hex) }] : []
  })
  const far = ({ rgb }: { rgb: Tint['colour'] }) => ratioOf(luminance(rgb.r, rgb.g, rgb.b), light)
  return found.sort((a, b) => far(b) - far(a))[0]
}

export type OverPicture = {
  view: number
  width: number
  picture: string
  scrim: Colour
  angle: number
  needed: number
  measured: Measured
  /** The worst patch, px of the page. */
  worst: { left: number; top: number; width: number; height: number }
}

/** Side of the patches in parts of the size of the letters: about the width of one. */
const PATCH = 0.5

/**
 * Measures the words of a block over the picture behind them in a view: what lies between, the picture's crop and its
 * scrim are as they are there.
 * @returns nothing where no picture is behind them, or where something solid is in between
 */
export async function measureOver(site: Site, place: Place, view: StageView): Promise<OverPicture | undefined> {
  const range = rangeAt(site.breakpoints, view.width)
  const behind = pictureBehind(site, place, range)
  const element = view.frame.find(place.block.id)
  const back = behind && view.frame.find(behind.picture.id)
  const chosen = behind && site.pictures.find((one) => behind.picture.kind === 'picture' && one.id === behind.picture.picture)
  if (!behind || !element || !back || !chosen || behind.picture.kind !== 'picture') return undefined
  const { defaultView: window } = view.frame.document
  const style = window!.getComputedStyle(element)
  const ink = readRgba(style.color)
  const under = ink && scrimUnder(site, ink)
  if (!ink || !under) return undefined

  const tints: Tint[] = []
  const between = [...place.ancestors.slice(behind.depth + 1), place.block]
  for (const one of between) {
    const fill = readRgba(window!.getComputedStyle(view.frame.find(one.id)!).backgroundColor)
    if (fill?.a === 1) return undefined
    if (fill && fill.a > 0) tints.push({ colour: fill, from: fill.a, to: fill.a, angle: 0 })
  }
  const values = valuesByRange(behind.picture.style, site.breakpoints)[range]!
  const scrimHex = values.scrim && hexOf(values.scrim.colour, site.guide.colours)
  const alpha = values.scrim?.colour.alpha ?? 1
  const scrim: Tint[] =
    values.scrim && scrimHex
      ? [{ colour: rgbOf(scrimHex), from: values.scrim.from * alpha, to: values.scrim.to * alpha, angle: values.scrim.angle }]
      : []

  const around = back.getBoundingClientRect()
  const text = view.frame.document.createRange()
  text.selectNodeContents(element)
  const rects = [...text.getClientRects()].filter((one) => one.width > 1 && one.height > 1)
  const left = Math.max(around.left, Math.min(...rects.map((one) => one.left)))
  const top = Math.max(around.top, Math.min(...rects.map((one) => one.top)))
  const right = Math.min(around.right, Math.max(...rects.map((one) => one.right)))
  const bottom = Math.min(around.bottom, Math.max(...rects.map((one) => one.bottom)))
  const [width, height] = [Math.round(right - left), Math.round(bottom - top)]
  if (rects.length === 0 || width < 1 || height < 1) return undefined
  const size = Number.parseFloat(style.fontSize)
  const needed = neededRatio(size, Number(style.fontWeight) || 400)
  const angle = sideOf((left + right) / 2 - around.left, (top + bottom) / 2 - around.top, around)
  const asked: Measuring = {
    url:
      chosen.type === 'image/svg+xml' ? `/pictures/${chosen.hash}` : `/pictures/${chosen.hash}?w=${Math.min(chosen.width, 1600)}`,
    crop: {
      fit: values.fit ?? 'cover',
      focal: values.focal ?? { x: 50, y: 50 },
      ...(values.zoom ? { zoom: values.zoom } : {}),
      ...(values.flip ? { flip: values.flip } : {}),
    },
    filter: values.filter ? filterToCss(values.filter) : 'none',
    ground: window!.getComputedStyle(view.frame.document.body).backgroundColor,
    part: { left: left - around.left, top: top - around.top, width, height },
    box: { width: around.width, height: around.height },
    lines: rects.map((one) => ({ left: one.left - left, top: one.top - top, width: one.width, height: one.height })),
    patch: Math.max(4, size * PATCH),
    ink,
    tints: [...scrim, ...tints],
    scrims: scrim.length,
    needed,
    scrim: under.rgb,
    angle,
  }
  const measured = await legibility().of(asked)
  if (!measured) return undefined
  const { patch } = measured.found.worst
  return {
    view: view.index,
    width: view.width,
    picture: behind.picture.id,
    scrim: under.colour,
    angle,
    needed,
    measured,
    worst: { ...patch, left: patch.left + left, top: patch.top + top },
  }
}

/** Direction of a gradient that begins at the side of its box which a point is nearest to, degrees as in CSS. */
export function sideOf(x: number, y: number, { width, height }: { width: number; height: number }): number {
  const sides = [
    { angle: 90, at: x / width },
    { angle: 270, at: 1 - x / width },
    { angle: 180, at: y / height },
    { angle: 0, at: 1 - y / height },
  ]
  return sides.sort((a, b) => a.at - b.at)[0]!.angle
}
