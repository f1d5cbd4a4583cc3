import type { Shape } from '#core/blocks/shape'
import { inThread } from './threads/pool'

/**
 * An uploaded SVG as a drawing of paths whose colours can be changed: cleaned, transforms worked in.
 * @throws FormatError if it is no drawing, or has more in it than a block may
 */
export const ownShape = (bytes: Uint8Array, name: string): Promise<Pick<Shape, 'view' | 'parts'>> =>
  inThread(
    Symbol(name),
    'read-shape',
    { text: new TextDecoder().decode(bytes), name },
    { sentence: `"${name}" takes too long to read. Simplify its paths.` },
  )
