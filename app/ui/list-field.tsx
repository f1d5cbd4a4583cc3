import { useRef, useState } from 'react'
import { Refusal, useRefusal } from './refusal'
import { steady } from './steady'

type ListFieldProps = {
  label: string
  text: string
  placeholder: string
  /** What may stand in it, to be said where something else does. */
  takes: string
  /** False for text that it does not take. */
  onChange: (text: string) => boolean
}

function Field({ label, text, placeholder, takes, onChange }: ListFieldProps) {
  const [draft, setDraft] = useState<string | null>(null)
  const [refused, refuse] = useRefusal()
  const field = useRef<HTMLInputElement>(null)
  const settle = () => {
    setDraft(null)
    refuse('')
  }
  const take = (typed: string) => {
    if (typed.trim() === text || onChange(typed.trim())) settle()
    else if (refused === '') refuse(`${label} takes ${takes}.`)
  }
  return (
    <>
      <input
        ref={field}
        aria-label={label}
        aria-invalid={refused !== ''}
        className={`figure h-[26px] min-w-0 flex-1 rounded-2 border bg-field px-1.5 outline-none placeholder:text-muted ${refused ? 'border-rust' : 'border-line-strong focus:border-ink'}`}
        value={draft ?? text}
        placeholder={placeholder}
        onChange={(event) => {
          setDraft(event.target.value)
          refuse('')
        }}
        onBlur={(event) => (refused === '' ? draft !== null && take(event.target.value) : settle())}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take(event.currentTarget.value)
          else if (event.key === 'Escape') settle()
        }}
      />
      {refused !== '' && <Refusal sentence={refused} field={field} />}
    </>
  )
}

/** A short list that is typed, with commas. Enter or leaving takes it; what is none is refused with what may stand there. */
export const ListField = steady(Field)
