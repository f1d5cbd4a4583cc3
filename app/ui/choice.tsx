import { Check, ChevronDown } from 'lucide-react'
import { Select } from 'radix-ui'
import type { ReactElement } from 'react'
import { steady } from './steady'

export type Option<V extends string> = { value: V; label: string; note?: string }

type ChoiceProps<V extends string> = {
  label: string
  value: V | null
  options: readonly Option<V>[]
  placeholder?: string
  onChange: (value: V) => void
  className?: string
}

function List<V extends string>({ label, value, options, placeholder = 'Not set', onChange, className = '' }: ChoiceProps<V>) {
  return (
    <Select.Root value={value ?? ''} onValueChange={(next) => onChange(next as V)}>
      <Select.Trigger
        aria-label={label}
        className={`flex h-[26px] min-w-0 items-center justify-between gap-1 rounded-2 border border-line-strong bg-field px-1.5 text-left hover:border-ink data-[placeholder]:text-muted ${className}`}
      >
        <span className="truncate">
          <Select.Value placeholder={placeholder} />
        </span>
        <ChevronDown size={12} strokeWidth={1.5} className="shrink-0 text-muted" />
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={2}
          className="z-50 max-h-80 min-w-[var(--radix-select-trigger-width)] overflow-auto rounded-2 border border-line-strong bg-field p-1 shadow-float"
        >
          <Select.Viewport>
            {options.map((option) => (
              <Select.Item
                key={option.value}
                value={option.value}
                className="flex h-7 cursor-default items-center gap-2 rounded-2 px-2 outline-none data-[highlighted]:bg-ground"
              >
                <span className="w-3">
                  <Select.ItemIndicator>
                    <Check size={12} />
                  </Select.ItemIndicator>
                </span>
                <Select.ItemText>{option.label}</Select.ItemText>
                {option.note && <span className="figure ml-auto pl-4 text-muted">{option.note}</span>}
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  )
}

/** One of several, from a list that opens. */
export const Choice = steady(List as never) as unknown as <V extends string>(props: ChoiceProps<V>) => ReactElement
