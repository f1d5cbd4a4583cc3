import type { RemedyMaker } from './remedy'

/** A table that is wider than its room scrolls by itself, or has its rows one under the other. */
export const tableRows: RemedyMaker = ({ block, values }) =>
  block.kind !== 'table'
    ? []
    : (
        [
          { rows: 'scroll', label: 'Let the table scroll' },
          { rows: 'stack', label: 'One row of the table under the other' },
        ] as const
      )
        .filter(({ rows }) => values.rows !== rows)
        .map(({ rows, label }) => ({ label, block: block.id, values: { rows } }))
