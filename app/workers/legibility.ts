import { expose } from 'comlink'
import { behind, type Crop, type Size } from '#core/legibility/crop'
import { leastScrim, type Legibility, legibilityOf, type Words } from '#core/legibility/legibility'
import { type Tint, tinted } from '#core/legibility/tint'

/** Words over a picture, to be measured. */
export type Measuring = Omit<Words, 'pixels'> & {
  /** Where the picture is fetched. */
  url: string
  crop: Crop
  /** Filters of the picture, as CSS writes them. */
  filter: string
  /** Colour under the picture, as CSS writes it. */
  ground: string
  /** Tints that lie over it now, its scrim last, and how many of them are that scrim. */
  tints: readonly Tint[]
  scrims: number
  needed: number
  scrim: Tint['colour']
  /** Direction of a scrim that is strongest where the words are, degrees. */
  angle: number
}

/** What was measured, and the least scrims that reach what is needed: even, and from the side of the words. */
export type Measured = { found: Legibility; even?: number; sided?: number }

const bitmaps = new Map<string, Promise<ImageBitmap>>()

function bitmapOf(url: string): Promise<ImageBitmap> {
  let known = bitmaps.get(url)
  if (!known) {
    known = fetch(url).then(async (response) => {
      if (!response.ok) throw new Error('The picture cannot be read.')
      return createImageBitmap(await response.blob())
    })
    bitmaps.set(url, known)
    // A picture that could not be read is asked for again.
    known.catch(() => bitmaps.delete(url))
  }
  return known
}

function pixelsOf(bitmap: ImageBitmap, { part, box, crop, ground, filter }: Measuring): Uint8ClampedArray {
  const canvas = new OffscreenCanvas(part.width, part.height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.fillStyle = ground
  context.fillRect(0, 0, part.width, part.height)
  const { left, top, width, height } = behind(part, box as Size, bitmap, crop)
  context.imageSmoothingQuality = 'high'
  context.filter = filter
  const [across, down] = [crop.flip === 'across' || crop.flip === 'both', crop.flip === 'down' || crop.flip === 'both']
  context.translate(across ? part.width : 0, down ? part.height : 0)
  context.scale(across ? -1 : 1, down ? -1 : 1)
  context.drawImage(bitmap, left, top, width, height, 0, 0, part.width, part.height)
  return context.getImageData(0, 0, part.width, part.height).data
}

/** Measures words over pictures away from the screen, so that nothing waits for it. */
const legibility = {
  async of(asked: Measuring): Promise<Measured | undefined> {
    const words: Words = { ...asked, pixels: pixelsOf(await bitmapOf(asked.url), asked) }
    const { tints, scrims, needed, scrim: colour, angle } = asked
    const found = legibilityOf(words, tints)
    if (!found || found.worst.ratio >= needed) return found && { found }
    // Another scrim takes the place of the present one; what else lies over the picture stays.
    const { part, box } = asked
    const under = tints.slice(0, tints.length - scrims)
    const bare = under.length === 0 ? words : { ...words, pixels: tinted(words.pixels, part, box, under) }
    return {
      found,
      even: leastScrim(bare, needed, (strength) => ({ colour, from: strength, to: strength, angle })),
      sided: leastScrim(bare, needed, (strength) => ({ colour, from: strength, to: 0, angle })),
    }
  },
}

export type LegibilityWorker = typeof legibility

expose(legibility)
