import { z } from 'zod'
import { type AnyEdit, type Applied, type EditKind } from './edit'
import type { Site } from '#core/site/schema'

/** Several edits as one: all are applied, or none. */
export interface Batch<E> {
  kind: 'batch'
  label: string
  edits: E[]
}

/** Most edits that one batch holds; more are put into batches inside it. */
export const MOST_IN_BATCH = 500

/** The kind of batches of edits that are checked, applied and sampled as given. */
export const batchKind = <E extends AnyEdit>(
  schema: () => z.ZodType<E>,
  apply: (site: Site, edit: E) => Applied<E>,
  sample: EditKind<E>['sample'],
): EditKind<Batch<E>> => ({
  kind: 'batch',
  schema: z.strictObject({
    kind: z.literal('batch'),
    label: z.string().max(120),
    edits: z.lazy(() => z.array(schema()).min(1).max(MOST_IN_BATCH)),
  }),
  label: (edit) => edit.label,
  apply(site, edit) {
    const inverses: E[] = []
    let next = site
    for (const one of edit.edits) {
      const step = apply(next, one)
      next = step.site
      inverses.unshift(step.inverse)
    }
    return { site: next, inverse: { kind: 'batch', label: edit.label, edits: inverses } }
  },
  sample: (site, choose) => ({ kind: 'batch', label: 'both', edits: [sample(site, choose), sample(site, choose)] }),
})

/** Several edits as one. A batch that would hold more than it may holds batches. */
export function batchOf<E extends AnyEdit>(label: string, edits: readonly E[]): E | Batch<E> {
  if (edits.length === 1) return edits[0]!
  const short = label.slice(0, 120)
  if (edits.length <= MOST_IN_BATCH) return { kind: 'batch', label: short, edits: [...edits] }
  const size = Math.ceil(edits.length / Math.ceil(edits.length / MOST_IN_BATCH))
  const parts = Array.from({ length: Math.ceil(edits.length / size) }, (_, i) => edits.slice(i * size, (i + 1) * size))
  return batchOf(
    short,
    parts.map((part) => batchOf(short, part) as E),
  )
}
