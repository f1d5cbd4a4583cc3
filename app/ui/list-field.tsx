import { TakenField } from './taken-field'

type ListFieldProps = {
  label: string
  text: string
  placeholder: string
  /** What may stand in it, to be said where something else does. */
  takes: string
  /** False for text that it does not take. */
  onChange: (text: string) => boolean
}

/** A short list that is typed, with commas. */
export function ListField({ label, text, placeholder, takes, onChange }: ListFieldProps) {
  return (
    <TakenField
      label={label}
      value={text}
      placeholder={placeholder}
      className="figure flex-1"
      onTake={(typed) => (onChange(typed) ? undefined : `${label} takes ${takes}.`)}
    />
  )
}
