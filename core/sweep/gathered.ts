import type { WidthFinding } from './find'

/** One line of a list: a finding, and those that are the same in other sections. */
export type Gathered<F extends object = WidthFinding> = F & { with?: readonly F[] }

type Jump = { kind: string; sentence: string; factor?: number; worst?: number }

const isJump = <F extends Jump>(one: F): boolean => one.kind === 'jump'

/**
 * Findings as they are listed: sections whose height jumps at the same breakpoint are one line, that of the one that jumps
 * most, and it names the others. What is excused, or gone to, is each of them.
 */
export function gathered<F extends Jump>(list: readonly F[]): Gathered<F>[] {
  const byBreakpoint = new Map<number | undefined, F[]>()
  for (const one of list.filter(isJump)) byBreakpoint.set(one.worst, [...(byBreakpoint.get(one.worst) ?? []), one])
  return list.flatMap((one): Gathered<F>[] => {
    const all = isJump(one) ? byBreakpoint.get(one.worst)! : [one]
    // They stand where the first of them stood.
    if (all[0] !== one) return []
    if (all.length === 1) return [one]
    const [most, ...others] = all.toSorted((a, b) => far(b) - far(a))
    return [{ ...most!, with: others, sentence: sentenceOf(all) }]
  })
}

/** How far a height is from the other, in either direction. */
const far = ({ factor = 1 }: Jump) => Math.abs(Math.log(factor))

function sentenceOf(all: readonly Jump[]): string {
  const factors = all.map(({ factor = 1 }) => factor).sort((a, b) => a - b)
  const [least, most] = [factors[0]!.toFixed(2), factors.at(-1)!.toFixed(2)]
  return `${all.length} sections become ${least === most ? least : `${least} to ${most}`} times as high from one px to the next.`
}
