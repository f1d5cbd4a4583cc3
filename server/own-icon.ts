import type { Icon } from '#core/values/icon'
import { inThread } from './threads/pool'

/**
 * An uploaded SVG as an icon: cleaned, in paths on the field of 24 by 24, in one colour.
 * @throws FormatError if it is no drawing, or too much of one for an icon
 */
export const ownIcon = (bytes: Uint8Array, name: string): Promise<Icon> =>
  inThread(
    Symbol(name),
    'read-icon',
    { text: new TextDecoder().decode(bytes), name },
    { sentence: `"${name}" takes too long to read. Simplify its paths.` },
  )
