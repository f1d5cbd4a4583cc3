import { z } from 'zod'
import { hrefSchema } from './href'
import { byLanguage } from './language'

/** Marks that a stretch of words may carry. */
export const MARKS = ['emphasis', 'strong', 'struck', 'highlight'] as const
export type Mark = (typeof MARKS)[number]

/** A piece of text: plain words, a marked stretch, a link, or a line break. */
export type Span = string | { kind: Mark; children: Span[] } | { kind: 'link'; href: string; children: Span[] } | { kind: 'break' }

const children = z.lazy(() => z.array(spanSchema).max(500))

export const spanSchema: z.ZodType<Span> = z
  .union([
    z.string().max(20_000),
    z.strictObject({ kind: z.enum(MARKS), children }),
    z.strictObject({ kind: z.literal('link'), href: hrefSchema, children }),
    z.strictObject({ kind: z.literal('break') }),
  ])
  .meta({ id: 'Span' })

/** Words by language (BCP 47 tag). */
export const wordsSchema = byLanguage(z.array(spanSchema).max(500))
export type Words = z.infer<typeof wordsSchema>

/** The bare text of spans; a line break counts as a space. */
export function plainText(spans: readonly Span[]): string {
  return spans.map((span) => (typeof span === 'string' ? span : span.kind === 'break' ? ' ' : plainText(span.children))).join('')
}
