import { Plus, X } from 'lucide-react'
import type { ReactNode } from 'react'
import { isFilm } from '#core/picture/picture'
import { type FillLayer, type GradientLayer, isGradient } from '#core/style/fill-layers'
import { ColourField } from '../../fields/colour-field'
import { Row } from '../../fields/row'
import { useSession } from '../../session/context'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { BLEND_OPTIONS } from './blend-options'

type FieldsProps<L extends FillLayer = FillLayer> = { layer: L; onChange: (next: FillLayer, gesture?: string) => void }

const SPACES = [
  { value: 'oklch', label: 'OKLCH, lively' },
  { value: 'srgb', label: 'sRGB' },
] as const
const PICTURE_FITS = [
  { value: 'cover', label: 'Fill, cropped' },
  { value: 'contain', label: 'Whole' },
  { value: 'tile', label: 'Tiles' },
] as const

type FigureProps = {
  label: string
  value: number
  unit: string
  least: number
  most: number
  step?: number
  onChange: (value: number) => void
}
const Figure = (props: FigureProps) => <NumberField className="flex-1" {...props} value={Number(props.value.toFixed(1))} />

/** What there is to set of one layer. */
export function FillLayerFields({ layer, onChange }: FieldsProps) {
  return (
    <div className="border-t border-line px-1.5 py-1">
      {fieldsOf(layer, onChange)}
      <Row label="Blends">
        <Choice
          className="flex-1"
          label="Blend of the layer"
          value={layer.blend ?? 'normal'}
          options={BLEND_OPTIONS}
          onChange={(blend) => onChange({ ...layer, blend })}
        />
      </Row>
    </div>
  )
}

function fieldsOf(layer: FillLayer, onChange: FieldsProps['onChange']): ReactNode {
  if (isGradient(layer)) return <GradientFields layer={layer} onChange={onChange} />
  switch (layer.kind) {
    case 'picture':
      return <PictureFields layer={layer} onChange={onChange} />
    case 'grain':
      return (
        <Row label="Shade">
          <Choice
            className="flex-1"
            label="Shade of the grain"
            value={layer.light ? 'light' : 'dark'}
            options={[
              { value: 'dark', label: 'Dark' },
              { value: 'light', label: 'Light' },
            ]}
            onChange={(shade) => onChange({ ...layer, light: shade === 'light' })}
          />
        </Row>
      )
    default:
      return (
        <>
          <Row label="Colour">
            <ColourField
              label="Colour of the layer"
              value={layer.colour}
              onChange={(colour, gesture) => colour && onChange({ ...layer, colour }, gesture)}
            />
          </Row>
          {layer.kind !== 'flat' && (
            <Row label="Apart, thick">
              <Figure
                label="Distance apart"
                unit="px"
                value={layer.apart}
                least={2}
                most={400}
                onChange={(apart) => onChange({ ...layer, apart })}
              />
              <Figure
                label="Thickness"
                unit="px"
                value={layer.thick}
                least={0.5}
                most={200}
                step={0.5}
                onChange={(thick) => onChange({ ...layer, thick })}
              />
            </Row>
          )}
          {layer.kind === 'lines' && (
            <Row label="Angle">
              <Figure
                label="Angle of the lines"
                unit="°"
                value={layer.angle}
                least={0}
                most={360}
                step={15}
                onChange={(angle) => onChange({ ...layer, angle })}
              />
            </Row>
          )}
        </>
      )
  }
}

function PictureFields({ layer, onChange }: FieldsProps<Extract<FillLayer, { kind: 'picture' }>>) {
  const pictures = useSession((state) => state.session.site.pictures).filter((one) => !isFilm(one))
  return (
    <>
      <Row label="Picture">
        <Choice
          className="flex-1"
          label="Picture of the layer"
          value={layer.picture}
          options={pictures.map((one) => ({ value: one.id, label: one.name.replace(/\.[a-z]+$/i, '') }))}
          onChange={(picture) => onChange({ ...layer, picture })}
        />
      </Row>
      <Row label="Fit">
        <Choice
          className="flex-1"
          label="Fit of the layer"
          value={layer.fit}
          options={PICTURE_FITS}
          onChange={(fit) => onChange({ ...layer, fit })}
        />
        {layer.fit === 'tile' && (
          <Figure
            label="Width of a tile"
            unit="px"
            value={layer.size ?? 200}
            least={16}
            most={2000}
            step={10}
            onChange={(size) => onChange({ ...layer, size })}
          />
        )}
      </Row>
      <PointRow layer={layer} least={0} most={100} onChange={onChange} />
    </>
  )
}

function PointRow({
  layer,
  least,
  most,
  onChange,
}: FieldsProps<Extract<FillLayer, { x: number }>> & { least: number; most: number }) {
  return (
    <Row label="Middle at">
      <Figure
        label="Across"
        unit="%"
        value={layer.x}
        least={least}
        most={most}
        step={5}
        onChange={(x) => onChange({ ...layer, x })}
      />
      <Figure
        label="Down"
        unit="%"
        value={layer.y}
        least={least}
        most={most}
        step={5}
        onChange={(y) => onChange({ ...layer, y })}
      />
    </Row>
  )
}

function GradientFields({ layer, onChange }: FieldsProps<GradientLayer>) {
  const { stops } = layer
  const setStops = (next: GradientLayer['stops'], gesture?: string) => onChange({ ...layer, stops: next }, gesture)
  const add = () => {
    const [before, after] = [stops.at(-2)!, stops.at(-1)!]
    const between = { at: Math.round((before.at + after.at) / 2), colour: before.colour }
    setStops([...stops.slice(0, -1), between, after])
  }
  return (
    <>
      {layer.kind !== 'radial' && (
        <Row label="Angle">
          <Figure
            label="Angle of the gradient"
            unit="°"
            value={layer.angle}
            least={0}
            most={360}
            step={15}
            onChange={(angle) => onChange({ ...layer, angle })}
          />
        </Row>
      )}
      {layer.kind !== 'linear' && <PointRow layer={layer} least={-100} most={200} onChange={onChange} />}
      {layer.kind === 'radial' && (
        <Row label="Reaches">
          <Figure
            label="Across from the middle"
            unit="%"
            value={layer.across}
            least={1}
            most={300}
            step={5}
            onChange={(across) => onChange({ ...layer, across })}
          />
          <Figure
            label="Down from the middle"
            unit="%"
            value={layer.down}
            least={1}
            most={300}
            step={5}
            onChange={(down) => onChange({ ...layer, down })}
          />
        </Row>
      )}
      {stops.map((stop, index) => (
        <Row key={index} label={index === 0 ? 'From' : index === stops.length - 1 ? 'To' : 'Over'}>
          <ColourField
            label={`Colour of stop ${index + 1}`}
            value={stop.colour}
            onChange={(colour, gesture) =>
              colour &&
              setStops(
                stops.map((one, at) => (at === index ? { ...one, colour } : one)),
                gesture,
              )
            }
          />
          <NumberField
            className="w-[58px]"
            label={`Place of stop ${index + 1}`}
            unit="%"
            value={Number(stop.at.toFixed(1))}
            least={-100}
            most={200}
            step={5}
            onChange={(at) => setStops(stops.map((one, place) => (place === index ? { ...one, at } : one)))}
          />
          {stops.length > 2 && (
            <button
              type="button"
              aria-label={`Take out stop ${index + 1}`}
              className="flex h-6 w-6 shrink-0 items-center justify-center text-muted hover:text-rust"
              onClick={() => setStops(stops.filter((_, at) => at !== index))}
            >
              <X size={12} />
            </button>
          )}
        </Row>
      ))}
      <Row label="Mixed in">
        <Choice
          className="flex-1"
          label="Colour space"
          value={layer.space}
          options={SPACES}
          onChange={(space) => onChange({ ...layer, space })}
        />
        {stops.length < 8 && (
          <button
            type="button"
            aria-label="Add a stop"
            title="Add a stop before the last"
            className="flex h-[26px] w-[26px] shrink-0 items-center justify-center rounded-2 border border-line-strong hover:border-ink"
            onClick={add}
          >
            <Plus size={12} />
          </button>
        )}
      </Row>
    </>
  )
}
