import type { StyleGuide, TypeRole } from '#core/guide/style-guide'
import { lengthToCss } from '#core/style/css-values'
import type { Declaration } from '#core/style/property'
import { leadingToCss } from '#core/type/leading'
import { bodyLeading, sizeOf } from '#core/guide/type-roles'

/** The custom property of a type role's size. */
export const sizeProperty = (role: string): string => `--size-${role}`

/** The leading that roles without one of their own have; that of the body is one figure, since it is handed down. */
const leadingOf = ({ role, leading }: TypeRole): string =>
  leading === undefined ? `var(${role === 'body' ? '--leading-body' : '--leading'})` : String(leading)

/** How words of a type role are set. */
export const typeDeclarations = (type: TypeRole): Declaration[] => [
  [
    'font',
    `${type.italic ? 'italic ' : ''}${type.weight} var(${sizeProperty(type.role)}) / ${leadingOf(type)} var(--face-${type.face})`,
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
  ['--leading', leadingToCss(guide.leading)],
  ['--leading-body', String(bodyLeading(guide))],
]
