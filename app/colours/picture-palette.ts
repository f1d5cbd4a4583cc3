import { type Remote, transfer, wrap } from 'comlink'
import type { PaletteColour } from '#core/colour/palette'
import type { Picture } from '#core/picture/picture'
import type { Palettes } from '../workers/palette'

let worker: Remote<Palettes> | undefined
const palettes = () =>
  (worker ??= wrap<Palettes>(new Worker(new URL('../workers/palette.ts', import.meta.url), { type: 'module' })))

/** The palette of a picture of the site, out of its original. @throws Error if the picture cannot be read */
export async function picturePalette(picture: Picture, count: number): Promise<PaletteColour[]> {
  const response = await fetch(
    `/pictures/${picture.hash}${picture.type === 'image/svg+xml' ? '' : '?w=' + String(Math.min(picture.width, 4000))}`,
  )
  if (!response.ok) throw new Error('The picture cannot be read.')
  const bitmap = await createImageBitmap(await response.blob())
  return palettes().of(transfer(bitmap, [bitmap]), count)
}
