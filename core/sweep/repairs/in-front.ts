import type { RemedyMaker } from './remedy'

/** Words, or the group that they stand in, are painted over what covers them. */
export const inFront: RemedyMaker = ({ block, values, around }) =>
  [{ block, values }, ...around.filter((one) => one.block.kind !== 'section')].flatMap((one) =>
    one.values.layer === 'raised' ? [] : [{ label: 'In front', block: one.block.id, values: { layer: 'raised' as const } }],
  )
