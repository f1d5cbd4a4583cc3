import type { Motion } from './motion'

export const ORIGINS = { left: '0 50%', right: '100% 50%', top: '50% 0', bottom: '50% 100%' } as const

/** Where a block grows from and turns about, as CSS has it: what the first motion says that says so. */
export function originOf(motions: readonly Motion[]): string | undefined {
  for (const one of motions) if ('origin' in one && one.origin !== undefined) return ORIGINS[one.origin]
  return undefined
}

/** The sections that motions follow, by their ids. */
export function sectionsFollowed(motions: readonly Motion[]): string[] {
  return motions.flatMap((one) => {
    if (one.kind === 'reveal' && one.of !== undefined) return [one.of]
    return one.kind === 'scrub' && typeof one.range.of === 'object' ? [one.range.of.section] : []
  })
}
