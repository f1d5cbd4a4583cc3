import { useId } from 'react'
import { Refusal } from '../ui/refusal'
import { useTyped } from '../ui/typed'

type SaidFieldProps = {
  label: string
  value: string
  placeholder?: string
  /** What stands at the right of the label, as how long the text is. */
  note?: string
  /** True for a text of several lines. */
  long?: boolean
  /** Takes what was typed, or gives the sentence that says why not. */
  onTake: (text: string) => string | undefined
}

/** A line of words that is taken when the field is left. */
export function SaidField({ label, value, placeholder, note, long = false, onTake }: SaidFieldProps) {
  const id = useId()
  const { field, refused, enter, settle, input } = useTyped<HTMLInputElement & HTMLTextAreaElement>(value, (text) =>
    text.trim() === value ? undefined : onTake(text.trim()),
  )
  const shared = {
    ...input,
    id,
    ref: field,
    ...(placeholder === undefined ? {} : { placeholder }),
    className: 'w-full min-w-0 rounded-2 border border-line-strong bg-field px-2 py-1 aria-[invalid=true]:border-rust',
    onKeyDown: (event: React.KeyboardEvent) => {
      if (event.key === 'Enter') {
        event.preventDefault()
        enter(field.current!.value)
      } else if (event.key === 'Escape') settle()
    },
  }
  return (
    <div className="relative">
      <div className="flex justify-between gap-2 text-label text-ink-2">
        <label htmlFor={id}>{label}</label>
        {note && <span className="figure">{note}</span>}
      </div>
      {long ? <textarea rows={3} {...shared} /> : <input {...shared} />}
      {refused !== '' && <Refusal sentence={refused} field={field} />}
    </div>
  )
}
