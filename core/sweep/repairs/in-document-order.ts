import type { Remedy, RemedyMaker } from './remedy'

/** Blocks stand in the order in which they are read: the one, or all beside it whose places say otherwise. */
export const inDocumentOrder: RemedyMaker = ({ finding: { block: id }, block, values, around }) => {
  const own = { order: null, rowStart: null }
  const others = (around[0]?.block.children ?? []).filter(
    (one) =>
      one.id !== id && [one.style.base, ...Object.values(one.style.below ?? {})].some((each) => each?.order ?? each?.rowStart),
  )
  const alone: Remedy[] =
    (values.order ?? values.rowStart) === undefined ? [] : [{ label: 'In the order of the document', block: block.id, values: own }]
  if (others.length === 0) return alone
  const [first, ...more] = alone.length > 0 ? [block, ...others] : others
  return [
    ...alone,
    {
      label: 'All in the order of the document',
      block: first!.id,
      values: own,
      others: more.map((one) => ({ block: one.id, values: own })),
    },
  ]
}
