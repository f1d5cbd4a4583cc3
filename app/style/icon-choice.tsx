import { Popover } from 'radix-ui'
import type { ButtonKind } from '#core/guide/looks'
import { IconFinder, IconShape } from '../fields/icon-finder'
import { Toggle } from './part'

type Icon = NonNullable<ButtonKind['icon']>

/** The icon that every button of a kind has, before or after its words; or none. */
export function IconChoice({ icon, onChange }: { icon: Icon | undefined; onChange: (icon: Icon | undefined) => void }) {
  return (
    <span className="flex gap-1">
      <Popover.Root>
        <Popover.Trigger
          aria-label={`Icon of the button: ${icon ? icon.shape.name : 'None'}`}
          className="flex h-[26px] items-center gap-1.5 rounded-2 border border-line-strong bg-field px-2 hover:border-ink"
        >
          {icon ? <IconShape icon={icon.shape} /> : <span className="text-muted">None</span>}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={4}
            align="start"
            aria-label="Icon of the button"
            className="z-50 w-72 rounded-2 border border-line-strong bg-field p-3 shadow-float"
          >
            <IconFinder chosen={icon?.shape.name} onChoose={(shape) => onChange({ shape, place: icon?.place ?? 'after' })} />
            {icon && (
              <Popover.Close className="min-h-6 mt-2 text-label text-ink-2 underline" onClick={() => onChange(undefined)}>
                Take the icon away
              </Popover.Close>
            )}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {icon && (
        <>
          <Toggle label="Before" pressed={icon.place === 'before'} onPress={() => onChange({ ...icon, place: 'before' })} />
          <Toggle label="After" pressed={icon.place === 'after'} onPress={() => onChange({ ...icon, place: 'after' })} />
        </>
      )}
    </span>
  )
}
