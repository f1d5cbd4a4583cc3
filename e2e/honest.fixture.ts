import { join } from 'node:path'
import sharp from 'sharp'
import { openStore } from '#server/database'
import { storePicture } from '#server/pictures'
import type { AnyPictures } from './any-page'
import type { Application } from './application'

/** Keeps the pictures that pages may have with an application: 400 by 300 px, the one green, the other in its left half. */
export async function picturesIn(app: Application): Promise<AnyPictures> {
  const green = { r: 60, g: 110, b: 80, alpha: 1 }
  const drawn = (width: number) => sharp({ create: { width, height: 300, channels: 4, background: green } })
  const left = await drawn(200)
    .extend({ right: 200, background: { ...green, alpha: 0 } })
    .png()
    .toBuffer()
  const store = openStore(join(app.data, 'yarrowfinch.db'))
  try {
    const whole = await storePicture(store, await drawn(400).png().toBuffer(), 'whole.png')
    return { whole, half: await storePicture(store, left, 'half.png') }
  } finally {
    store.close()
  }
}
