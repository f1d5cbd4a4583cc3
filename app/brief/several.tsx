import { Check } from 'lucide-react'
import { Popover } from 'radix-ui'

type SeveralProps<V extends string> = {
  label: string
  value: readonly V[]
  options: readonly { value: V; label: string }[]
  onChange: (value: V[]) => void
}

/** Some of several, at least one, from a list that opens. */
export function Several<V extends string>({ label, value, options, onChange }: SeveralProps<V>) {
  const chosen = options.filter((one) => value.includes(one.value))
  return (
    <Popover.Root>
      <Popover.Trigger className="min-h-[26px] min-w-0 rounded-2 border border-line-strong bg-field px-1.5 text-left hover:border-ink print:border-0">
        <span className="sr-only">{label}: </span>
        {chosen.map((one) => one.label).join(', ')}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={2}
          className="z-50 max-h-80 overflow-auto rounded-2 border border-line-strong bg-field p-1 shadow-float"
          aria-label={label}
        >
          {options.map((option) => {
            const on = value.includes(option.value)
            return (
              <button
                key={option.value}
                type="button"
                role="menuitemcheckbox"
                aria-checked={on}
                className="flex h-7 w-full items-center gap-2 rounded-2 px-2 text-left hover:bg-ground focus-visible:bg-ground"
                onClick={() => {
                  const next = options.map((one) => one.value).filter((one) => (one === option.value ? !on : value.includes(one)))
                  if (next.length > 0) onChange(next)
                }}
              >
                <span className="w-3">{on && <Check size={12} aria-hidden />}</span>
                <span className="first-letter:uppercase">{option.label}</span>
              </button>
            )
          })}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
