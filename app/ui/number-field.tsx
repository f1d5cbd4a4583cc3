import type { KeyboardEvent } from 'react'
import { useAsked } from './asked'
import { Refusal } from './refusal'
import { steady } from './steady'
import { useTyped } from './typed'

type NumberFieldProps = {
  label: string
  value: number | null
  /** Shown before the figure. */
  prefix?: string
  /** Shown after the figure. */
  unit?: string
  /** Shown while there is no value. */
  placeholder?: string
  least?: number
  most?: number
  /** Step of the arrow keys; ten times that with Shift. */
  step?: number
  whole?: boolean
  /** Called with null when the field is emptied, if that is allowed. */
  onClear?: () => void
  onChange: (value: number) => void
  className?: string
}

function Field({
  label,
  value,
  prefix = '',
  unit = '',
  placeholder = '',
  least = -Infinity,
  most = Infinity,
  step = 1,
  whole = false,
  onClear,
  onChange,
  className = '',
}: NumberFieldProps) {
  const [newest, ask] = useAsked(value)
  const { field, refused, draft, enter, settle, input } = useTyped<HTMLSpanElement>(
    value === null ? '' : String(Number(value.toFixed(3))),
    (text) => {
      const typed = text.trim().replace(',', '.').replace('−', '-')
      if (typed === '') {
        if (value !== null) onClear?.()
        return undefined
      }
      const number = /^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(typed) ? Number(typed) : NaN
      // What is refused stays in the field, with what it may be, and never goes further.
      if (!(number >= least && number <= most) || (whole && !Number.isInteger(number)))
        return `${label} takes ${inWords(least, most, whole)}.`
      if (number === newest()) return undefined
      ask(number)
      onChange(number)
      return undefined
    },
  )
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') enter(event.currentTarget.value)
    else if (event.key === 'Escape') {
      settle()
      event.currentTarget.blur()
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault()
      const by = (event.key === 'ArrowUp' ? 1 : -1) * step * (event.shiftKey ? 10 : 1)
      const next = Number(((Number(draft ?? newest() ?? 0) || 0) + by).toFixed(4))
      enter(String(Math.min(most, Math.max(least, next))))
    }
  }
  return (
    <span
      ref={field}
      className={`flex h-[26px] min-w-0 items-center rounded-2 border bg-field ${refused ? 'border-rust' : 'border-line-strong focus-within:border-ink'} ${className}`}
    >
      {prefix !== '' && <span className="pl-1.5 text-muted">{prefix}</span>}
      <input
        aria-label={label}
        inputMode="decimal"
        className="figure min-w-0 flex-1 bg-transparent px-1.5 outline-none placeholder:text-muted"
        placeholder={placeholder}
        {...input}
        onKeyDown={onKeyDown}
      />
      {unit !== '' && <span className="figure pr-1.5 text-muted">{unit}</span>}
      {refused !== '' && <Refusal sentence={refused} field={field} />}
    </span>
  )
}

/** What a field takes, in words: “a whole number from 1 to 12”. */
function inWords(least: number, most: number, whole: boolean): string {
  const what = whole ? 'a whole number' : 'a figure'
  if (least === -Infinity) return most === Infinity ? what : `${what} of ${most} at most`
  return most === Infinity ? `${what} of ${least} or more` : `${what} from ${least} to ${most}`
}

/**
 * A figure with its unit. Enter or leaving takes it. What is no number or out of range is refused with what may stand
 * there, and goes back to what it was when the field is left once more.
 */
export const NumberField = steady(Field)
