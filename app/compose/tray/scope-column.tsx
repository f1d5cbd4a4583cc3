import { Copy, EyeOff, Group, Trash2 } from 'lucide-react'
import { Fragment } from 'react'
import { currentOf } from '#core/site/directions'
import type { Block } from '#core/blocks/index'
import type { Place } from '#core/site/tree'
import type { Scope } from '#core/style/registry'
import { scopesOf } from '#core/analysis/values-in-use'
import { IconButton } from '../../ui/button'
import { useSessionStore, useSession } from '../../session/context'
import { deleteSelection, duplicateSelection, groupSelection } from '../insert'
import { blockName, edit, editAll, select } from '../../session/store'

/** The selected block with the path to it, and the widths that its settings are for. */
export function ScopeColumn({ place }: { place: Place }) {
  const store = useSessionStore()
  const scope = useSession((state) => state.scope)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const { block, ancestors } = place
  const hover = Object.keys(block.style.hover ?? {}).length
  const count = (id: string) => Object.keys(block.style.below?.[id] ?? {}).length
  const inWords = (n: number) => (n === 0 ? 'none' : n === 1 ? '1 exception' : `${n} exceptions`)

  const item = (key: string, value: Scope, label: string, note: string) => {
    const active = JSON.stringify(scope) === JSON.stringify(value)
    return (
      <button
        key={key}
        type="button"
        aria-pressed={active}
        className={`flex h-[28px] w-full items-center justify-between rounded-2 border px-2.5 ${active ? 'border-ink bg-ink text-on-ink' : 'border-line-strong bg-field hover:border-ink'}`}
        onClick={() => store.setState({ scope: value })}
      >
        {label} <span className="figure">{note}</span>
      </button>
    )
  }
  return (
    <>
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="truncate font-semibold">{blockName(block)}</h3>
        <span className="flex shrink-0">
          <IconButton label="Duplicate" className="h-5 w-5" onClick={() => duplicateSelection(store)}>
            <Copy size={13} strokeWidth={1.5} />
          </IconButton>
          {block.kind !== 'section' && (
            <IconButton label="Put in a group" className="h-5 w-5" onClick={() => groupSelection(store)}>
              <Group size={13} strokeWidth={1.5} />
            </IconButton>
          )}
          <IconButton
            label={block.hidden ? 'Show' : 'Hide'}
            pressed={block.hidden ?? false}
            className="h-5 w-5"
            onClick={() =>
              edit(store, {
                kind: 'field',
                block: block.id,
                field: 'hidden',
                value: block.hidden ? null : true,
              })
            }
          >
            <EyeOff size={13} strokeWidth={1.5} />
          </IconButton>
          <IconButton label="Delete" className="h-5 w-5" onClick={() => deleteSelection(store)}>
            <Trash2 size={13} strokeWidth={1.5} />
          </IconButton>
        </span>
      </div>
      <nav aria-label="Path to the block" className="mb-2 min-h-4 text-label text-ink-2">
        {ancestors.length > 0 && 'in '}
        {[...ancestors].reverse().map((one, i) => (
          <Fragment key={one.id}>
            {i > 0 && ', '}
            <button
              type="button"
              className="min-h-6 underline decoration-line-strong hover:decoration-ink"
              onClick={() => select(store, one.id)}
            >
              {blockName(one)}
            </button>
          </Fragment>
        ))}
      </nav>
      <div className="flex flex-col gap-1" role="group" aria-label="Widths to edit">
        {item('base', 'base', 'All widths', 'base')}
        {breakpoints.map(
          (one) => one.below !== null && item(one.id, { below: one.id }, `Below ${one.below}`, inWords(count(one.id))),
        )}
        {scope === 'hover' && item('hover', 'hover', 'Hover', `${hover} set`)}
      </div>
      <HereAlone block={block} />
      <p className="mt-2 text-label text-ink-2">Press a view’s caption to edit its widths alone.</p>
    </>
  )
}

/** Whether styles are set for the current direction alone, and the way back to what every direction has. */
function HereAlone({ block }: { block: Block }) {
  const store = useSessionStore()
  const several = useSession((state) => state.session.site.directions.length > 1)
  const direction = useSession((state) => currentOf(state.session.site))
  const onlyHere = useSession((state) => state.onlyHere)
  const over = direction.restyled[block.id]
  if (!several) return null
  return (
    <div className="mt-1.5">
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-ink"
          checked={onlyHere}
          onChange={(event) => store.setState({ onlyHere: event.target.checked })}
        />
        In {direction.name} alone
      </label>
      {over && (
        <button
          type="button"
          className="min-h-6 text-label text-ink-2 underline"
          onClick={() =>
            editAll(
              store,
              `return ${blockName(block)} to all directions`,
              [...scopesOf({ style: over })].map(([scope, values]) => ({
                kind: 'style',
                block: block.id,
                direction: direction.id,
                scope,
                values: Object.fromEntries(Object.keys(values).map((name) => [name, null])),
              })),
            )
          }
        >
          Restyled here; return to what all directions have
        </button>
      )}
    </div>
  )
}
