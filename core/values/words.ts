import { z } from 'zod'

/** Marks that a stretch of words may carry. */
export const MARKS = ['emphasis', 'strong', 'struck', 'highlight'] as const
export type Mark = (typeof MARKS)[number]

/** Links that words may carry: web, mail and telephone addresses, and addresses inside the site. Scripts are refused. */
export const hrefSchema = z
  .string()
  .max(2000)
  .regex(
    /^(https?:\/\/|mailto:|tel:|\/|#|[\w-]+(\.html)?(#[\w-]*)?$)/i,
    'A link starts with https://, http://, mailto:, tel:, / or #.',
  )

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
export const wordsSchema = z.record(z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/), z.array(spanSchema).max(500))
export type Words = z.infer<typeof wordsSchema>

/** The bare text of spans; a line break counts as a space. */
export function plainText(spans: readonly Span[]): string {
  return spans.map((span) => (typeof span === 'string' ? span : span.kind === 'break' ? ' ' : plainText(span.children))).join('')
}
