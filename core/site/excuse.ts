import { z } from 'zod'
import { idSchema } from '#core/values/ids'

/** Most findings of a site that are said to be no faults, and most letters of a reason. */
export const MOST_EXCUSES = 500
export const LONGEST_REASON = 300

/** A finding that the designer says is no fault here, and why. */
export const excuseSchema = z.strictObject({
  id: idSchema,
  page: idSchema,
  /** The kind of finding, the block that it is about, and another that is concerned; the page itself where none is named. */
  kind: z.string().min(1).max(60),
  block: idSchema.optional(),
  beside: idSchema.optional(),
  reason: z.string().trim().min(1, 'An excuse needs its reason.').max(LONGEST_REASON),
})
export type Excuse = z.infer<typeof excuseSchema>

/** The excuse that a finding of a page has, if any. */
export const excuseOf = (
  excuses: readonly Excuse[] | undefined,
  page: string,
  finding: { kind: string; block?: string; beside?: string },
): Excuse | undefined =>
  excuses?.find(
    (one) => one.page === page && one.kind === finding.kind && one.block === finding.block && one.beside === finding.beside,
  )

/** What of a site was found and not excused. */
export const notExcused = <F extends { page: string; kind: string; block?: string; beside?: string }>(
  excuses: readonly Excuse[] | undefined,
  found: readonly F[],
): F[] => found.filter((one) => !excuseOf(excuses, one.page, one))
