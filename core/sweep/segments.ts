import type { Range } from '#core/analysis/finding'
import type { WidthFinding } from './find'
import { SWEPT } from './widths'

/** A range of widths in which something is wrong, and what. */
export type Segment = Range & { findings: WidthFinding[] }

/** Ranges in which something is wrong, those that overlap or follow each other as one. */
export function segmentsOf(findings: readonly WidthFinding[]): Segment[] {
  const all = findings.flatMap((finding) => finding.ranges.map((range) => ({ ...range, finding })))
  const segments: Segment[] = []
  for (const { from, to, finding } of all.sort((a, b) => a.from - b.from)) {
    const last = segments.at(-1)
    if (last && from <= last.to + 1) {
      last.to = Math.max(last.to, to)
      if (!last.findings.includes(finding)) last.findings.push(finding)
    } else segments.push({ from, to, findings: [finding] })
  }
  return segments
}

/** Stretches of widths over which the same number of findings hold, where that is not none: how deep the trouble is. */
export function depthsOf(findings: readonly WidthFinding[]): (Range & { depth: number })[] {
  const changes = new Map<number, number>()
  const add = (at: number, by: number) => changes.set(at, (changes.get(at) ?? 0) + by)
  for (const { ranges } of findings)
    for (const { from, to } of ranges) {
      add(from, 1)
      add(to + 1, -1)
    }
  const widths = [...changes.keys()].sort((a, b) => a - b)
  let depth = 0
  return widths.flatMap((from, n) => {
    depth += changes.get(from)!
    return depth > 0 ? [{ from, to: widths[n + 1]! - 1, depth }] : []
  })
}

/** The longest stretch of widths at which nothing is wrong; none where something is at all of them. */
export function cleanStretch(findings: readonly WidthFinding[]): Range | undefined {
  const ends = [{ from: SWEPT.from, to: SWEPT.from - 1 }, ...segmentsOf(findings), { from: SWEPT.to + 1, to: SWEPT.to + 1 }]
  const gaps = ends.slice(1).map((next, n) => ({ from: ends[n]!.to + 1, to: next.from - 1 }))
  const longest = gaps.reduce((best, one) => (one.to - one.from > best.to - best.from ? one : best), { from: 0, to: -1 })
  return longest.to >= longest.from ? longest : undefined
}
