import { ListField } from '../../ui/list-field'
import { BLEND_OPTIONS } from '../fills/blend-options'
import { FillLayers } from '../fills/fill-layers'
import { BehindRows } from './behind-rows'
import { EdgeRows } from './edge-rows'
import { EdgeShapeRows } from './edge-shape-rows'
import { ChoiceOf, ColourRow, LengthOf, MIXED } from './fields'
import { OpacityRow } from './opacity-row'
import { ShadowRows } from './shadow-rows'
import { ColumnHead, Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'

/** Colours, edges, corners and shadow of the block's box. */
export function SurfaceColumn({ style }: { style: StyleAccess }) {
  return (
    <div>
      <ColumnHead title="Surface" note={style.get('fill') ? 'filled' : 'no fill'} />
      <ColourRow style={style} name="ink" />
      <ColourRow style={style} name="fill" />
      {style.has('fillLayers') && <FillLayers style={style} />}
      <EdgeRows style={style} />
      {style.has('corner') && (
        <Row label="Corners" style={style} names={['corner']}>
          <LengthOf style={style} name="corner" tokens="corners" fluid={false} units={['px', '%', 'rem']} />
        </Row>
      )}
      {style.has('corners') && (
        <Row label="Each" style={style} names={['corners']}>
          <ListField
            label="Corners one by one"
            takes="four figures in px, from the top left one clockwise: 8 8 0 0"
            placeholder={style.isMixed('corners') ? MIXED : 'All alike'}
            text={style.get('corners')?.join(' ') ?? ''}
            onChange={(text) => {
              const corners = text === '' ? null : text.split(/[\s,]+/).map(Number)
              const fits = corners === null || (corners.length === 4 && corners.every((one) => one >= 0 && one <= 2000))
              if (fits) style.set({ corners })
              return fits
            }}
          />
        </Row>
      )}
      <ShadowRows style={style} />
      <BehindRows style={style} />
      <EdgeShapeRows style={style} />
      {style.has('blend') && (
        <Row label="Blends" style={style} names={['blend']}>
          <ChoiceOf style={style} name="blend" options={BLEND_OPTIONS} fallback="normal" />
        </Row>
      )}
      <OpacityRow style={style} />
    </div>
  )
}
