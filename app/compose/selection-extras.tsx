import { CropFrame } from './crop-frame'
import { EdgeDrag } from './edge-drag'
import { GradientHandles } from './fills/gradient-handles'
import { GuideLines } from './guide-lines'
import { HeatLayer } from './heat-layer'
import { Marks } from './marks'
import { PolygonPoints } from './polygon-points'
import { SharedMarks } from './shared-marks'
import { SpaceDrag } from './space-drag'
import { StickyRange } from './sticky-range'
import { WorstPatch } from './worst-patch'

/** What is drawn about the selection besides its marks: its edges and spaces to drag, the other copies of it, how far it holds. */
export function SelectionExtras({ index }: { index: number }) {
  return (
    <>
      <Marks index={index} />
      <EdgeDrag index={index} />
      <GuideLines index={index} />
      <CropFrame index={index} />
      <HeatLayer index={index} />
      <WorstPatch index={index} />
      <GradientHandles index={index} />
      <SharedMarks index={index} />
      <StickyRange index={index} />
      <SpaceDrag index={index} />
      <PolygonPoints index={index} />
    </>
  )
}
