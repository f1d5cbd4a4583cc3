import { Copy, EyeOff, Group, Lock, Repeat, Trash2 } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useDeferredValue, useState } from 'react'
import { MOST_COPIES } from '#core/many/structure'
import { alikeOf } from '#core/many/chosen'
import type { Place } from '#core/site/tree'
import type { Length } from '#core/values/length'
import { LengthField } from '../../fields/length-field'
import { useSession, useSessionStore } from '../../session/context'
import { selectMany } from '../../session/store'
import { Button, IconButton } from '../../ui/button'
import { NumberField } from '../../ui/number-field'
import { deleteSelection, duplicateSelection, groupSelection, repeatSelection, toggleHidden, toggleLocked } from '../on-selection'

/** What is done with the selection as a whole. */
export function SelectionTools({ hidden, locked, groups }: { hidden: boolean; locked: boolean; groups: boolean }) {
  const store = useSessionStore()
  return (
    <span role="group" aria-label="The selection" className="-ml-1 mb-1.5 flex gap-0.5">
      <IconButton label="Duplicate" className="h-6 w-6" onClick={() => duplicateSelection(store)}>
        <Copy size={14} strokeWidth={1.5} />
      </IconButton>
      <RepeatTool />
      {groups && (
        <IconButton label="Put in a group" className="h-6 w-6" onClick={() => groupSelection(store)}>
          <Group size={14} strokeWidth={1.5} />
        </IconButton>
      )}
      <IconButton label={hidden ? 'Show' : 'Hide'} pressed={hidden} className="h-6 w-6" onClick={() => toggleHidden(store)}>
        <EyeOff size={14} strokeWidth={1.5} />
      </IconButton>
      <IconButton label={locked ? 'Unlock' : 'Lock'} pressed={locked} className="h-6 w-6" onClick={() => toggleLocked(store)}>
        <Lock size={14} strokeWidth={1.5} />
      </IconButton>
      <IconButton label="Delete" className="h-6 w-6" onClick={() => deleteSelection(store)}>
        <Trash2 size={14} strokeWidth={1.5} />
      </IconButton>
    </span>
  )
}

/** Copies along the row or column, with a space before each. */
function RepeatTool() {
  const store = useSessionStore()
  const [times, setTimes] = useState(2)
  const [space, setSpace] = useState<Length>()
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <IconButton label="Repeat …" className="h-6 w-6">
          <Repeat size={14} strokeWidth={1.5} />
        </IconButton>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={4}
          aria-label="Repeat the selection"
          className="z-50 w-64 rounded-2 border border-line-strong bg-field p-3 shadow-float"
        >
          <div className="grid grid-cols-[90px_minmax(0,1fr)] items-center gap-1.5">
            <span className="text-ink-2">Copies</span>
            <NumberField className="min-w-0" label="Copies" value={times} least={1} most={MOST_COPIES} whole onChange={setTimes} />
            <span className="text-ink-2">Space before</span>
            <span className="flex min-w-0">
              <LengthField
                label="Space before each copy"
                placeholder="As it is"
                tokens="spaces"
                fluid={false}
                value={space}
                onChange={(value) => setSpace(value ?? undefined)}
              />
            </span>
          </div>
          <p className="my-2 text-label text-ink-2">Copies follow each other: in a grid each takes the next columns.</p>
          <Popover.Close asChild>
            <Button onClick={() => repeatSelection(store, times, space)}>
              Make {times} {times === 1 ? 'copy' : 'copies'}
            </Button>
          </Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** The others that are set in the same way: a press selects them, so that what will change is seen before it does. */
export function AllLike({ place }: { place: Place }) {
  const store = useSessionStore()
  // The page is walked after the views have been painted.
  const site = useDeferredValue(useSession((state) => state.session.site))
  if (place.block.kind === 'section') return null
  const offers = (['section', 'page'] as const).map((within) => ({ within, blocks: alikeOf(site, place, within, 'style') }))
  const most = offers[1]!.blocks.length
  if (most < 2) return null
  return (
    <p className="mt-2 text-label text-ink-2">
      Set in the same way:{' '}
      {offers
        .filter(({ blocks }, n) => blocks.length > 1 && (n === 0 || blocks.length > offers[0]!.blocks.length))
        .map(({ within, blocks }, n) => (
          <span key={within}>
            {n > 0 && ', '}
            <button
              type="button"
              className="min-h-6 underline decoration-line-strong hover:decoration-ink"
              onClick={() =>
                selectMany(store, [...blocks.map((one) => one.id).filter((id) => id !== place.block.id), place.block.id])
              }
            >
              <span className="figure">{blocks.length}</span> {within === 'section' ? 'in the section' : 'on the page'}
            </button>
          </span>
        ))}
    </p>
  )
}
