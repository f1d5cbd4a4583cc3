import type { BlockKind } from '#core/blocks/index'
import { toast } from 'sonner'
import { appliesTo } from '#core/blocks/applies'
import type { TrayColumn } from '#core/style/property'
import { type PropertyName, propertyNames, propertyOf } from '#core/style/registry'
import type { Command } from '../../session/command'
import { toggleColumn } from '../../session/desk'
import { allSelected, type SessionStore } from '../../session/store'
import { PROPERTY_TERMS } from './terms'

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

/** Properties that have a field only while each side has one. */
const EACH_SIDE: ReadonlySet<PropertyName> = new Set(['paddingStart', 'paddingEnd', 'spaceStart', 'spaceEnd', 'paddingBottom'])

const isField = 'input, textarea, button, [role="combobox"]'

const fieldOf = (name: PropertyName): HTMLElement | undefined => {
  const row = document.querySelector(`[data-sets~="${name}"]`)
  const fields = [...(row?.querySelectorAll<HTMLElement>(isField) ?? [])]
  return fields.find((one) => one.getAttribute('aria-label')?.startsWith(propertyOf(name).label)) ?? fields[0]
}

const labelled = (label: string): HTMLElement | undefined =>
  [...document.querySelectorAll<HTMLElement>(`[aria-label="Tray"] :is(${isField})`)].find(
    (one) => one.getAttribute('aria-label') === label,
  )

/** Frames that are waited for the tray to come, which may be loaded first. */
const PATIENCE = 60

/** Brings a field into sight and gives it the focus; after some frames without it, another one that it hangs on. */
function focusField(
  find: () => HTMLElement | undefined,
  otherwise: () => HTMLElement | undefined,
  said: string,
  frames = PATIENCE,
): void {
  const field = find() ?? (frames < PATIENCE - 10 ? otherwise() : undefined)
  if (!field || document.querySelector('[role="dialog"]')) {
    if (frames > 0) requestAnimationFrame(() => focusField(find, otherwise, said, frames - 1))
    else toast(`${said} has no field where the selection stands.`)
    return
  }
  field.scrollIntoView({ block: 'nearest' })
  field.focus()
}

/** Opens the tray with a column in sight. */
function openColumn(store: SessionStore, title: string): void {
  store.setState({ tray: true, trayTab: title })
  if (store.getState().foldedColumns.includes(title)) toggleColumn(store, title)
}

const nothing = () => undefined

/** Going to the field of each property that the selected blocks have; of each, said where it is, where none is selected. */
export function propertyCommands(store: SessionStore): Command[] {
  const places = allSelected(store.getState())
  return propertyNames
    .filter((name) => places.every((one) => appliesTo(name, one.block.kind)))
    .map((name) => {
      const { label, column } = propertyOf(name)
      const title = TITLES[column]
      return {
        name: `${label}, in ${title}`,
        also: `${label.replaceAll(',', '')}, ${PROPERTY_TERMS[name]}`,
        run: () => {
          if (places.length === 0) return void toast(`Select a block first: ${label} is in its tray, under ${title}.`)
          openColumn(store, title)
          if (EACH_SIDE.has(name)) store.setState({ eachSide: true })
          const hanging = HANGS_ON[name]
          focusField(() => fieldOf(name), hanging ? () => fieldOf(hanging) : nothing, label)
        },
      }
    })
}

type Setting = { name: string; label: string; title: string; kinds: readonly BlockKind[]; also: string }

/** What is set in the tray and is no property of style. */
const SETTINGS: Setting[] = [
  {
    name: 'Seen: always, in a dialog, or once it is pressed',
    label: 'When the group is seen',
    title: 'Entry',
    kinds: ['group'],
    also: 'dialog, modal, popup, popover, accordion, details, disclosure, dropdown, off-canvas, tabs, panel',
  },
  {
    name: 'Leads to',
    label: 'Leads to',
    title: 'States',
    kinds: ['button', 'link', 'picture'],
    also: 'href, link target, anchor, anchor link, url, address, go to page, download link, mailto',
  },
  {
    name: 'Alternative text',
    label: 'Alternative text',
    title: 'Picture',
    kinds: ['picture'],
    also: 'alt, alt text, image description, screen reader',
  },
  {
    name: 'Level of the heading',
    label: 'Level of the heading',
    title: 'Words',
    kinds: ['heading'],
    also: 'h1, h2, h3, heading level, heading rank',
  },
  {
    name: 'Read as: its name for those who hear the page',
    label: 'Name for those who hear the page',
    title: 'Section',
    kinds: ['section'],
    also: 'aria-label, accessible name, landmark, region',
  },
]

/** Going to the fields of what is no property. */
export function settingCommands(store: SessionStore): Command[] {
  const places = allSelected(store.getState())
  return SETTINGS.filter(({ kinds }) => places.every((one) => kinds.includes(one.block.kind))).map(
    ({ name, label, title, kinds, also }) => ({
      name: `${name}, in ${title}`,
      also,
      run: () => {
        if (places.length === 0) return void toast(`Select a ${kinds[0]} first: this is in its tray, under ${title}.`)
        openColumn(store, title)
        focusField(() => labelled(label), nothing, name)
      },
    }),
  )
}
