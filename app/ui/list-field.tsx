import { Refusal } from './refusal'
import { steady } from './steady'
import { useTyped } from './typed'

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
  const { field, refused, enter, settle, input } = useTyped<HTMLInputElement>(text, (typed) =>
    typed.trim() === text || onChange(typed.trim()) ? undefined : `${label} takes ${takes}.`,
  )
  return (
    <>
      <input
        ref={field}
        aria-label={label}
        className={`figure h-[26px] min-w-0 flex-1 rounded-2 border bg-field px-1.5 outline-none placeholder:text-muted ${refused ? 'border-rust' : 'border-line-strong focus:border-ink'}`}
        placeholder={placeholder}
        {...input}
        onKeyDown={(event) => {
          if (event.key === 'Enter') enter(event.currentTarget.value)
          else if (event.key === 'Escape') settle()
        }}
      />
      {refused !== '' && <Refusal sentence={refused} field={field} />}
    </>
  )
}

/** A short list that is typed, with commas. Enter or leaving takes it; what is none is refused with what may stand there. */
export const ListField = steady(Field)
