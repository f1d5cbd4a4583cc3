import type { StyleGuide, TypeRole } from '#core/site/style-guide'
import { lengthToCss } from '#core/style/css-values'
import type { Declaration } from '#core/style/property'
import { leadingCssOf, sizeOf } from '#core/type/roles'

/** The custom property of a type role's size. */
export const sizeProperty = (role: string): string => `--size-${role}`

/** The custom property of the leading that roles without one of their own have. */
export const LEADING_PROPERTY = '--leading'

/** How words of a type role are set. */
export const typeDeclarations = (type: TypeRole): Declaration[] => [
  [
    'font',
    `${type.italic ? 'italic ' : ''}${type.weight} var(${sizeProperty(type.role)}) / ${type.leading ?? `var(${LEADING_PROPERTY})`} var(--face-${type.face})`,
  ],
  ...(type.tracking === 0 ? [] : [['letter-spacing', `${type.tracking}em`] as const]),
  ...(type.lines && type.lines !== 'wrap' ? [['text-wrap', type.lines] as const] : []),
  ...(type.letterCase === 'capitals' ? [['text-transform', 'uppercase'] as const] : []),
  ...(type.letterCase === 'small-capitals' ? [['font-variant-caps', 'all-small-caps'] as const] : []),
  ...(type.hanging ? [['hanging-punctuation', 'first last'] as const] : []),
  ...(type.figures ? [['font-variant-numeric', type.figures === 'tabular' ? 'tabular-nums' : 'oldstyle-nums'] as const] : []),
]

/** The sizes of the type roles, and the common leading, as custom properties. */
export const typeTokens = (guide: StyleGuide): Declaration[] => [
  ...guide.types.map((type): Declaration => [sizeProperty(type.role), lengthToCss(sizeOf(guide, type))]),
  [LEADING_PROPERTY, leadingCssOf(guide, {})],
]
