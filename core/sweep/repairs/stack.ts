import type { RemedyMaker } from './remedy'

/** What stands side by side comes to stand one under the other. */
export const stack: RemedyMaker = ({ around }) =>
  around.flatMap(({ block, layout }) =>
    block.kind !== 'section' && (layout === 'row' || layout === 'grid')
      ? [{ label: 'Stack', block: block.id, values: { layout: 'column' as const } }]
      : [],
  )
