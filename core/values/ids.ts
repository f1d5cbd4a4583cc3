import { z } from 'zod'
import './messages'

const ALPHABET = '0123456789abcdefghijklmnopqrstuvwxyz'

/** False for what every object has of itself, as `constructor`: under such a key an object would give that, or lose it. */
export const isFreeKey = (name: string): boolean => !(name in Object.prototype)

/** A short id of a block, page, picture or breakpoint: 1 to 24 letters, figures, `-` or `_`. It never changes. */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,24}$/, 'An id has 1 to 24 letters, figures, - or _.')
  .refine(isFreeKey, 'This id is one that every object of JavaScript has, so it cannot be used.')

/** Makes ids out of a source of random numbers in [0, 1), which the caller gives: core has no randomness of its own. */
export type MakeId = () => string

/** A maker of 8-character ids; 36^8 values, so that two tabs do not meet. */
export function idMaker(random: () => number): MakeId {
  return () => Array.from({ length: 8 }, () => ALPHABET[Math.floor(random() * 36)]).join('')
}
