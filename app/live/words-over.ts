import { type Remote, wrap } from 'comlink'
import { neededRatio } from '#core/analysis/contrast'
import { hexOf } from '#core/colour/contrast'
import { columnWidth, rangeAt } from '#core/grid/columns'
import { isUneven, type Layer } from '#core/legibility/layers'
import type { Blend } from '#core/style/blends'
import { type Heat, luminance, ratioOf } from '#core/legibility/legibility'
import type { Rect } from '#core/legibility/crop'
import { readRgba, type Rgba, rgbaOf } from '#core/legibility/rgba'
import { columnsAt, surroundAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import type { Colour } from '#core/values/colour'
import type { StageView } from './frames'
import type { Behind, LegibilityWorker, Measured, Measuring } from '../workers/legibility'
import { type Stack, stackBehind } from './stack-behind'

let worker: Remote<LegibilityWorker> | undefined
const legibility = () =>
  (worker ??= wrap<LegibilityWorker>(new Worker(new URL('../workers/legibility.ts', import.meta.url), { type: 'module' })))

/** The ink or the ground of the guide, whichever is further from the ink of words: what a scrim under them is made of. */
function scrimUnder(site: Site, ink: Rgba): { colour: Colour; rgba: Rgba } | undefined {
  const light = luminance(ink.r, ink.g, ink.b)
  const found = (['ink', 'ground'] as const).flatMap((role) => {
    const hex = hexOf({ role }, site.guide.colours)
    return hex ? [{ colour: { role }, rgba: rgbaOf(hex) }] : []
  })
  const far = ({ rgba }: { rgba: Rgba }) => ratioOf(luminance(rgba.r, rgba.g, rgba.b), light)
  return found.sort((a, b) => far(b) - far(a))[0]
}

export type OverPicture = {
  view: number
  width: number
  scrimmed: NonNullable<Stack['scrimmed']>
  /** The blocks whose pictures could be blurred, the uppermost first. */
  picture: string | undefined
  scrim: Colour
  angle: number
  needed: number
  measured: Measured
  /** First column of the words now; nothing where they do not stand on columns. */
  start: number | undefined
  /** The worst patch, px of the page. */
  worst: Rect
}

/** Side of the patches in parts of the size of the letters: about the width of one. */
const PATCH = 0.5

/** How much an element and all around it let through together, 0 to 1. */
function opacityOf(element: Element): number {
  const window = element.ownerDocument.defaultView!
  let opacity = 1
  for (let one: Element | null = element; one; one = one.parentElement) opacity *= Number(window.getComputedStyle(one).opacity)
  return opacity
}

/** Where the words of a block are in a view, and how they are set. */
function wordsIn(place: Place, view: StageView) {
  const element = view.frame.find(place.block.id)
  if (!element) return undefined
  const text = view.frame.document.createRange()
  text.selectNodeContents(element)
  const lines = [...text.getClientRects()]
    .filter((one) => one.width > 1 && one.height > 1)
    .map(({ left, top, width, height }): Rect => ({ left, top, width, height }))
  const style = view.frame.document.defaultView!.getComputedStyle(element)
  const colour = readRgba(style.color)
  if (lines.length === 0 || !colour) return undefined
  const ink = { ...colour, a: colour.a * opacityOf(element) }
  const [left, top] = [Math.min(...lines.map((one) => one.left)), Math.min(...lines.map((one) => one.top))]
  const right = Math.max(...lines.map((one) => one.left + one.width))
  const bottom = Math.max(...lines.map((one) => one.top + one.height))
  const size = Number.parseFloat(style.fontSize)
  const rect: Rect = { left, top, width: right - left, height: bottom - top }
  const blend = style.mixBlendMode === 'normal' ? undefined : (style.mixBlendMode as Blend)
  return { lines, rect, ink, blend, size, weight: Number(style.fontWeight) || 400 }
}

/** The same rectangle counted from a corner. */
const from = (corner: { left: number; top: number }, rect: Rect): Rect => ({
  ...rect,
  left: rect.left - corner.left,
  top: rect.top - corner.top,
})

const layersFrom = (layers: readonly Layer[], corner: { left: number; top: number }): Layer[] =>
  layers.map((one) => ({ ...one, rect: from(corner, one.rect) }))

/** Other first columns that words could have in the grid around them, and how far across each is, px. */
function otherPlaces(site: Site, place: Place, view: StageView, range: number) {
  const at = surroundAt(site, place).ranges[range]!
  const container = view.frame.find(place.block.id)?.parentElement
  const { span, start } = columnsAt(site, place, range)
  if (at.layout !== 'grid' || !container || span >= at.columns) return undefined
  const style = view.frame.document.defaultView!.getComputedStyle(container)
  const inner =
    container.getBoundingClientRect().width - Number.parseFloat(style.paddingLeft) - Number.parseFloat(style.paddingRight)
  const grid = { columns: at.columns, gutter: Number.parseFloat(style.columnGap) || 0, margin: 0, container: inner }
  const step = columnWidth(grid, inner) + grid.gutter
  const left = container.getBoundingClientRect().left + Number.parseFloat(style.paddingLeft)
  const now = start ?? Math.round((view.frame.find(place.block.id)!.getBoundingClientRect().left - left) / step) + 1
  const others = Array.from({ length: at.columns - span + 1 }, (_, i) => i + 1).filter((one) => one !== now)
  return { now, left, width: inner, places: others.map((one) => ({ start: one, across: (one - now) * step })) }
}

/** What is asked of the words of a block in a view, and what around them would mend them; nothing where all behind them is even. */
function askedFor(site: Site, place: Place, view: StageView) {
  const range = rangeAt(site.breakpoints, view.width)
  const words = wordsIn(place, view)
  const under = words && scrimUnder(site, words.ink)
  if (!words || !under) return undefined
  const stack = stackBehind(site, place, view, range, words.rect)
  const { scrimmed } = stack
  if (!scrimmed || !stack.layers.some(isUneven)) return undefined
  const others = otherPlaces(site, place, view, range)
  const [left, right] = others
    ? [Math.min(words.rect.left, others.left), Math.max(words.rect.left + words.rect.width, others.left + others.width)]
    : [words.rect.left, words.rect.left + words.rect.width]
  const corner = { left: Math.round(left), top: Math.round(words.rect.top) }
  const needed = neededRatio(words.size, words.weight)
  const middle = { x: words.rect.left + words.rect.width / 2, y: words.rect.top + words.rect.height / 2 }
  const angle = sideOf(middle.x - scrimmed.rect.left, middle.y - scrimmed.rect.top, scrimmed.rect)
  const inkHex = (role: string) => hexOf({ role }, site.guide.colours)
  const asked: Measuring = {
    part: { width: Math.max(1, Math.round(right - corner.left)), height: Math.max(1, Math.round(words.rect.height)) },
    ground: stack.ground,
    layers: layersFrom(stack.layers, corner),
    lines: words.lines.map((one) => from(corner, one)),
    patch: Math.max(4, words.size * PATCH),
    ink: words.ink,
    blend: words.blend,
    needed,
    scrim: { after: scrimmed.after, instead: scrimmed.instead, rect: from(corner, scrimmed.rect), colour: under.rgba, angle },
    inks: site.guide.colours.map(({ role }) => ({ role, colour: rgbaOf(inkHex(role)!) })),
    places: others?.places ?? [],
  }
  return { asked, corner, scrimmed, scrim: under.colour, angle, start: others?.now }
}

/** How words can be read: their contrast where it is least, and what they need. */
export type Read = { ratio: number; needed: number }

/**
 * How the words of a block can be read in a view, without what would mend them.
 * @returns nothing where they are not seen, or where all behind them is even and does not pass under them
 */
export async function readOver(site: Site, place: Place, view: StageView): Promise<Read | undefined> {
  const words = wordsIn(place, view)
  if (!words) return undefined
  const { ground, layers, passing } = stackBehind(site, place, view, rangeAt(site.breakpoints, view.width), words.rect)
  if (!passing && !words.blend && !layers.some(isUneven)) return undefined
  const corner = { left: Math.round(words.rect.left), top: Math.round(words.rect.top) }
  const read = await legibility().worst({
    part: { width: Math.max(1, Math.round(words.rect.width)), height: Math.max(1, Math.round(words.rect.height)) },
    ground,
    layers: layersFrom(layers, corner),
    lines: words.lines.map((one) => from(corner, one)),
    patch: Math.max(4, words.size * PATCH),
    ink: words.ink,
    blend: words.blend,
  })
  return read && { ratio: read.worst.ratio, needed: neededRatio(words.size, words.weight) }
}

/**
 * Measures the words of a block over what is behind them in a view: pictures with their crops and scrims, gradients and
 * tints, as they are there.
 * @returns nothing where all behind them is even
 */
export async function measureOver(site: Site, place: Place, view: StageView): Promise<OverPicture | undefined> {
  const given = askedFor(site, place, view)
  const measured = given && (await legibility().of(given.asked))
  if (!measured) return undefined
  const { asked, corner, scrimmed, scrim, angle, start } = given
  const { patch } = measured.found.worst
  return {
    view: view.index,
    width: view.width,
    scrimmed,
    picture: scrimmed.kind === 'scrim' ? scrimmed.block : undefined,
    scrim,
    angle,
    needed: asked.needed,
    measured,
    start,
    worst: { ...patch, left: patch.left + corner.left, top: patch.top + corner.top },
  }
}

/** Contrast of an ink with each place of a view about the words, and what they need there. */
export type HeatOver = { heat: Heat; rect: Rect; needed: number }

/** Most pixels that a heat layer looks at. */
const MOST_HEAT = 2_000_000

/** Where words of a block could stand over what is behind them: the contrast of their ink over all that holds them. */
export async function heatOver(site: Site, place: Place, view: StageView): Promise<HeatOver | undefined> {
  const range = rangeAt(site.breakpoints, view.width)
  const words = wordsIn(place, view)
  const section = view.frame.find(place.ancestors[0]?.id ?? place.block.id)
  if (!words || !section) return undefined
  const box = section.getBoundingClientRect()
  const stack = stackBehind(site, place, view, range, words.rect)
  if (!stack.layers.some(isUneven)) return undefined
  // A section that is higher than the pixels allow is looked at about the words.
  const height = Math.min(box.height, MOST_HEAT / box.width)
  const top = Math.max(box.top, Math.min(words.rect.top - height / 2, box.bottom - height))
  const rect: Rect = { left: Math.round(box.left), top: Math.round(top), width: Math.round(box.width), height: Math.round(height) }
  const asked: Behind & { ink: Rgba; patch: number } = {
    part: rect,
    ground: stack.ground,
    layers: layersFrom(stack.layers, rect),
    ink: words.ink,
    patch: Math.max(8, words.size * PATCH),
  }
  return { heat: await legibility().heat(asked), rect, needed: neededRatio(words.size, words.weight) }
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
