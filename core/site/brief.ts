import { freeze } from 'immer'
import { z } from 'zod'
import { JOBS } from '#core/blocks/section'
import { nameSchema } from '#core/values/name'
import { idSchema } from '#core/values/ids'

/** What a page wants of its visitors. */
export const AIMS = ['book', 'sign-up', 'download', 'buy', 'contact', 'show-work'] as const
export type Aim = (typeof AIMS)[number]

/** How at home visitors are on the web. */
export const COMFORTS = ['seldom', 'everyday', 'expert'] as const

const hexSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'A colour is written #RRGGBB.')
const count = z.int().min(0).max(1000)

const one = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
  z.strictObject({ id: idSchema, kind: z.literal(kind), ...shape })

/** What a client wants kept to, as data, so that it can be checked against the page. */
export const constraintSchema = z.discriminatedUnion('kind', [
  one('colour-wanted', { hex: hexSchema }),
  one('colour-unwanted', { hex: hexSchema }),
  one('faces', { families: z.array(nameSchema).min(1).max(12) }),
  one('most-links', { count }),
  one('one-action', {}),
  one('confirmation', {}),
  one('sections', { jobs: z.array(z.enum(JOBS)).min(1).max(16) }),
  one('opening-words', { count: z.int().min(1).max(1000) }),
])
export type Constraint = z.infer<typeof constraintSchema>

const line = z.string().max(400)
const passage = z.string().max(4000)

/** Something found in an audit of the page that exists today. */
export const auditSchema = z.strictObject({
  id: idSchema,
  what: line,
  where: line,
  severity: z.enum(['slight', 'serious', 'grave']),
  remedy: line,
  /** The section that answers the finding; with one, it is ticked off. */
  answeredBy: idSchema.optional(),
})
export type AuditFinding = z.infer<typeof auditSchema>

export const siteBriefSchema = z.strictObject({
  visitors: passage,
  comfort: z.enum(COMFORTS),
  reasons: passage,
  tone: passage,
  aim: z.enum(AIMS).nullable(),
  /** The one wanted action, in words. */
  action: line,
  constraints: z.array(constraintSchema).max(60),
  audit: z.array(auditSchema).max(200),
})
export type SiteBrief = z.infer<typeof siteBriefSchema>

export const pageBriefSchema = z.strictObject({
  /** The page's own aim; null for the site's. */
  aim: z.enum(AIMS).nullable(),
  action: line,
  /** What is this? Why should I care? What do I do now? */
  what: passage,
  why: passage,
  now: passage,
  constraints: z.array(constraintSchema).max(60),
})
export type PageBrief = z.infer<typeof pageBriefSchema>

export const EMPTY_SITE_BRIEF: SiteBrief = freeze(
  {
    visitors: '',
    comfort: 'everyday',
    reasons: '',
    tone: '',
    aim: null,
    action: '',
    constraints: [],
    audit: [],
  },
  true,
)

export const EMPTY_PAGE_BRIEF: PageBrief = freeze({ aim: null, action: '', what: '', why: '', now: '', constraints: [] }, true)
