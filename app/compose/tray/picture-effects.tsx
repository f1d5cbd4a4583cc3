import { type Frame, parsePoints, pointsText } from '#core/style/frames'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { Choice } from '../../ui/choice'
import { ListField } from '../../ui/list-field'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'
import { FilterRows } from './filter-rows'
import { DuotoneRow, MaskRows } from './mask-rows'

const FRAMES = [
  { value: 'none', label: 'None' },
  { value: 'circle', label: 'Circle' },
  { value: 'arch', label: 'Arch' },
  { value: 'top', label: 'Slanted at the top' },
  { value: 'bottom', label: 'Slanted at the bottom' },
  { value: 'polygon', label: 'Polygon' },
] as const
const RISE = 12
const POINTS = [
  { x: 0, y: 0 },
  { x: 100, y: 0 },
  { x: 100, y: 80 },
  { x: 50, y: 100 },
  { x: 0, y: 80 },
]
const FLIPS = [
  { value: 'none', label: 'As it is' },
  { value: 'across', label: 'Left to right' },
  { value: 'down', label: 'Upside down' },
  { value: 'both', label: 'Both' },
] as const
/** The outline of a picture, its zoom, whether it is flipped, and its light: nothing of it changes the file. */
export function PictureEffects({ style }: { style: StyleAccess }) {
  const zoom = style.get('zoom')
  return (
    <>
      <FrameRow style={style} />
      <Row label="Zoom" style={style} names={['zoom', 'flip']}>
        <NumberField
          className="w-[84px]"
          label="Zoom"
          unit="%"
          placeholder={style.isMixed('zoom') ? MIXED : '100'}
          value={zoom === undefined ? null : Math.round(zoom * 100)}
          least={100}
          most={400}
          step={5}
          onClear={() => style.set({ zoom: null })}
          onChange={(value) => style.set({ zoom: value === 100 && style.scope === 'base' ? null : value / 100 })}
        />
        <Choice
          className="flex-1"
          label="Flipped"
          placeholder={style.isMixed('flip') ? MIXED : undefined}
          value={style.isMixed('flip') ? null : (style.get('flip') ?? 'none')}
          options={FLIPS}
          onChange={(flip) => style.set({ flip: flip === 'none' && style.scope === 'base' ? null : flip })}
        />
      </Row>
      <MaskRows style={style} />
      <DuotoneRow style={style} />
      <FilterRows style={style} name="filter" title="Filters" />
    </>
  )
}

const frameName = (frame: Frame | undefined) => (!frame ? 'none' : frame.shape === 'slant' ? frame.edge : frame.shape)

function FrameRow({ style }: { style: StyleAccess }) {
  const frame = style.get('frame')
  const choose = (value: string) => {
    const made: Record<string, Frame | null> = {
      none: style.scope === 'base' ? null : { shape: 'none' },
      circle: { shape: 'circle' },
      arch: { shape: 'arch' },
      top: { shape: 'slant', edge: 'top', rise: RISE },
      bottom: { shape: 'slant', edge: 'bottom', rise: RISE },
      polygon: { shape: 'polygon', points: POINTS },
    }
    style.set({ frame: made[value] ?? null })
  }
  return (
    <>
      <Row label="Frame" style={style} names={['frame']}>
        <Choice
          className="flex-1"
          label="Frame"
          placeholder={style.isMixed('frame') ? MIXED : undefined}
          value={style.isMixed('frame') ? null : frameName(frame)}
          options={FRAMES}
          onChange={choose}
        />
        {frame?.shape === 'slant' && (
          <NumberField
            className="w-[84px]"
            label="Rise of the slant"
            unit="%"
            value={frame.rise}
            least={-60}
            most={60}
            onChange={(rise) => style.set({ frame: { ...frame, rise } })}
          />
        )}
      </Row>
      {frame?.shape === 'polygon' && (
        <Row label="Points">
          <ListField
            label="Points of the frame"
            placeholder="0 0, 100 0, 50 100"
            takes="3 to 24 points, as 0 0, 100 0, 50 100: percent across and down"
            text={pointsText(frame.points)}
            onChange={(text) => {
              const points = parsePoints(text)
              if (points) style.set({ frame: { shape: 'polygon', points } })
              return points !== undefined
            }}
          />
        </Row>
      )}
    </>
  )
}
