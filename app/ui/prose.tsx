import { useId, useLayoutEffect, useRef } from 'react'
import { steady } from './steady'

type ProseProps = {
  label: string
  value: string
  placeholder?: string
  most?: number
  /** Called on every change; changes of one visit to the field belong together under `gesture`. */
  onChange: (value: string, gesture: string) => void
  className?: string
  hidden?: boolean
}

let visits = 0

/** Running text that is edited where it stands, as high as its words need. */
function Field({ label, value, placeholder, most = 4000, onChange, className = '', hidden = false }: ProseProps) {
  const area = useRef<HTMLTextAreaElement>(null)
  const visit = useRef(0)
  const id = useId()
  useLayoutEffect(() => {
    const element = area.current!
    element.style.height = 'auto'
    element.style.height = `${element.scrollHeight + 2}px`
  }, [value])
  return (
    <div className={className}>
      <label htmlFor={id} className={hidden ? 'sr-only' : 'block text-label text-ink-2'}>
        {label}
      </label>
      <textarea
        ref={area}
        id={id}
        rows={1}
        maxLength={most}
        placeholder={placeholder}
        value={value}
        className="block w-full resize-none overflow-hidden rounded-2 border border-line bg-field px-2 py-1 placeholder:text-muted hover:border-line-strong focus:border-ink print:border-0 print:p-0 print:placeholder:text-transparent"
        onFocus={() => (visit.current = ++visits)}
        onChange={(event) => onChange(event.target.value, `${id}-${visit.current}`)}
      />
    </div>
  )
}

export const Prose = steady(Field)
