import { toast } from 'sonner'
import { appliesTo } from '#core/blocks/applies'
import type { TrayColumn } from '#core/style/property'
import { type PropertyName, propertyNames, propertyOf } from '#core/style/registry'
import type { Command } from '../session/command'
import { toggleColumn } from '../session/desk'
import { allSelected, type SessionStore } from '../session/store'

/** Columns of the tray by their titles. */
const TITLES: Record<TrayColumn, string> = {
  place: 'Place',
  type: 'Type',
  surface: 'Surface',
  picture: 'Picture',
  states: 'States',
  motion: 'Motion',
}

/** Properties that have no field until another one is set, and that one. */
const HANGS_ON: Partial<Record<PropertyName, PropertyName>> = {
  top: 'position',
  right: 'position',
  bottom: 'position',
  left: 'position',
  tracks: 'layout',
  itemWidth: 'layout',
  rowSizes: 'layout',
  wrap: 'layout',
  scrolls: 'layout',
  gap: 'layout',
  focal: 'aspect',
}

const fieldOf = (name: PropertyName): HTMLElement | undefined => {
  const row = document.querySelector(`[data-sets~="${name}"]`)
  const fields = [...(row?.querySelectorAll<HTMLElement>('input, button, [role="combobox"]') ?? [])]
  return fields.find((one) => one.getAttribute('aria-label')?.startsWith(propertyOf(name).label)) ?? fields[0]
}

/** Frames that are waited for the tray to come, which may be loaded first. */
const PATIENCE = 60

/** Brings the field of a property into sight and gives it the focus; that of the property which it hangs on, if it has none. */
function focusField(name: PropertyName, frames = PATIENCE): void {
  const hanging = HANGS_ON[name]
  const field = fieldOf(name) ?? (hanging && frames < PATIENCE - 10 ? fieldOf(hanging) : undefined)
  if (!field || document.querySelector('[role="dialog"]')) {
    if (frames > 0) requestAnimationFrame(() => focusField(name, frames - 1))
    else toast(`${propertyOf(name).label} has no field where the selection stands.`)
    return
  }
  field.scrollIntoView({ block: 'nearest' })
  field.focus()
}

/** Going to the field of each property that the selected blocks have. */
export function propertyCommands(store: SessionStore): Command[] {
  const places = allSelected(store.getState())
  if (places.length === 0) return []
  return propertyNames
    .filter((name) => places.every((one) => appliesTo(name, one.block.kind)))
    .map((name) => {
      const { label, column } = propertyOf(name)
      const title = TITLES[column]
      return {
        name: `${label}, in ${title}`,
        run: () => {
          store.setState({ tray: true, trayTab: title })
          if (store.getState().foldedColumns.includes(title)) toggleColumn(store, title)
          focusField(name)
        },
      }
    })
}
