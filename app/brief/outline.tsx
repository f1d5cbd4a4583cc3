import { type ReactNode, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { arrangementsFor } from '#core/arrangements/index'
import { AIM_NAMES } from '#core/site/brief-words'
import { deckOf } from '#core/deck/deck'
import type { DeckSection } from '#core/deck/passage'
import { OUTLINES, type OutlineRow, outlinesFor } from '#core/outlines/outlines'
import { takeOutline } from '#core/outlines/take'
import { useSessionStore } from '../session/context'
import { editAll, makeId } from '../session/store'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { DeckOutlineRows } from './deck-outline'
import { useBrief } from './use-brief'

type Chosen = OutlineRow & { taken: boolean }

const rowsOf = (id: string): Chosen[] => OUTLINES.find((one) => one.id === id)?.rows.map((row) => ({ ...row, taken: true })) ?? []

/** The outline that follows the copy deck. */
const AS_DECK = 'as-deck'
const isWaiting = (section: DeckSection) => section.section === undefined && section.name !== ''

/** A suggested running order for the page's aim, with the reason for each section; it is changed before it is taken. */
export function OutlinePanel({ onTaken }: { onTaken: () => void }) {
  const store = useSessionStore()
  const navigate = useNavigate()
  const { site, page } = useBrief()
  const aim = page.brief.aim ?? site.brief.aim
  const waits = useMemo(
    () => deckOf(site, site.language).pages.some(({ page: id, sections }) => id === page.id && sections.some(isWaiting)),
    [site, page.id],
  )
  const suggested = waits ? AS_DECK : outlinesFor(aim)[0]!.id
  const [own, setOwn] = useState<{ id: string; rows: Chosen[] } | null>(null)
  const id = own?.id ?? suggested
  if (id === AS_DECK)
    return (
      <div className="flex h-full flex-col bg-panel">
        <OutlineChoice id={id} waits={waits} onChoose={(next) => setOwn({ id: next, rows: rowsOf(next) })}>
          Its own sections in its own order, each in the arrangement that holds its words best.
        </OutlineChoice>
        <DeckOutlineRows onTaken={onTaken} />
      </div>
    )
  const outline = OUTLINES.find((one) => one.id === id)!
  const rows = own?.rows ?? rowsOf(suggested)
  const taken = rows.filter((row) => row.taken)
  const had = new Set(page.sections.map((one) => one.job))
  const change = (index: number, values: Partial<Chosen>) =>
    setOwn({ id, rows: rows.map((row, i) => (i === index ? { ...row, ...values } : row)) })
  const take = () => {
    const edits = takeOutline(site, page.id, taken, outline.single, makeId)
    if (editAll(store, `outline: ${outline.name}`, edits)) onTaken()
  }
  return (
    <div className="flex h-full flex-col bg-panel">
      <OutlineChoice id={id} waits={waits} onChoose={(next) => setOwn({ id: next, rows: rowsOf(next) })}>
        {outline.note}
        {aim === null && ' Choose an aim in the brief, and the outline for it is suggested first.'}
      </OutlineChoice>
      <ol className="relative min-h-0 flex-1 overflow-y-auto">
        {rows.map((row, i) => (
          <li
            key={row.job}
            className={`grid grid-cols-[24px_1fr_170px] items-center gap-x-2 border-b border-line px-3 py-1.5 ${row.taken ? '' : 'opacity-60'}`}
          >
            <input
              type="checkbox"
              aria-label={`Take the section ${row.job}`}
              className="h-4 w-4 accent-ink"
              checked={row.taken}
              onChange={(event) => change(i, { taken: event.target.checked })}
            />
            <div>
              <p className="font-semibold first-letter:uppercase">
                {row.job.replace('-', ' ')}
                {had.has(row.job) && <span className="ml-2 text-label font-normal text-ink-2">is there, and stays as it is</span>}
              </p>
              <p className="text-label text-ink-2">{row.reason}</p>
            </div>
            <Choice
              label={`Arrangement of ${row.job}`}
              value={row.arrangement}
              options={arrangementsFor(row.job).map((one) => ({ value: one.id, label: one.name }))}
              onChange={(arrangement) => change(i, { arrangement })}
            />
          </li>
        ))}
        <li className="px-3 py-2 text-label text-ink-2">
          {outline.single
            ? 'A confirmation page comes with it; entries of the form arrive in the local form inbox.'
            : 'Every section can be moved, re-set and deleted afterwards.'}
        </li>
      </ol>
      <div className="flex gap-2 border-t border-line px-3 py-2">
        <Button look="primary" disabled={taken.length === 0} onClick={take}>
          {`Take ${taken.length} ${taken.length === 1 ? 'section' : 'sections'}`}
        </Button>
        <Button onClick={() => void navigate(`/sites/${store.getState().siteId}/pages/${page.id}/compose`)}>Start empty</Button>
      </div>
    </div>
  )
}

type OutlineChoiceProps = { id: string; waits: boolean; onChoose: (id: string) => void; children: ReactNode }

function OutlineChoice({ id, waits, onChoose, children }: OutlineChoiceProps) {
  const deck = { value: AS_DECK, label: 'As the copy deck has it', note: 'from its sections' }
  return (
    <div className="border-b border-line px-3 py-2">
      <Choice
        className="w-full"
        label="Outline"
        value={id}
        options={[
          ...(waits ? [deck] : []),
          ...OUTLINES.map((one) => ({ value: one.id, label: one.name, note: AIM_NAMES[one.aim] })),
        ]}
        onChange={onChoose}
      />
      <p className="mt-1.5 text-label text-ink-2">{children}</p>
    </div>
  )
}
