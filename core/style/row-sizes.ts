import { z } from 'zod'

/** The height of one row of a grid: as its content, a share of what is left over, or a size. */
export const rowSizeSchema = z.union([
  z.literal('content'),
  z.strictObject({ value: z.number().min(0).max(10_000), unit: z.enum(['px', 'fr', 'vh', '%']) }),
])
export type RowSize = z.infer<typeof rowSizeSchema>

export const MOST_ROWS = 12
export const rowSizesSchema = z.array(rowSizeSchema).min(1).max(MOST_ROWS)

const SIZE = /^(\d+(?:[.,]\d+)?)\s*(px|fr|vh|%)?$/i

/**
 * Reads rows as they are typed: `200 px, content, 1 fr`. A bare figure is in px.
 * @returns the rows, or `undefined` if the text says none, or more than twelve
 */
export function parseRowSizes(text: string): RowSize[] | undefined {
  const sizes = text.split(/[,;]/).map((part): RowSize | undefined => {
    const typed = part.trim().toLowerCase()
    if (typed === 'content' || typed === 'auto') return 'content'
    const found = SIZE.exec(typed)
    return found ? { value: Number(found[1]!.replace(',', '.')), unit: (found[2] ?? 'px') as 'px' } : undefined
  })
  const parsed = rowSizesSchema.safeParse(sizes)
  return parsed.success ? parsed.data : undefined
}

/** Rows as they would be typed. */
export const rowSizesText = (sizes: readonly RowSize[]): string =>
  sizes.map((one) => (one === 'content' ? one : `${Number(one.value.toFixed(3))} ${one.unit}`)).join(', ')

/** Rows as `grid-template-rows` has them (CSS Grid Layout 1, 7.2). */
export const rowSizesCss = (sizes: readonly RowSize[]): string =>
  sizes.map((one) => (one === 'content' ? 'auto' : `${one.value}${one.unit}`)).join(' ')
