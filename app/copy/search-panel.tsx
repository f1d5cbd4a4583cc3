import { useMemo, useState } from 'react'
import { replaceInDeck, searchDeck } from '#core/reconcile/search'
import { useSessionStore, useSession } from '../session/context'
import { toast } from 'sonner'
import { counted } from '#core/values/counted'
import { editAll, undo } from '../session/store'
import { Button } from '../ui/button'
import type { PointedPassage } from './copy'

/** Search and replace over all words of the site, on its pages and unplaced. */
export function SearchPanel({ language, onPoint }: { language: string; onPoint: (pointed: PointedPassage) => void }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const [query, setQuery] = useState('')
  const [by, setBy] = useState('')
  const [matchCase, setMatchCase] = useState(false)
  const [wholeWords, setWholeWords] = useState(false)
  const options = useMemo(() => ({ matchCase, wholeWords }), [matchCase, wholeWords])
  const hits = useMemo(() => searchDeck(site, language, query, options), [site, language, query, options])
  const count = hits.reduce((sum, one) => sum + one.count, 0)
  const replaceAll = () => {
    if (!editAll(store, `replace “${query}”`, replaceInDeck(site, language, query, by, options))) return
    const where = counted(hits.length, 'passage')
    toast(`“${query}” replaced by ${by === '' ? 'nothing' : `“${by}”`}: ${counted(count, 'time')} in ${where}.`, {
      action: { label: 'Undo', onClick: () => undo(store) },
    })
  }
  const field = 'h-[28px] min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2'
  return (
    <section aria-label="Search and replace" className="shrink-0 border-b border-line-strong bg-panel px-3 py-2">
      <div className="flex gap-2">
        <input
          autoFocus
          aria-label="Search for"
          placeholder="Search for"
          className={field}
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
        <input
          aria-label="Replace by"
          placeholder="Replace by"
          className={field}
          value={by}
          onChange={(event) => setBy(event.target.value)}
        />
        <Button disabled={count === 0} onClick={replaceAll}>
          Replace all
        </Button>
      </div>
      <div className="mt-1.5 flex items-center gap-3 text-label text-ink-2">
        <label className="flex items-center gap-1">
          <input
            type="checkbox"
            className="accent-ink"
            checked={matchCase}
            onChange={(event) => setMatchCase(event.target.checked)}
          />{' '}
          Match case
        </label>
        <label className="flex items-center gap-1">
          <input
            type="checkbox"
            className="accent-ink"
            checked={wholeWords}
            onChange={(event) => setWholeWords(event.target.checked)}
          />{' '}
          Whole words
        </label>
        <span className="figure" data-hits>
          {query === '' ? '' : `${count} in ${counted(hits.length, 'passage')}`}
        </span>
      </div>
      <ul className="relative max-h-28 overflow-y-auto">
        {hits.map((hit, i) => (
          <li key={i}>
            <button
              type="button"
              className="block w-full truncate py-0.5 text-left hover:bg-ground"
              onClick={() => onPoint({ ...('block' in hit ? { block: hit.block } : { unplaced: hit.unplaced }), text: hit.text })}
            >
              <span className="text-label text-muted">{hit.section} </span>
              {hit.text}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
