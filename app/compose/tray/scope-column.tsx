import { Fragment } from 'react'
import { currentOf } from '#core/site/directions'
import type { Block } from '#core/blocks/index'
import type { Place } from '#core/site/tree'
import { scopesOf } from '#core/analysis/values-in-use'
import { useSessionStore, useSession } from '../../session/context'
import { blockName } from '#core/blocks/block-name'
import { editAll, select } from '../../session/store'
import { ReachNote } from './shared-column'
import { AllLike, SelectionTools } from './selection-tools'
import { WidthsToEdit } from './widths-to-edit'

/** The selected block with the path to it, and the widths that its settings are for. */
export function ScopeColumn({ place }: { place: Place }) {
  const store = useSessionStore()
  const { block, ancestors } = place
  return (
    <>
      <h3 className="truncate font-semibold">{blockName(block)}</h3>
      <nav aria-label="Path to the block" className="min-h-4 text-label text-ink-2">
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
      <ReachNote place={place} />
      <SelectionTools hidden={block.hidden ?? false} locked={block.locked ?? false} groups={block.kind !== 'section'} />
      <WidthsToEdit blocks={[block]} />
      <HereAlone block={block} />
      <AllLike place={place} />
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
