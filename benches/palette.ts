import sharp from 'sharp'
import { paletteOf } from '#core/colour/palette'
import { median, middleOf, print } from './measure'

/** A picture of 12 megapixels, made of one of the demo's: its palette, against decoding it. */
const WIDTH = 4000
const HEIGHT = 3000
const jpeg = await sharp('library/hills-at-dawn.jpg').resize(WIDTH, HEIGHT, { fit: 'cover' }).jpeg({ quality: 88 }).toBuffer()
const times: number[] = []
let pixels: Buffer | undefined
for (let i = 0; i < 8; i++) {
  const start = performance.now()
  pixels = await sharp(jpeg).ensureAlpha().raw().toBuffer()
  if (i >= 3) times.push(performance.now() - start)
}
const decoding = middleOf(times)
const rgba = new Uint8ClampedArray(pixels!.buffer, pixels!.byteOffset, pixels!.length)
const ours = median(
  5,
  () => rgba,
  (one) => paletteOf(one, 10),
)
print('palette', ours / decoding, `${ours.toFixed(0)} and ${decoding.toFixed(0)} ms`)
