import type { RemedyMaker } from './remedy'

/** What goes past the sides of the window is cut off where the section ends. */
export const clipped: RemedyMaker = ({ block, values, around }) => {
  const section = [{ block, values }, ...around].find((one) => one.block.kind === 'section')
  return section && !section.values.clips
    ? [{ label: 'Cut off at the sides of the section', block: section.block.id, values: { clips: true } }]
    : []
}
