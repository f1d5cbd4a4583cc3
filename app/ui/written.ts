import { useRef, useState } from 'react'

let visits = 0

/**
 * Text that is written where it stands, so that each letter is an edit. The field shows what was typed in it until it is
 * left, whatever is saved, drawn or told meanwhile: what comes back from the site may be a frame late, and would take the
 * newest letters away. What is typed in one visit is one step.
 * @param of what the text belongs to, by its id: the field of another begins with that one's text
 * @param write makes the edit; edits of one visit share a gesture
 */
export function useWritten(of: string, value: string, write: (text: string, gesture: string) => void) {
  const [typed, setTyped] = useState<{ of: string; text: string } | null>(null)
  const visit = useRef(0)
  const text = typed?.of === of ? typed.text : value
  return {
    value: text,
    onFocus: () => {
      visit.current = ++visits
    },
    onChange: (event: { target: { value: string } }) => {
      setTyped({ of, text: event.target.value })
      write(event.target.value, `${of}-${visit.current}`)
    },
    onBlur: () => setTyped(null),
  }
}
