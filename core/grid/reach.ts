import { z } from 'zod'

/**
 * How far a block of a section reaches: over the middle columns, over all, to both edges of the window, or past the
 * first or the last column to one of them; `columns` is what its own columns say, where a wider range has it reach.
 */
export const reachSchema = z.enum(['columns', 'narrow', 'container', 'full', 'left', 'right'])
export type Reach = Exclude<z.infer<typeof reachSchema>, 'columns'>

/** How far a block reaches beyond what its own columns say, if it does. */
export const reachOf = (value: z.infer<typeof reachSchema> | undefined): Reach | undefined =>
  value === 'columns' ? undefined : value

/** Columns that a narrow block takes: about two thirds, with as many left free at each side; all of four and fewer. */
export const narrowSpan = (columns: number): number => (columns <= 4 ? columns : columns - 2 * Math.round(columns / 6))

/** How many sides of the columns a block goes past. */
export const sidesOf = (reach: Reach | undefined): 0 | 1 | 2 =>
  reach === 'full' ? 2 : reach === 'left' || reach === 'right' ? 1 : 0
