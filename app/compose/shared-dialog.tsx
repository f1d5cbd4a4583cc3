import { STATE_NAMES } from '#core/style/states'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Guise, SharedBlock } from '#core/site/shared'
import { copiesOf, type Placed, partWith } from '#core/shared/copies'
import { propertyOf, type PropertyName, isState } from '#core/style/registry'
import { scopesOf } from '#core/analysis/values-in-use'
import { valueInWords } from '../fields/value-in-words'
import { useSession, useSessionStore } from '../session/context'
import { blockName } from '#core/blocks/block-name'
import { edit, pageOf, select, selectMany } from '../session/store'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { TitledDialog } from '../ui/dialog'
import { replaceCopies } from './copy-edits'
import { canPlaceCopy, placeCopy, selectedCopies } from './sharing'

/** The shared blocks of the site: where each is used, its guises and what differs in them, and what can be done with all copies. */
export function SharedDialog({ onClose }: { onClose: () => void }) {
  const site = useSession((state) => state.session.site)
  const worked = useSession((state) => selectedCopies(state)[0]?.copyOf.shared)
  const [chosen, setChosen] = useState(worked)
  const shared = site.shared.find((one) => one.id === chosen) ?? site.shared[0]
  return (
    <TitledDialog title="Shared blocks" className="top-[8vh] flex max-h-[84vh] w-[860px] flex-col" onClose={onClose}>
      {!shared && <p className="text-ink-2">There are none. Select a block and press M to make one of it.</p>}
      {shared && (
        <div className="mt-2 grid min-h-0 flex-1 grid-cols-[220px_1fr] border border-line">
          <ul aria-label="Shared blocks" className="overflow-y-auto border-r border-line bg-field">
            {site.shared.map((one) => (
              <li key={one.id}>
                <button
                  type="button"
                  aria-current={one === shared}
                  className="flex w-full justify-between gap-2 border-l-[3px] border-transparent px-3 py-1.5 text-left hover:bg-ground/60 aria-current:border-ink aria-current:bg-ground aria-current:font-semibold"
                  onClick={() => setChosen(one.id)}
                >
                  <span className="truncate">{one.name}</span>
                  <span className="figure text-ink-2">{copiesOf(site, one.id).length}</span>
                </button>
              </li>
            ))}
          </ul>
          <div className="overflow-y-auto p-4">
            <Details key={shared.id} shared={shared} onClose={onClose} />
          </div>
        </div>
      )}
    </TitledDialog>
  )
}

/** A name to type; an empty one is not taken. */
function NameField({ label, name, onTake }: { label: string; name: string; onTake: (name: string) => void }) {
  return (
    <input
      key={name}
      aria-label={label}
      className="h-[28px] min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2"
      defaultValue={name}
      maxLength={80}
      onBlur={(event) => {
        const typed = event.target.value.trim()
        if (typed === '' || typed === name) event.target.value = name
        else onTake(typed)
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  )
}

function Details({ shared, onClose }: { shared: SharedBlock; onClose: () => void }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const copies = copiesOf(site, shared.id)
  const others = site.shared.filter(
    (one) => one.id !== shared.id && (one.block.kind === 'section') === (shared.block.kind === 'section'),
  )
  return (
    <>
      <div className="flex gap-2">
        <NameField
          label="Name of the shared block"
          name={shared.name}
          onTake={(name) =>
            edit(store, {
              kind: 'shared',
              shared: shared.id,
              edit: { kind: 'field', block: shared.block.id, field: 'name', value: name },
            })
          }
        />
        <Button
          className="!h-[28px]"
          disabled={!canPlaceCopy(store, shared.id)}
          title={canPlaceCopy(store, shared.id) ? undefined : 'Select first where it is to go'}
          onClick={() => {
            placeCopy(store, shared.id)
            onClose()
          }}
        >
          Place a copy
        </Button>
      </div>
      <h3 className="mb-1 mt-4 font-semibold">Where used</h3>
      {copies.length === 0 && <p className="text-ink-2">On no page.</p>}
      <Uses copies={copies} onClose={onClose} />
      <h3 className="mb-1 mt-4 font-semibold">Guises</h3>
      {shared.guises.length === 0 && (
        <p className="text-ink-2">None yet. Choose “A new one” for a copy in the tray; what is set there then is the guise’s.</p>
      )}
      {shared.guises.map((guise) => (
        <GuiseRow
          key={guise.id}
          shared={shared}
          guise={guise}
          count={copies.filter(({ copy }) => copy.copyOf.guise === guise.id).length}
        />
      ))}
      <div className="mt-4 flex flex-wrap items-center gap-2 border-t border-line pt-3">
        {others.length > 0 && copies.length > 0 && (
          <Choice
            className="w-60"
            label="Replace every copy by"
            placeholder={`Replace all ${copies.length} by …`}
            value={null}
            options={others.map((one) => ({ value: one.id, label: one.name }))}
            onChange={(id) =>
              replaceCopies(
                store,
                copies.map((one) => one.copy),
                id,
              )
            }
          />
        )}
        <Button
          look={copies.length === 0 ? 'danger' : 'quiet'}
          onClick={() => edit(store, { kind: 'copies', id: shared.id, shared: null, blocks: [] })}
        >
          {copies.length === 0 ? 'Delete' : `Make all ${copies.length} independent`}
        </Button>
      </div>
    </>
  )
}

/** The copies page by page; a press goes to them. */
function Uses({ copies, onClose }: { copies: readonly Placed[]; onClose: () => void }) {
  const store = useSessionStore()
  const navigate = useNavigate()
  const here = useSession(pageOf)
  const pages = [...new Set(copies.map((one) => one.page))]
  return (
    <ul>
      {pages.map((page) => {
        const all = copies.filter((one) => one.page === page)
        const names = [...new Set(all.map((one) => blockName(one.section)))]
        return (
          <li key={page.id} className="flex items-baseline justify-between gap-3 border-t border-line py-1">
            <span>
              <span className="font-semibold">{page.name}</span> <span className="text-ink-2">in {names.join(', ')}</span>
            </span>
            <button
              type="button"
              className="min-h-6 shrink-0 underline decoration-line-strong hover:decoration-ink"
              onClick={() => {
                if (page.id !== here.id) void navigate(`/sites/${store.getState().siteId}/pages/${page.id}/compose`)
                else if (all.length === 1) select(store, all[0]!.copy.id)
                else
                  selectMany(
                    store,
                    all.map((one) => one.copy.id),
                  )
                onClose()
              }}
            >
              <span className="figure">{all.length}</span>{' '}
              {page.id === here.id ? (all.length === 1 ? 'copy, select it' : 'copies, select them') : 'there, open the page'}
            </button>
          </li>
        )
      })}
    </ul>
  )
}

/** What a guise has otherwise, part by part: “Heading: colour accent”. */
function differences(shared: SharedBlock, guise: Guise, breakpoints: readonly Breakpoint[]): string[] {
  return Object.entries(guise.parts).flatMap(([id, { style, fields }]) => {
    const part = partWith(shared, id)
    if (!part) return []
    const name = part === shared.block ? shared.name : blockName(part)
    const values = [...scopesOf({ style: style ?? {} } as never)].flatMap(([scope, set]) =>
      Object.entries(set).map(([property, value]) => {
        const where =
          scope === 'base'
            ? ''
            : isState(scope)
              ? `, ${STATE_NAMES[scope].toLowerCase()}`
              : ` below ${breakpoints.find((one) => one.id === scope.below)?.below ?? scope.below}`
        return `${propertyOf(property as PropertyName).label.toLowerCase()} ${valueInWords(value)}${where}`
      }),
    )
    const named = Object.entries(fields ?? {}).map(([field, value]) =>
      field === 'hidden' ? (value ? 'hidden' : 'shown') : `${field} ${valueInWords(value)}`,
    )
    return values.length + named.length > 0 ? [`${name}: ${[...values, ...named].join(', ')}`] : []
  })
}

function GuiseRow({ shared, guise, count }: { shared: SharedBlock; guise: Guise; count: number }) {
  const store = useSessionStore()
  const set = (guises: Guise[]) => edit(store, { kind: 'guises', shared: shared.id, guises })
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const differs = differences(shared, guise, breakpoints)
  return (
    <div className="border-t border-line py-1.5">
      <div className="flex items-center gap-2">
        <NameField
          label={`Name of the guise ${guise.name}`}
          name={guise.name}
          onTake={(name) => set(shared.guises.map((one) => (one === guise ? { ...guise, name } : one)))}
        />
        <span className="text-label text-ink-2">
          <span className="figure">{count}</span> {count === 1 ? 'copy' : 'copies'}
        </span>
        <Button look="danger" className="!h-[26px] !px-2" onClick={() => set(shared.guises.filter((one) => one !== guise))}>
          Delete
        </Button>
      </div>
      <ul className="mt-1 text-label text-ink-2">
        {differs.length === 0 && <li>Nothing differs yet.</li>}
        {differs.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </div>
  )
}
