import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { lineSchema } from './motion'

/** Which block of a group is shown as others of the page pass a line of the window, both ways. */
export const stepsSchema = z.strictObject({
  line: lineSchema,
  /** Each block of the group that is shown from where the top edge of another has passed; the others are shown before. */
  at: z
    .array(z.strictObject({ block: idSchema, of: idSchema }))
    .max(40)
    .refine(
      (at) => new Set(at.map((one) => one.block)).size === at.length,
      'A block is shown from one place, and this has two of one.',
    )
    .refine(
      (at) => at.every(({ of }) => at.every(({ block }) => block !== of)),
      'A block that itself waits to be shown cannot say when another is: nobody would see either.',
    ),
})
export type Steps = z.infer<typeof stepsSchema>

/**
 * The block that is shown at a scroll position: the last whose start has passed the line, or else the first that has none.
 * @param starts top edges of what the blocks wait for, px of the page; nothing for a block that waits for none
 * @param line px from the top of the window
 * @returns its index; 0 where nothing has passed and all wait
 */
export function stepAt(starts: readonly (number | undefined)[], line: number, scroll: number): number {
  const passed = starts.findLastIndex((start) => start !== undefined && start <= scroll + line)
  return passed >= 0 ? passed : Math.max(0, starts.indexOf(undefined))
}
