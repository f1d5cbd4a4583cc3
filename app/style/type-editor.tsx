import type { TypeRole } from '#core/site/style-guide'
import { familyOf } from '#core/type/families'
import { leadingOf, sizeOf } from '#core/type/roles'
import { pxAt } from '#core/type/measure'
import { LengthField } from '../compose/tray/length-field'
import { Choice } from '../ui/choice'
import { NumberField } from '../ui/number-field'
import { Named, Toggle } from './part'
import { useGuide } from './use-guide'

const STEPS = Array.from({ length: 25 }, (_, i) => -2 + i / 2)
const LINES = [
  { value: 'wrap', label: 'Free' },
  { value: 'balance', label: 'Balance' },
  { value: 'pretty', label: 'Pretty' },
] as const
const CASES = [
  { value: 'as-typed', label: 'As typed' },
  { value: 'capitals', label: 'Capitals' },
  { value: 'small-capitals', label: 'Small capitals' },
] as const
const FIGURES = [
  { value: 'plain', label: 'Plain' },
  { value: 'tabular', label: 'Of one width' },
  { value: 'old-style', label: 'Old style' },
] as const

/** What one type role is set in. */
export function TypeEditor({ type }: { type: TypeRole }) {
  const { guide, site, set } = useGuide()
  const change = (values: { [K in keyof TypeRole]?: TypeRole[K] | undefined }) => {
    const next = Object.fromEntries(Object.entries({ ...type, ...values }).filter(([, value]) => value !== undefined)) as TypeRole
    set(
      'types',
      guide.types.map((one) => (one.role === type.role ? next : one)),
    )
  }
  const family = familyOf(guide.faces.find((one) => one.name === type.face)?.family ?? '', site.fonts)
  const step = 'step' in type.size ? type.size.step : null
  const size = sizeOf(guide, type)
  return (
    <div className="mt-3 flex flex-wrap gap-2 border border-line-strong bg-field p-3" data-type-editor={type.role}>
      <Named label="Face" className="w-[150px]">
        <Choice
          className="flex-1"
          label="Face of the role"
          value={type.face}
          options={guide.faces.map((one) => ({
            value: one.name,
            label: familyOf(one.family, site.fonts)?.name ?? one.family,
            note: one.name,
          }))}
          onChange={(face) => change({ face })}
        />
      </Named>
      <Named label="Weight" className="w-[64px]">
        <NumberField
          label="Weight of the role"
          value={type.weight}
          least={family?.weights[0] ?? 100}
          most={family?.weights[1] ?? 900}
          step={20}
          whole
          onChange={(weight) => change({ weight })}
        />
      </Named>
      <Named label="Step of the scale" className="w-[104px]">
        <Choice
          className="flex-1"
          label="Step of the scale"
          placeholder="own size"
          value={step === null ? null : String(step)}
          options={STEPS.map((one) => ({ value: String(one), label: String(one).replace('-', '−') }))}
          onChange={(value) => change({ size: { step: Number(value) } })}
        />
      </Named>
      <Named label="Size" className="w-[150px]">
        <LengthField
          label="Size of the role"
          value={size}
          units={['px', 'rem']}
          onChange={(length) => length && change({ size: length })}
        />
      </Named>
      <Named label="Leading" className="w-[64px]">
        <NumberField
          label="Leading of the role"
          placeholder={leadingOf(guide, { role: type.role }, pxAt(size, site.views[0]!) ?? 16).toFixed(2)}
          value={type.leading ?? null}
          least={0.7}
          most={3}
          step={0.02}
          onClear={() => change({ leading: undefined })}
          onChange={(leading) => change({ leading })}
        />
      </Named>
      <Named label="Tracking" className="w-[76px]">
        <NumberField
          label="Tracking of the role"
          unit="em"
          value={type.tracking}
          least={-0.2}
          most={1}
          step={0.005}
          onChange={(tracking) => change({ tracking })}
        />
      </Named>
      <Named label="Lines" className="w-[92px]">
        <Choice
          className="flex-1"
          label="Lines of the role"
          value={type.lines ?? 'wrap'}
          options={LINES}
          onChange={(lines) => change({ lines: lines === 'wrap' ? undefined : lines })}
        />
      </Named>
      <Named label="Letters" className="w-[110px]">
        <Choice
          className="flex-1"
          label="Letters of the role"
          value={type.letterCase ?? 'as-typed'}
          options={CASES}
          onChange={(value) => change({ letterCase: value === 'as-typed' ? undefined : value })}
        />
      </Named>
      <Named label="Figures" className="w-[110px]">
        <Choice
          className="flex-1"
          label="Figures of the role"
          value={type.figures ?? 'plain'}
          options={FIGURES}
          onChange={(value) => change({ figures: value === 'plain' ? undefined : value })}
        />
      </Named>
      <Named label="Further">
        <Toggle label="Italic" pressed={type.italic ?? false} onPress={() => change({ italic: type.italic ? undefined : true })} />
        <Toggle
          label="Hanging punctuation"
          pressed={type.hanging ?? false}
          onPress={() => change({ hanging: type.hanging ? undefined : true })}
        />
      </Named>
    </div>
  )
}
