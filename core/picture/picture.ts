import { z } from 'zod'
import { idSchema } from '#core/values/ids'

/** Longest side of a picture, px. */
export const MAX_SIDE = 30_000
/** Most that a picture may weigh, bytes. */
export const MAX_PICTURE = 30 * 1024 * 1024

const percent = z.number().min(0).max(100)
/** A point of a picture, percent of its sides. */
export const pointSchema = z.strictObject({ x: percent, y: percent })
export type Point = z.infer<typeof pointSchema>

/** A part of a picture, percent of its sides. */
export const partSchema = z
  .strictObject({ left: percent, top: percent, width: percent.min(1), height: percent.min(1) })
  .refine(({ left, top, width, height }) => left + width <= 100.01 && top + height <= 100.01, 'The area goes past the picture.')
export type Part = z.infer<typeof partSchema>

/** Most tags of one picture. */
export const MOST_TAGS = 30

/** A picture of the site, still or moving. */
export const pictureSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(200),
  /** SHA-256 of the original's bytes, in hex; the name that it is stored under. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/svg+xml', 'video/mp4', 'video/webm']),
  /** Size of the original, px. */
  width: z.int().positive().max(MAX_SIDE),
  height: z.int().positive().max(MAX_SIDE),
  /** Weight of the original, bytes. */
  bytes: z.int().positive().optional(),
  /** What every crop keeps, where a place says nothing of its own. */
  focal: pointSchema.optional(),
  /** What every crop keeps whole where it can. */
  safe: partSchema.optional(),
  tags: z.array(z.string().trim().min(1).max(60)).max(MOST_TAGS).optional(),
})
export type Picture = z.infer<typeof pictureSchema>

/** True for a picture that moves: a video, which is stored and listed with the others. */
export const isFilm = ({ type }: Pick<Picture, 'type'>): boolean => type.startsWith('video/')

/** Quarter turns of a picture where it is placed, degrees clockwise. */
export const TURNS = [90, 180, 270] as const
export const turnSchema = z.literal(TURNS)
export type Turn = z.infer<typeof turnSchema>

/** Types of file that an export may hold of one picture, the lightest first; `own` is that of the original. */
export const FORMATS = ['avif', 'webp', 'own'] as const
export type PictureFormat = (typeof FORMATS)[number]

/** How a file is made of a picture, besides its width: nothing of the original is lost. */
export type Making = {
  turn?: Turn | undefined
  /** 0 to 1; whole where nothing is said. */
  opacity?: number | undefined
  /** WebP, if nothing is said. */
  format?: PictureFormat | undefined
}

const turnedPoint = ({ x, y }: Point, turn: Turn): Point =>
  turn === 90 ? { x: 100 - y, y: x } : turn === 180 ? { x: 100 - x, y: 100 - y } : { x: y, y: 100 - x }

/** A picture as it is after a quarter turn: its sides, its focal point and its safe area turn with it. */
export function turned(picture: Picture, turn: Turn | undefined): Picture {
  if (!turn) return picture
  const { width, height, focal, safe } = picture
  const across = turn === 180 ? { width, height } : { width: height, height: width }
  const next: Picture = { ...picture, ...across }
  if (focal) next.focal = turnedPoint(focal, turn)
  if (safe) {
    const one = turnedPoint({ x: safe.left, y: safe.top }, turn)
    const other = turnedPoint({ x: safe.left + safe.width, y: safe.top + safe.height }, turn)
    next.safe = {
      left: Math.min(one.x, other.x),
      top: Math.min(one.y, other.y),
      width: Math.abs(one.x - other.x),
      height: Math.abs(one.y - other.y),
    }
  }
  return next
}
