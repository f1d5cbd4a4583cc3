import { steady } from './steady'
import { useWritten } from './written'

type LineFieldProps = {
  label: string
  /** What the words belong to, by its id. */
  of: string
  value: string
  placeholder?: string
  most?: number
  /** Lines that the field is high; one where none are given. */
  rows?: number
  disabled?: boolean
  className?: string
  /** Called on every change; changes of one visit to the field belong together under `gesture`. */
  onWrite: (text: string, gesture: string) => void
}

const LOOK = 'min-w-0 rounded-2 border border-line-strong bg-field px-2'

function Field({ label, of, value, placeholder, most, rows, disabled = false, className = 'flex-1', onWrite }: LineFieldProps) {
  const written = useWritten(of, value, onWrite)
  const shared = { 'aria-label': label, placeholder, maxLength: most, disabled, ...written }
  return rows === undefined ? (
    <input className={`h-[26px] ${LOOK} ${className}`} {...shared} />
  ) : (
    <textarea rows={rows} className={`w-full resize-none py-1 ${LOOK} ${className}`} {...shared} />
  )
}

/** A few words of a block, as its name or its alternative text, that are written where they stand. */
export const LineField = steady(Field)
