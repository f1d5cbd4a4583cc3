import { EdgeDrag } from './edge-drag'
import { GuideLines } from './guide-lines'
import { SharedMarks } from './shared-marks'
import { SpaceDrag } from './space-drag'
import { StickyRange } from './sticky-range'

/** What is drawn about the selection besides its marks: its edges and spaces to drag, the other copies of it, how far it holds. */
export function SelectionExtras({ index }: { index: number }) {
  return (
    <>
      <EdgeDrag index={index} />
      <GuideLines index={index} />
      <SharedMarks index={index} />
      <StickyRange index={index} />
      <SpaceDrag index={index} />
    </>
  )
}
