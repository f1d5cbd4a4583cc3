import type { Filter } from '#core/style/filters'
import { type Frame, parsePoints, pointsText } from '#core/style/frames'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { Choice } from '../../ui/choice'
import { ListField } from '../../ui/list-field'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'

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
const FILTERS: { name: keyof Filter; label: string; unit: '%' | 'px'; usual: number; most: number }[] = [
  { name: 'brightness', label: 'Brightness', unit: '%', usual: 1, most: 300 },
  { name: 'contrast', label: 'Contrast', unit: '%', usual: 1, most: 300 },
  { name: 'saturation', label: 'Saturation', unit: '%', usual: 1, most: 300 },
  { name: 'greyscale', label: 'Greyscale', unit: '%', usual: 0, most: 100 },
  { name: 'blur', label: 'Blur', unit: 'px', usual: 0, most: 60 },
]

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
      <FilterRows style={style} />
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

function FilterRows({ style }: { style: StyleAccess }) {
  const filter = style.get('filter')
  const set = ({ name, usual }: (typeof FILTERS)[number], value: number | null) => {
    const { [name]: _, ...others } = filter ?? {}
    const next = value === null || value === usual ? others : { ...others, [name]: value }
    style.set({ filter: Object.keys(next).length === 0 && style.scope === 'base' ? null : next })
  }
  return (
    <details className="group" open={filter !== undefined}>
      <summary className="min-h-6 cursor-pointer text-ink-2 underline">Filters</summary>
      {FILTERS.map((one) => {
        const value = filter?.[one.name]
        const scale = one.unit === '%' ? 100 : 1
        return (
          <Row key={one.name} label={one.label} style={style} names={one.name === 'brightness' ? ['filter'] : []}>
            <NumberField
              className="flex-1"
              label={one.label}
              unit={one.unit}
              placeholder={style.isMixed('filter') ? MIXED : String(one.usual * scale)}
              value={value === undefined ? null : Number((value * scale).toFixed(1))}
              least={0}
              most={one.most}
              step={one.unit === '%' ? 5 : 1}
              onClear={() => set(one, null)}
              onChange={(figure) => set(one, figure / scale)}
            />
          </Row>
        )
      })}
    </details>
  )
}
