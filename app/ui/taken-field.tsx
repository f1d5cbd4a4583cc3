import type { z } from 'zod'
import { Refusal } from './refusal'
import { steady } from './steady'
import { useTyped } from './typed'

type TakenFieldProps = {
  label: string
  value: string
  placeholder?: string
  /** Takes what was typed, or gives the sentence that says why not. */
  onTake: (text: string) => string | undefined
  className?: string
}

function Field({ label, value, placeholder, onTake, className = 'flex-1' }: TakenFieldProps) {
  const { field, refused, enter, settle, input } = useTyped<HTMLInputElement>(value, (typed) =>
    typed.trim() === value ? undefined : onTake(typed.trim()),
  )
  return (
    <>
      <input
        ref={field}
        aria-label={label}
        className={`h-[26px] min-w-0 rounded-2 border bg-field px-1.5 outline-none placeholder:text-muted ${refused ? 'border-rust' : 'border-line-strong focus:border-ink'} ${className}`}
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

/** A short text that is taken with Enter or when it is left; what cannot stand there is refused with the reason. */
export const TakenField = steady(Field)

/** Takes text that a schema takes, or none: `take` is given `null` for an empty field. What is refused gets the schema's sentence. */
export const takenBy =
  (schema: z.ZodType<string>, take: (text: string | null) => void) =>
  (typed: string): string | undefined => {
    const parsed = schema.safeParse(typed)
    if (typed !== '' && !parsed.success) return parsed.error.issues[0]!.message
    take(typed === '' ? null : typed)
    return undefined
  }
