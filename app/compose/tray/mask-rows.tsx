import type { Mask } from '#core/style/masks'
import { ColourField } from '../../fields/colour-field'
import { IconFinder } from '../../fields/icon-finder'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'

const KINDS = [
  { value: 'none', label: 'None' },
  { value: 'fade', label: 'Fades out' },
  { value: 'shape', label: 'A shape' },
] as const
const DISC = { name: 'disc', nodes: [['circle', { cx: '12', cy: '12', r: '12' }]] } as Extract<Mask, { kind: 'shape' }>['shape']

/** What is seen of a picture: along a gradient, or within a shape. */
export function MaskRows({ style }: { style: StyleAccess }) {
  const mask = style.get('mask')
  const choose = (kind: Mask['kind']) =>
    style.set({
      mask:
        kind === 'fade'
          ? { kind, angle: 180, from: 60, to: 100 }
          : kind === 'shape'
            ? { kind, shape: DISC }
            : style.scope === 'base'
              ? null
              : { kind: 'none' },
    })
  return (
    <>
      <Row label="Mask" style={style} names={['mask']}>
        <Choice
          className="flex-1"
          label="Mask"
          placeholder={style.isMixed('mask') ? MIXED : undefined}
          value={style.isMixed('mask') ? null : (mask?.kind ?? 'none')}
          options={KINDS}
          onChange={choose}
        />
      </Row>
      {mask?.kind === 'shape' && (
        <IconFinder chosen={mask.shape.name} onChoose={(shape) => style.set({ mask: { kind: 'shape', shape } })} />
      )}
      {mask?.kind === 'fade' && (
        <Row label="From, to">
          {(['from', 'to'] as const).map((end) => (
            <NumberField
              key={end}
              className="flex-1"
              label={end === 'from' ? 'Whole up to' : 'Gone from'}
              unit="%"
              value={mask[end]}
              least={0}
              most={100}
              step={5}
              onChange={(value) => style.set({ mask: { ...mask, [end]: value } })}
            />
          ))}
          <NumberField
            className="flex-1"
            label="Angle of the mask"
            unit="°"
            value={mask.angle}
            least={0}
            most={360}
            step={15}
            onChange={(angle) => style.set({ mask: { ...mask, angle } })}
          />
        </Row>
      )}
    </>
  )
}

/** Two colours in the place of black and white. */
export function DuotoneRow({ style }: { style: StyleAccess }) {
  const duotone = style.get('duotone')
  if (!duotone)
    return (
      <Row label="Duotone" style={style} names={['duotone']}>
        <button
          type="button"
          className="h-[26px] flex-1 rounded-2 border border-line-strong bg-field hover:border-ink"
          onClick={() => style.set({ duotone: { dark: { role: 'ink' }, light: { role: 'ground' } } })}
        >
          {style.isMixed('duotone') ? MIXED : 'In ink and ground'}
        </button>
      </Row>
    )
  return (
    <Row label="Duotone" style={style} names={['duotone']}>
      {(['dark', 'light'] as const).map((tone) => (
        <ColourField
          key={tone}
          label={`Duotone, ${tone}`}
          value={duotone[tone]}
          onChange={(colour, gesture) => style.set({ duotone: colour && { ...duotone, [tone]: colour } }, gesture)}
        />
      ))}
    </Row>
  )
}
