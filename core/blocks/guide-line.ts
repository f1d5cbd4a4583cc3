import { z } from 'zod'

/** Most guide lines that a section has. */
export const MOST_LINES = 24

/** A line of a section to place blocks by: down it or across it, so far from its left edge or its top. It is not published. */
export const guideLineSchema = z
  .strictObject({
    axis: z.enum(['down', 'across']),
    at: z.number().min(0).max(10_000),
    unit: z.enum(['px', '%']),
  })
  .refine((line) => line.unit === 'px' || line.at <= 100, 'A guide line stands within its section, at 0 to 100 %.')
export type GuideLine = z.infer<typeof guideLineSchema>

type Size = { width: number; height: number }

/** Px of a line from the left edge of its section, or from its top. */
export function lineAt({ axis, at, unit }: GuideLine, { width, height }: Size): number {
  return unit === 'px' ? at : ((axis === 'down' ? width : height) * at) / 100
}

/** The line moved to a px of its section, in its own unit: whole px, or tenths of a percent; never out of the section. */
export function lineMoved(line: GuideLine, px: number, size: Size): GuideLine {
  const length = line.axis === 'down' ? size.width : size.height
  const within = Math.max(0, Math.min(length, px))
  const at = line.unit === 'px' ? Math.round(within) : Math.round((1000 * within) / Math.max(1, length)) / 10
  return { ...line, at }
}

/** The line of an axis that a place is near enough to, if there is one. All in px of the page. */
export function nearestLine(
  px: number,
  axis: GuideLine['axis'],
  lines: readonly GuideLine[],
  size: Size,
  near: number,
): number | undefined {
  const places = lines.filter((one) => one.axis === axis).map((one) => lineAt(one, size))
  const nearest = places.sort((a, b) => Math.abs(a - px) - Math.abs(b - px))[0]
  return nearest !== undefined && Math.abs(nearest - px) <= near ? nearest : undefined
}

export const lineInWords = ({ at, unit }: GuideLine): string => `${Number(at.toFixed(1))} ${unit}`
