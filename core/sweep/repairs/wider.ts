import type { RemedyMaker } from './remedy'

/** More columns of the section, for the block or the group that it stands in. */
export const wider: RemedyMaker = ({ block, values, around, grid }) => {
  const line = [{ block, values }, ...around]
  // Only what stands in the section itself stands on its columns.
  const at = line.findIndex((_, n) => line[n + 1]?.block.kind === 'section')
  const placed = line[at]
  if (!placed || (placed.values.span ?? grid.columns) >= grid.columns) return []
  const half = Math.ceil(grid.columns / 2)
  const all = { label: 'All columns', block: placed.block.id, values: { span: grid.columns, start: 1 } }
  return (placed.values.span ?? 0) < half
    ? [all, { label: `${half} columns`, block: placed.block.id, values: { span: half } }]
    : [all]
}
