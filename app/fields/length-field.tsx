import { ChevronDown } from 'lucide-react'
import { Popover } from 'radix-ui'
import { lengthText, parseLength } from '#core/style/length-text'
import { lengthProblem } from '#core/style/length-range'
import { LENGTH_UNITS, type Length } from '#core/values/length'
import { growthPer100 } from '#core/type/fluid'
import { useAsked } from '../ui/asked'
import { NumberField } from '../ui/number-field'
import { Refusal } from '../ui/refusal'
import { steady } from '../ui/steady'
import { useTyped } from '../ui/typed'
import { useOfferedGuide } from '../session/context'

export type LengthOptions = {
  /** Tokens offered: spaces, corners, or none. */
  tokens?: 'spaces' | 'corners'
  units?: readonly (typeof LENGTH_UNITS)[number][]
  fluid?: boolean
  /** The least figure that it takes; any, if it is not said. */
  least?: number
}
type LengthFieldProps = LengthOptions & {
  label: string
  value: Length | undefined
  placeholder?: string
  onChange: (value: Length | null) => void
}

const DEFAULT_UNITS = ['px', '%', 'rem', 'vh', 'columns'] as const

function Field({
  label,
  value,
  tokens,
  units = DEFAULT_UNITS,
  fluid = true,
  least,
  placeholder = 'Not set',
  onChange,
}: LengthFieldProps) {
  const guide = useOfferedGuide()
  const [newest, ask] = useAsked(value)
  const names = tokens ? guide[tokens] : []
  const { field, refused, enter, settle, input } = useTyped<HTMLSpanElement>(value ? lengthText(value) : '', (typed) => {
    if (typed.trim() === '') {
      if (value) onChange(null)
      return undefined
    }
    const unit = value && 'unit' in value ? value.unit : 'px'
    const parsed = parseLength(
      typed,
      names.map((one) => one.name),
      unit,
    )
    const problem = lengthProblem(parsed, least)
    if (!parsed || problem !== undefined) return `${label} takes ${problem}.`
    if (lengthText(parsed) !== (value && lengthText(value))) onChange(parsed)
    return undefined
  })
  return (
    <span
      ref={field}
      className={`flex h-[26px] min-w-0 flex-1 items-center rounded-2 border bg-field ${refused ? 'border-rust' : 'border-line-strong focus-within:border-ink'}`}
    >
      <input
        aria-label={label}
        title="A figure with its unit, a token, or “38 to 76” for a size that grows with the width"
        className="figure min-w-0 flex-1 bg-transparent pl-1.5 outline-none placeholder:text-muted"
        placeholder={placeholder}
        {...input}
        onKeyDown={(event) => {
          if (event.key === 'Enter') enter(event.currentTarget.value)
          else if (event.key === 'Escape') settle()
          else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
            const now = newest()
            if (now && !('unit' in now)) return
            event.preventDefault()
            const by = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1)
            const next: Length = { value: Math.max(least ?? -Infinity, (now?.value ?? 0) + by), unit: now?.unit ?? 'px' }
            if (lengthProblem(next, least) !== undefined) return
            ask(next)
            onChange(next)
          }
        }}
      />
      {refused !== '' && <Refusal sentence={refused} field={field} />}
      <Popover.Root>
        <Popover.Trigger
          aria-label={`${label}: tokens and units`}
          className="flex h-full items-center px-1 text-muted hover:text-ink"
        >
          <ChevronDown size={12} strokeWidth={1.5} />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            align="end"
            sideOffset={4}
            className="z-50 w-60 rounded-2 border border-line-strong bg-field p-2 shadow-float"
          >
            {names.length > 0 && (
              <div className="mb-2 grid grid-cols-2">
                {names.map(({ name, size }) => (
                  <Popover.Close
                    key={name}
                    className="flex justify-between rounded-2 px-2 py-1 hover:bg-ground"
                    onClick={() => onChange({ token: name })}
                  >
                    <span>{name}</span>
                    <span className="figure text-muted">{'value' in size ? size.value : lengthText(size)}</span>
                  </Popover.Close>
                ))}
              </div>
            )}
            <div className="flex flex-wrap gap-1">
              {units.map((unit) => (
                <Popover.Close
                  key={unit}
                  className={`figure rounded-2 border px-2 py-1 ${value && 'unit' in value && value.unit === unit ? 'border-ink bg-ink text-on-ink' : 'border-line-strong hover:border-ink'}`}
                  onClick={() => onChange({ value: value && 'value' in value ? value.value : 1, unit })}
                >
                  {unit}
                </Popover.Close>
              ))}
              <Popover.Close
                className="rounded-2 border border-line-strong px-2 py-1 text-label hover:border-ink"
                onClick={() => onChange(null)}
              >
                Not set
              </Popover.Close>
            </div>
            {fluid && <FluidEditor value={value} onChange={onChange} />}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </span>
  )
}

/** A length: typed with its unit, as a token, or as two sizes at two widths; or chosen from the list that opens. */
export const LengthField = steady(Field)

const START = { from: { at: 375, px: 24 }, to: { at: 1360, px: 48 } }

function FluidEditor({ value, onChange }: { value: Length | undefined; onChange: (value: Length) => void }) {
  const now = value && 'fluid' in value ? value.fluid : START
  const change = (next: typeof now) => next.from.at < next.to.at && onChange({ fluid: next })
  return (
    <fieldset className="mt-2 border-t border-line pt-2">
      <legend className="float-left mb-1 text-label text-ink-2">Grows with the width</legend>
      {(['from', 'to'] as const).map((end) => (
        <div key={end} className="mb-1 flex w-full gap-1">
          <NumberField
            className="flex-1"
            label={`${end === 'from' ? 'Narrow' : 'Wide'} size`}
            unit="px"
            value={now[end].px}
            onChange={(px) => change({ ...now, [end]: { ...now[end], px } })}
          />
          <NumberField
            className="flex-1"
            label={`${end === 'from' ? 'Narrow' : 'Wide'} width`}
            unit="at"
            value={now[end].at}
            onChange={(at) => change({ ...now, [end]: { ...now[end], at } })}
          />
        </div>
      ))}
      <p className="text-label text-ink-2">{Number(growthPer100(now).toFixed(2))} px per 100 px of width.</p>
    </fieldset>
  )
}
