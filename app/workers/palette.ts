import { expose } from 'comlink'
import { type PaletteColour, paletteOf } from '#core/colour/palette'

/** Computes palettes away from the screen, so that nothing waits for them. */
const palettes = {
  /** The palette of a picture, decoded already; the bitmap is given away. */
  of(bitmap: ImageBitmap, count: number): PaletteColour[] {
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
    const context = canvas.getContext('2d', { willReadFrequently: true })!
    context.drawImage(bitmap, 0, 0)
    bitmap.close()
    return paletteOf(context.getImageData(0, 0, canvas.width, canvas.height).data, count)
  },
}

export type Palettes = typeof palettes

expose(palettes)
