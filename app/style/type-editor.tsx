import type { TypeRole } from '#core/guide/style-guide'
import { familyOf } from '#core/type/families'
import { leadingOf, sizeOf } from '#core/guide/type-roles'
import { pxAt } from '#core/type/measure'
import { ChoiceIn, LengthIn, NumberIn } from './fields'
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
      <ChoiceIn
        label="Face"
        name="Face of the role"
        width="w-[150px]"

        value={type.face}
        options={guide.faces.map((one) => ({
          value: one.name,
          label: familyOf(one.family, site.fonts)?.name ?? one.family,
          note: one.name,
        }))}
        onChange={(face) => change({ face })}
      />
      <NumberIn
        label="Weight"
        name="Weight of the role"
        width="w-[64px]"

        value={type.weight}
        least={family?.weights[0] ?? 100}
        most={family?.weights[1] ?? 900}
        step={20}
        whole
        onChange={(weight) => change({ weight })}
      />
      <ChoiceIn
        label="Step of the scale"
        width="w-[104px]"

        placeholder="own size"
        value={step === null ? null : String(step)}
        options={STEPS.map((one) => ({ value: String(one), label: String(one).replace('-', '−') }))}
        onChange={(value) => change({ size: { step: Number(value) } })}
      />
      <LengthIn
        label="Size"
        name="Size of the role"
        width="w-[150px]"

        value={size}
        units={['px', 'rem']}
        onChange={(length) => length && change({ size: length })}
      />
      <NumberIn
        label="Leading"
        name="Leading of the role"
        width="w-[64px]"

        placeholder={leadingOf(guide, { role: type.role }, pxAt(size, site.views[0]!) ?? 16).toFixed(2)}
        value={type.leading ?? null}
        least={0.7}
        most={3}
        step={0.02}
        onClear={() => change({ leading: undefined })}
        onChange={(leading) => change({ leading })}
      />
      <NumberIn
        label="Tracking"
        name="Tracking of the role"
        width="w-[76px]"

        unit="em"
        value={type.tracking}
        least={-0.2}
        most={1}
        step={0.005}
        onChange={(tracking) => change({ tracking })}
      />
      <ChoiceIn
        label="Lines"
        name="Lines of the role"
        width="w-[92px]"

        value={type.lines ?? 'wrap'}
        options={LINES}
        onChange={(lines) => change({ lines: lines === 'wrap' ? undefined : lines })}
      />
      <ChoiceIn
        label="Letters"
        name="Letters of the role"
        width="w-[110px]"

        value={type.letterCase ?? 'as-typed'}
        options={CASES}
        onChange={(value) => change({ letterCase: value === 'as-typed' ? undefined : value })}
      />
      <ChoiceIn
        label="Figures"
        name="Figures of the role"
        width="w-[110px]"

        value={type.figures ?? 'plain'}
        options={FIGURES}
        onChange={(value) => change({ figures: value === 'plain' ? undefined : value })}
      />
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
