import { SharedMarks } from './shared-marks'
import { SpaceDrag } from './space-drag'
import { StickyRange } from './sticky-range'

/** What is drawn about the selection besides its marks: the other copies of it, how far it holds, its spaces to drag. */
export function SelectionExtras({ index }: { index: number }) {
  return (
    <>
      <SharedMarks index={index} />
      <StickyRange index={index} />
      <SpaceDrag index={index} />
    </>
  )
}
