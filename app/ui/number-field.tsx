import { type KeyboardEvent, useState } from 'react'
import { useAsked } from './asked'
import { steady } from './steady'

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
  const [draft, setDraft] = useState<string | null>(null)
  const shown = draft ?? (value === null ? '' : String(Number(value.toFixed(3))))

  const [newest, ask] = useAsked(value)

  const take = (text: string) => {
    setDraft(null)
    if (text.trim() === '') {
      if (value !== null) onClear?.()
      return
    }
    const number = Number(text.trim().replace(',', '.'))
    if (!Number.isFinite(number)) return
    const bounded = Math.min(most, Math.max(least, whole ? Math.round(number) : number))
    if (bounded === newest()) return
    ask(bounded)
    onChange(bounded)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') take(event.currentTarget.value)
    else if (event.key === 'Escape') {
      setDraft(null)
      event.currentTarget.blur()
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault()
      const by = (event.key === 'ArrowUp' ? 1 : -1) * step * (event.shiftKey ? 10 : 1)
      take(String(Number(((Number(draft ?? newest() ?? 0) || 0) + by).toFixed(4))))
    }
  }
  return (
    <span
      className={`flex h-[26px] min-w-0 items-center rounded-2 border border-line-strong bg-field focus-within:border-ink ${className}`}
    >
      {prefix !== '' && <span className="pl-1.5 text-muted">{prefix}</span>}
      <input
        aria-label={label}
        inputMode="decimal"
        className="figure min-w-0 flex-1 bg-transparent px-1.5 outline-none placeholder:text-muted"
        value={shown}
        placeholder={placeholder}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={(event) => draft !== null && take(event.target.value)}
        onKeyDown={onKeyDown}
      />
      {unit !== '' && <span className="figure pr-1.5 text-muted">{unit}</span>}
    </span>
  )
}

/** A figure with its unit. Enter or leaving takes it; what is no number or out of range goes back to what it was. */
export const NumberField = steady(Field)
