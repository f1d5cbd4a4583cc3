import { useId, useLayoutEffect, useRef } from 'react'
import { steady } from './steady'
import { useWritten } from './written'

type ProseProps = {
  label: string
  value: string
  placeholder?: string
  most?: number
  /** Called on every change; changes of one visit to the field belong together under `gesture`. */
  onChange: (value: string, gesture: string) => void
  className?: string
  hidden?: boolean
  /** True where it has the focus as soon as it stands, since what it belongs to was just made. */
  begun?: boolean
}

/** Running text that is edited where it stands, as high as its words need. */
function Field({ label, value, placeholder, most = 4000, onChange, className = '', hidden = false, begun = false }: ProseProps) {
  const area = useRef<HTMLTextAreaElement>(null)
  const id = useId()
  const written = useWritten(id, value, onChange)
  useLayoutEffect(() => {
    const element = area.current!
    element.style.height = 'auto'
    element.style.height = `${element.scrollHeight + 2}px`
  }, [written.value])
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
        className="block w-full resize-none overflow-hidden rounded-2 border border-line bg-field px-2 py-1 placeholder:text-muted hover:border-line-strong focus:border-ink print:border-0 print:p-0 print:placeholder:text-transparent"
        autoFocus={begun}
        {...written}
      />
    </div>
  )
}

export const Prose = steady(Field)
