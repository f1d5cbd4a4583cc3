import { useState } from 'react'
import { ARRANGEMENTS } from '#core/arrangements/index'
import { deckRows, layOutDeck } from '#core/outlines/as-deck'
import { useSessionStore } from '../session/context'
import { editAll, makeId } from '../session/store'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { useBrief } from './use-brief'

const verdict = (passages: number, left: number, empty: number): string => {
  const held =
    left === 0 ? `All ${passages} ${passages === 1 ? 'passage' : 'passages'}` : `${passages - left} of ${passages} passages`
  return `${held}${empty === 0 ? '' : `, ${empty} ${empty === 1 ? 'slot' : 'slots'} free`}`
}

/** The sections of the copy deck that stand nowhere, each with the arrangement that holds its words best. */
export function DeckOutlineRows({ onTaken }: { onTaken: () => void }) {
  const store = useSessionStore()
  const { site, page } = useBrief()
  const [suggested] = useState(() => deckRows(site, page))
  const [rows, setRows] = useState(() => suggested.map((row) => ({ ...row, taken: true })))
  const change = (index: number, values: Partial<(typeof rows)[number]>) =>
    setRows(rows.map((row, i) => (i === index ? { ...row, ...values } : row)))
  const taken = rows.filter((row) => row.taken)
  const take = () => {
    if (editAll(store, 'outline of the copy deck', layOutDeck(site, page.id, taken, makeId))) onTaken()
  }
  return (
    <>
      <ol className="relative min-h-0 flex-1 overflow-y-auto">
        {rows.map((row, i) => (
          <li
            key={row.at}
            className={`grid grid-cols-[24px_1fr_170px] items-center gap-x-2 border-b border-line px-3 py-1.5 ${row.taken ? '' : 'opacity-60'}`}
            data-deck-row={row.name}
          >
            <input
              type="checkbox"
              aria-label={`Take the section ${row.name}`}
              className="h-6 w-4 accent-ink"
              checked={row.taken}
              onChange={(event) => change(i, { taken: event.target.checked })}
            />
            <div className="min-w-0">
              <p className="truncate font-semibold" title={row.name}>
                {row.name}
              </p>
              <p className="text-label text-ink-2">
                {row.arrangement === suggested[i]!.arrangement ? `${verdict(row.passages, row.left, row.empty)}. ` : ''}
                <span className="inline-block first-letter:uppercase">{row.job.replace('-', ' ')}</span>
              </p>
            </div>
            <Choice
              label={`Arrangement of ${row.name}`}
              value={row.arrangement}
              options={ARRANGEMENTS.filter((one) => one.job === row.job || one.id === suggested[i]!.arrangement).map((one) => ({
                value: one.id,
                label: one.name,
              }))}
              onChange={(arrangement) => change(i, { arrangement })}
            />
          </li>
        ))}
        <li className="px-3 py-2 text-label text-ink-2">Every section can be moved, re-set and deleted afterwards.</li>
      </ol>
      <div className="flex gap-2 border-t border-line px-3 py-2">
        <Button look="primary" disabled={taken.length === 0} onClick={take}>
          {`Lay out ${taken.length} ${taken.length === 1 ? 'section' : 'sections'}`}
        </Button>
      </div>
    </>
  )
}
