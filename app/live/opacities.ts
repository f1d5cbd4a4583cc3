import type { Box } from '#core/sweep/reading'

/** Squares that the opacity of a picture is kept in, across and down. */
const SQUARES = 48
/** Share of what is behind that a picture must hide to cover it. */
const SOLID = 0.9

/** How opaque a picture is, 0 to 1, square by square from its top left. */
type Opacity = Float32Array

const known = new Map<string, Promise<Opacity | undefined>>()

/** The address of a picture's file at its least size, as the views ask for it; nothing for what is no picture of a site. */
function fileOf(image: HTMLImageElement): string | undefined {
  const url = new URL(image.getAttribute('src') ?? '', location.origin)
  if (!url.pathname.startsWith('/pictures/')) return undefined
  const turn = url.searchParams.get('turn')
  return `${url.pathname}?w=320${turn ? `&turn=${turn}` : ''}`
}

/** Measures a picture once; nothing where it cannot be had, which is no reason to take it for one that is seen through. */
function opacityOf(file: string): Promise<Opacity | undefined> {
  let one = known.get(file)
  if (!one) {
    one = measured(file).catch(() => undefined)
    known.set(file, one)
    // One that could not be had may be there the next time.
    void one.then((result) => result ?? known.delete(file))
  }
  return one
}

async function measured(file: string): Promise<Opacity | undefined> {
  const image = new Image()
  image.src = file
  await image.decode()
  const canvas = new OffscreenCanvas(SQUARES, SQUARES)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(image, 0, 0, SQUARES, SQUARES)
  const { data } = context.getImageData(0, 0, SQUARES, SQUARES)
  return Float32Array.from({ length: SQUARES * SQUARES }, (_, n) => data[4 * n + 3]! / 255)
}

/** Tells whether a picture hides all that lies behind a part of it, px of its window. */
export type Hides = (image: HTMLImageElement, part: Box) => boolean

/** Measures the pictures of a document that may be seen through in places, once for each file. */
export async function opacitiesIn(root: Document): Promise<Hides> {
  const images = [...root.images]
  const all = await Promise.all(images.map((one) => ((file) => (file ? opacityOf(file) : undefined))(fileOf(one))))
  const found = new Map(images.map((one, n) => [one, all[n]]))
  return (image, part) => {
    const opacity = found.get(image)
    return !opacity || isHidden(image, part, opacity)
  }
}

/** Where a picture is drawn in its box, px of its window (CSS Images 3, 5.5: object-fit and object-position). */
function drawnIn(image: HTMLImageElement): Box {
  const { left, top, width, height } = image.getBoundingClientRect()
  const { objectFit, objectPosition } = image.ownerDocument.defaultView!.getComputedStyle(image)
  const ratio =
    Number(image.getAttribute('width')) / Number(image.getAttribute('height')) || image.naturalWidth / image.naturalHeight
  if ((objectFit !== 'cover' && objectFit !== 'contain') || !(ratio > 0))
    return { left, top, right: left + width, bottom: top + height }
  const wide = width / height > ratio === (objectFit === 'cover')
  const [across, down] = wide ? [width, width / ratio] : [height * ratio, height]
  const [x = 50, y = 50] = objectPosition.split(' ').map(Number.parseFloat)
  const [from, above] = [left + ((width - across) * x) / 100, top + ((height - down) * y) / 100]
  return { left: from, top: above, right: from + across, bottom: above + down }
}

/** Whether the squares of a picture that a part of it shows are opaque on the whole; beside what is drawn, nothing is hidden. */
function isHidden(image: HTMLImageElement, part: Box, opacity: Opacity): boolean {
  const drawn = drawnIn(image)
  const [width, height] = [drawn.right - drawn.left, drawn.bottom - drawn.top]
  const [left, right] = [part.left, part.right].map((x) => ((x - drawn.left) / width) * SQUARES) as [number, number]
  const [top, bottom] = [part.top, part.bottom].map((y) => ((y - drawn.top) / height) * SQUARES) as [number, number]
  let [sum, area] = [0, 0]
  for (let y = Math.floor(top); y < bottom; y++)
    for (let x = Math.floor(left); x < right; x++) {
      const share = (Math.min(right, x + 1) - Math.max(left, x)) * (Math.min(bottom, y + 1) - Math.max(top, y))
      const within = x >= 0 && y >= 0 && x < SQUARES && y < SQUARES
      sum += share * (within ? opacity[y * SQUARES + x]! : 0)
      area += share
    }
  return area > 0 && sum / area >= SOLID
}
