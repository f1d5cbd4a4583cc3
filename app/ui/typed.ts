import { type RefObject, useRef, useState } from 'react'

/**
 * Text that is typed into a field and taken when Enter is pressed or the field is left. What is refused stays to be
 * corrected, under a sentence; Escape, or leaving once more, gives back what was there.
 * @param take takes text, or gives the sentence that says why not
 */
export function useTyped<E extends HTMLElement>(
  shown: string,
  take: (text: string) => string | undefined,
): {
  field: RefObject<E | null>
  /** The sentence of what is refused; empty while there is none. */
  refused: string
  /** What is typed and not taken yet. */
  draft: string | null
  enter: (text: string) => void
  settle: () => void
  input: {
    value: string
    'aria-invalid': boolean
    onChange: (event: { target: { value: string } }) => void
    onBlur: (event: { target: { value: string } }) => void
  }
} {
  const field = useRef<E>(null)
  const [draft, setDraft] = useState<string | null>(null)
  const [refused, refuse] = useState('')
  const settle = () => {
    setDraft(null)
    refuse('')
  }
  const enter = (text: string) => {
    const sentence = take(text)
    if (sentence === undefined) settle()
    else refuse(sentence)
  }
  return {
    field,
    refused,
    draft,
    enter,
    settle,
    input: {
      value: draft ?? shown,
      'aria-invalid': refused !== '',
      onChange: (event) => {
        setDraft(event.target.value)
        refuse('')
      },
      onBlur: (event) => {
        if (refused !== '') settle()
        else if (draft !== null) enter(event.target.value)
      },
    },
  }
}
