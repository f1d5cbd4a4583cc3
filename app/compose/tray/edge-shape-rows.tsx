import type { EdgeShape } from '#core/style/edge-shapes'
import { ColourField } from '../../fields/colour-field'
import { Row } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { MIXED } from './fields'

const SHAPES = [
  { value: 'none', label: 'Straight' },
  { value: 'slant', label: 'Slant' },
  { value: 'curve', label: 'Curve' },
  { value: 'wave', label: 'Wave' },
  { value: 'steps', label: 'Steps' },
  { value: 'ridge', label: 'Ridge' },
] as const

/** The shapes in which a section ends above and below. */
export function EdgeShapeRows({ style }: { style: StyleAccess }) {
  if (!style.has('topShape')) return null
  return (
    <>
      <Side style={style} name="topShape" label="Top edge" />
      <Side style={style} name="bottomShape" label="Bottom" />
    </>
  )
}

function Side({ style, name, label }: { style: StyleAccess; name: 'topShape' | 'bottomShape'; label: string }) {
  const edge = style.get(name)
  const what = name === 'topShape' ? 'top edge' : 'bottom edge'
  const set = (next: EdgeShape, gesture?: string) => style.set({ [name]: next }, gesture)
  return (
    <>
      <Row label={label} style={style} names={[name]}>
        <Choice
          className="flex-1"
          label={`Shape of the ${what}`}
          placeholder={style.isMixed(name) ? MIXED : undefined}
          value={style.isMixed(name) ? null : (edge?.shape ?? 'none')}
          options={SHAPES}
          onChange={(shape) =>
            shape === 'none' ? style.set({ [name]: null }) : set({ height: 48, colour: { role: 'ground' }, ...edge, shape })
          }
        />
        {edge && (
          <NumberField
            className="w-[68px]"
            label={`Height of the ${what}`}
            unit="px"
            value={edge.height}
            least={2}
            most={400}
            step={4}
            onChange={(height) => set({ ...edge, height })}
          />
        )}
      </Row>
      {edge && (
        <Row label="">
          <ColourField
            label={`Colour beyond the ${what}`}
            value={edge.colour}
            onChange={(colour, gesture) => colour && set({ ...edge, colour }, gesture)}
          />
          {edge.shape === 'steps' || edge.shape === 'ridge' ? (
            <NumberField
              className="w-[68px]"
              label={`Width of one of the ${what}`}
              unit="px"
              value={edge.every ?? (edge.shape === 'steps' ? 80 : 40)}
              least={4}
              most={1000}
              step={4}
              onChange={(every) => set({ ...edge, every })}
            />
          ) : null}
          <button
            type="button"
            aria-pressed={edge.mirrored === true}
            className="h-[26px] rounded-2 border border-line-strong px-1.5 aria-pressed:bg-ink aria-pressed:text-on-ink"
            onClick={() => {
              const { mirrored, ...rest } = edge
              set(mirrored ? rest : { ...rest, mirrored: true })
            }}
          >
            Mirrored
          </button>
        </Row>
      )}
    </>
  )
}
