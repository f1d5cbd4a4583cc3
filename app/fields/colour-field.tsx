import { Popover } from 'radix-ui'
import { useRef } from 'react'
import { HexColorInput, HexColorPicker } from 'react-colorful'
import { hexOf } from '#core/colour/contrast'
import type { Colour } from '#core/values/colour'
import { NumberField } from '../ui/number-field'
import { steady } from '../ui/steady'
import { useOfferedGuide } from '../session/context'
import { newGesture } from './use-style'

type ColourFieldProps = {
  label: string
  value: Colour | undefined
  /** Shown while there is no value. */
  placeholder?: string
  onChange: (value: Colour | null, gesture?: string) => void
}

function Field({ label, value, placeholder = 'Not set', onChange }: ColourFieldProps) {
  const { colours } = useOfferedGuide()
  const gesture = useRef('')
  const hex = value ? hexOf(value, colours) : undefined
  return (
    <Popover.Root onOpenChange={() => (gesture.current = newGesture())}>
      <Popover.Trigger className="flex h-[26px] min-w-0 flex-1 items-center gap-2 rounded-2 border border-line-strong bg-field px-1.5 text-left hover:border-ink">
        <span
          className="h-4 w-4 shrink-0 rounded-2 border border-line-strong"
          style={
            hex
              ? { background: hex, opacity: value?.alpha ?? 1 }
              : { background: 'linear-gradient(to top right, #fff 47%, #A8401F 47% 53%, #fff 53%)' }
          }
        />
        <span className="sr-only">{label}:</span>
        <span className="truncate">
          {value ? 'role' in value ? value.role : value.hex : <span className="text-muted">{placeholder}</span>}
        </span>
        {value?.alpha !== undefined && <span className="figure ml-auto text-muted">{Math.round(value.alpha * 100)}%</span>}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={4}
          aria-label={label}
          className="z-50 w-[228px] rounded-2 border border-line-strong bg-field p-3 shadow-float"
        >
          <div className="mb-3 grid grid-cols-6 gap-1.5">
            {colours.map((one) => (
              <button
                key={one.role}
                type="button"
                title={`${one.role} ${one.hex}`}
                aria-label={one.role}
                aria-pressed={value && 'role' in value && value.role === one.role}
                className="h-7 rounded-2 border border-line-strong outline-offset-2 aria-pressed:outline-2 aria-pressed:outline-ink"
                style={{ background: one.hex }}
                onClick={() => onChange(value?.alpha === undefined ? { role: one.role } : { role: one.role, alpha: value.alpha })}
              />
            ))}
          </div>
          <HexColorPicker
            color={hex ?? '#ffffff'}
            style={{ width: '100%', height: 120 }}
            onChange={(next) =>
              onChange(value?.alpha === undefined ? { hex: next } : { hex: next, alpha: value.alpha }, gesture.current)
            }
          />
          <div className="mt-2 flex gap-1.5">
            <HexColorInput
              aria-label={`${label}, hex`}
              prefixed
              color={hex ?? ''}
              className="figure h-[26px] w-24 rounded-2 border border-line-strong px-2"
              onChange={(next) => next.length === 7 && onChange({ hex: next }, gesture.current)}
            />
            <NumberField
              className="flex-1"
              label={`${label}, strength`}
              unit="%"
              value={Math.round((value?.alpha ?? 1) * 100)}
              least={0}
              most={100}
              onChange={(percent) => value && onChange({ ...value, alpha: percent / 100 })}
            />
          </div>
          <Popover.Close className="min-h-6 mt-2 text-label text-ink-2 underline" onClick={() => onChange(null)}>
            Take the colour away
          </Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** A colour: one of the guide's roles, or another, with its strength. */
export const ColourField = steady(Field)
