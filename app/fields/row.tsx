import { Popover } from 'radix-ui'
import type { ReactNode } from 'react'
import { properties, type PropertyName } from '#core/style/registry'
import { Button } from '../ui/button'
import type { StyleAccess } from './use-style'
import { valueInWords } from './value-in-words'

/** A line of the tray: a label and what sets it. A yarrow notch marks a value that differs from the base. */
export function Row({
  label,
  names = [],
  style,
  children,
}: {
  label: string
  names?: readonly PropertyName[]
  style?: StyleAccess
  children: ReactNode
}) {
  const exceptions = style ? names.filter((name) => style.isException(name)) : []
  return (
    <div data-sets={names.join(' ')} className="grid grid-cols-[66px_1fr] items-center gap-1.5 py-[2px]">
      <span className="truncate text-ink-2" title={label}>
        {label}
      </span>
      <div className="relative flex min-w-0 gap-1">
        {children}
        {style && exceptions.length > 0 && <Notch names={exceptions} style={style} />}
      </div>
    </div>
  )
}

function Notch({ names, style }: { names: readonly PropertyName[]; style: StyleAccess }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label="Differs from the base"
        title="Differs from the base"
        className="absolute -right-px -top-px h-3 w-3"
      >
        <svg aria-hidden viewBox="0 0 12 12">
          <path d="M2 0h10v10z" fill="#EDB700" />
        </svg>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="end"
          sideOffset={4}
          className="z-50 w-56 rounded-2 border border-line-strong bg-field p-3 shadow-float"
        >
          {names.map((name) => (
            <p key={name} className="mb-2 text-label text-ink-2">
              {properties[name].label} in the base: <span className="figure text-ink">{valueInWords(style.base(name))}</span>
            </p>
          ))}
          <Popover.Close asChild>
            <Button onClick={() => style.set(Object.fromEntries(names.map((name) => [name, null])))}>Return to the base</Button>
          </Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** A heading of a tray column, with what it is about at the right. */
export function ColumnHead({ title, note }: { title: string; note?: string }) {
  return (
    <div className="mb-1.5 flex items-baseline justify-between gap-2">
      <h3 className="font-semibold">{title}</h3>
      <span className="truncate text-label text-muted">{note}</span>
    </div>
  )
}

/** What the settings come to: a reed dot where all is well, a rust triangle where something is not. */
export function Finding({ well, children }: { well: boolean; children: ReactNode }) {
  return (
    <div className={`mt-1.5 grid grid-cols-[16px_1fr] text-label ${well ? 'text-ink-2' : 'text-rust'}`}>
      <svg aria-hidden width="9" height="9" viewBox="0 0 10 10" className="mt-1">
        {well ? <circle cx="5" cy="5" r="4.500" fill="#1F6B5C" /> : <path d="M5 0l5 9H0z" fill="#A8401F" />}
      </svg>
      <span>{children}</span>
    </div>
  )
}
