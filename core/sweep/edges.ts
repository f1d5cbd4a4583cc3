import type { WidthFinding } from './find'

/** The only kind that asks for what stands near a block without naming it. */
const NEAR = 'smallTarget'

/** True for a section whose findings may hang on what stood beyond its edges: it is to be run through again if that changed. */
export const hangsOnOthers = (found: readonly WidthFinding[]): boolean => found.some(({ kind }) => kind === NEAR)

/**
 * What is found of a section that stays as it is while one beside it is another: what was found within it still holds; what
 * it has with the other is what was found anew.
 * @param known what was found of the section before
 * @param fresh what was found of it now, while only what stands beside it was there as well
 * @param sectionOf the section that a block stands in now; none where it is gone
 * @param seen tells whether a section was there
 */
export function atEdges(
  known: readonly WidthFinding[],
  fresh: readonly WidthFinding[],
  sectionOf: (block: string) => string | undefined,
  seen: (section: string) => boolean,
): WidthFinding[] {
  const other = ({ beside, section }: WidthFinding) => beside !== undefined && sectionOf(beside) !== section
  const held = known.filter((one) => {
    if (!other(one)) return true
    const stands = sectionOf(one.beside!)
    return stands !== undefined && !seen(stands)
  })
  return [...held, ...fresh.filter((one) => one.kind === NEAR || other(one))]
}
