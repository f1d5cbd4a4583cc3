import type { RemedyMaker } from './remedy'

/** A row goes on in a second row where it is full. */
export const wrap: RemedyMaker = ({ block, values, around }) => {
  const own =
    values.lines === 'nowrap' ? [{ label: 'Let its words wrap', block: block.id, values: { lines: 'wrap' as const } }] : []
  const rows = around.flatMap((one) =>
    one.layout === 'row' && !one.values.wrap ? [{ label: 'Let the row wrap', block: one.block.id, values: { wrap: true } }] : [],
  )
  return [...own, ...rows]
}
