import { STRESS_NAMES, type StressName, stressOf } from '#core/stress/index'
import { Choice } from '../ui/choice'

const NONE = 'none'
type Chosen = StressName | typeof NONE

/** What the page is put to: how it is shown at the right, and run through its widths. */
export function StressChoice({
  stressed,
  onStress,
}: {
  stressed: StressName | null
  onStress: (stress: StressName | null) => void
}) {
  return (
    <Choice<Chosen>
      className="ml-auto w-44 shrink-0"
      label="What the page is put to"
      value={stressed ?? NONE}
      options={[
        { value: NONE, label: 'As it is' },
        ...STRESS_NAMES.map((name) => ({ value: name, label: stressOf(name).label, note: stressOf(name).note })),
      ]}
      onChange={(name) => onStress(name === NONE ? null : name)}
    />
  )
}
