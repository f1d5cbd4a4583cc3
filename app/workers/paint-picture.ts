import { behind, type Rect, type Size } from '#core/legibility/crop'
import type { PictureLayer } from '#core/legibility/layers'
import { orderedTones } from '#core/legibility/rgba'
import { ground, paintOver } from '#core/legibility/painted'
import { filterToCss } from '#core/style/filters'

const bitmaps = new Map<string, Promise<ImageBitmap>>()
/** Pictures that are kept unpacked, most. */
const KEPT = 12

/** A picture, fetched once. */
export function bitmapOf(url: string): Promise<ImageBitmap> {
  let known = bitmaps.get(url)
  if (!known) {
    known = fetch(url).then(async (response) => {
      if (!response.ok) throw new Error('The picture cannot be read.')
      return createImageBitmap(await response.blob())
    })
    const oldest = [...bitmaps.keys()][0]
    if (bitmaps.size >= KEPT && oldest !== undefined) bitmaps.delete(oldest)
    bitmaps.set(url, known)
    // A picture that could not be read is asked for again.
    known.catch(() => bitmaps.delete(url))
  }
  return known
}

/** The outline that a picture is cut to, px of its box. */
function outlineOf({ frame, corners }: PictureLayer, { left, top, width, height }: Rect): Path2D | undefined {
  const path = new Path2D()
  const polygon = (points: readonly (readonly [number, number])[]) => {
    points.forEach(([x, y], i) => path[i === 0 ? 'moveTo' : 'lineTo'](left + (x / 100) * width, top + (y / 100) * height))
    path.closePath()
  }
  if (!frame || frame.shape === 'none') {
    if (!corners) return undefined
    path.roundRect(left, top, width, height, [...corners])
  } else if (frame.shape === 'circle') path.arc(left + width / 2, top + height / 2, Math.min(width, height) / 2, 0, 2 * Math.PI)
  else if (frame.shape === 'arch') {
    const radius = Math.min(width / 2, height)
    path.roundRect(left, top, width, height, [radius, radius, 0, 0])
  } else if (frame.shape === 'polygon') polygon(frame.points.map(({ x, y }) => [x, y] as const))
  else if (frame.shape === 'slant') {
    const [one, other] = frame.rise >= 0 ? [frame.rise, 0] : [0, -frame.rise]
    if (frame.edge === 'top')
      polygon([
        [0, one],
        [100, other],
        [100, 100],
        [0, 100],
      ])
    else
      polygon([
        [0, 0],
        [100, 0],
        [100, 100 - other],
        [0, 100 - one],
      ])
  }
  return path
}

/** Space around a part that is painted as well where there is a blur, so that it mixes what is really there, px. */
const aroundOf = (blur = 0) => Math.ceil(blur * 3)

/**
 * The pixels of a part in which a picture lies on its box: cropped, turned, filtered and cut as CSS does it. What is
 * outside lets all through.
 */
export function paintPicture(bitmap: ImageBitmap, layer: PictureLayer, rect: Rect, part: Size): Uint8ClampedArray {
  const more = aroundOf(layer.filter?.blur)
  const raw = new OffscreenCanvas(part.width + 2 * more, part.height + 2 * more)
  const shifted = { ...rect, left: rect.left + more, top: rect.top + more }
  if (layer.tile !== undefined) drawTiles(raw.getContext('2d')!, bitmap, layer, shifted)
  else drawCropped(raw.getContext('2d')!, bitmap, layer, shifted)
  const filter = layer.filter ? filterToCss(layer.filter) : 'none'
  const context = clipped(part, rect, outlineOf(layer, rect))
  context.filter = layer.duotone ? `grayscale(1)${filter === 'none' ? '' : ` ${filter}`}` : filter
  context.drawImage(raw, -more, -more)
  if (layer.mask?.kind === 'fade') fade(context, layer.mask, rect)
  const { data } = context.getImageData(0, 0, part.width, part.height)
  return layer.duotone ? inTwoTones(data, layer.duotone, part) : data
}

/** A canvas of a part on which only what is within an outline, or a rectangle, can be painted. */
function clipped(part: Size, { left, top, width, height }: Rect, outline?: Path2D): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(part.width, part.height).getContext('2d', { willReadFrequently: true })!
  const path = outline ?? new Path2D()
  if (!outline) path.rect(left, top, width, height)
  context.clip(path)
  return context
}

/** The picture on its box and past it, before anything is done to its light. */
function drawCropped(context: OffscreenCanvasRenderingContext2D, bitmap: ImageBitmap, { crop }: PictureLayer, rect: Rect): void {
  const { width, height } = context.canvas
  // Only what is in sight is read, in px of the picture.
  const source = behind({ left: -rect.left, top: -rect.top, width, height }, rect, bitmap, crop)
  const [across, down] = [crop.flip === 'across' || crop.flip === 'both', crop.flip === 'down' || crop.flip === 'both']
  context.imageSmoothingQuality = 'high'
  context.translate(across ? width : 0, down ? height : 0)
  context.scale(across ? -1 : 1, down ? -1 : 1)
  context.drawImage(bitmap, source.left, source.top, source.width, source.height, 0, 0, width, height)
}

function drawTiles(context: OffscreenCanvasRenderingContext2D, bitmap: ImageBitmap, layer: PictureLayer, rect: Rect): void {
  const width = layer.tile!
  const height = (width * bitmap.height) / bitmap.width
  const { x, y } = layer.crop.focal
  // A position in percent lays that point of the tile on that of the box (CSS Backgrounds 3, 3.6).
  const start = (from: number, size: number, tile: number, percent: number) => {
    const at = from + ((size - tile) * percent) / 100
    return at - Math.ceil((at - from) / tile) * tile
  }
  for (let left = start(rect.left, rect.width, width, x); left < rect.left + rect.width; left += width)
    for (let top = start(rect.top, rect.height, height, y); top < rect.top + rect.height; top += height)
      context.drawImage(bitmap, left, top, width, height)
}

/** Lets a picture fade out along the gradient line of CSS. */
function fade(context: OffscreenCanvasRenderingContext2D, mask: { angle: number; from: number; to: number }, rect: Rect): void {
  const turn = (mask.angle * Math.PI) / 180
  const half = (Math.abs(rect.width * Math.sin(turn)) + Math.abs(rect.height * Math.cos(turn))) / 2
  const [x, y] = [rect.left + rect.width / 2, rect.top + rect.height / 2]
  const [dx, dy] = [Math.sin(turn) * half, -Math.cos(turn) * half]
  const gradient = context.createLinearGradient(x - dx, y - dy, x + dx, y + dy)
  gradient.addColorStop(mask.from / 100, '#000')
  gradient.addColorStop(Math.max(mask.from, mask.to) / 100, '#0000')
  context.globalCompositeOperation = 'destination-in'
  context.filter = 'none'
  context.fillStyle = gradient
  context.fillRect(0, 0, context.canvas.width, context.canvas.height)
}

/** A grey picture in two tones, as the page lays it: multiplied with the lighter, and nowhere darker than the darker. */
function inTwoTones(grey: Uint8ClampedArray, duotone: NonNullable<PictureLayer['duotone']>, part: Size): Uint8ClampedArray {
  const { dark, light } = orderedTones(duotone)
  const rect = { left: 0, top: 0, ...part }
  const toned = ground(part, light)
  paintOver(toned, part, { kind: 'pixels', pixels: grey, blend: 'multiply', rect })
  paintOver(toned, part, { kind: 'colour', colour: dark, blend: 'lighten', rect })
  for (let n = 3; n < toned.length; n += 4) toned[n] = grey[n]!
  return toned
}

/** What was painted so far, changed by a filter within a box. */
export function filteredBehind(pixels: Uint8ClampedArray, part: Size, rect: Rect, filter: string): void {
  const from = new OffscreenCanvas(part.width, part.height)
  from.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(pixels), part.width, part.height), 0, 0)
  const context = clipped(part, rect)
  context.filter = filter
  context.drawImage(from, 0, 0)
  const changed = context.getImageData(0, 0, part.width, part.height).data
  paintOver(pixels, part, { kind: 'pixels', pixels: changed, rect })
}
