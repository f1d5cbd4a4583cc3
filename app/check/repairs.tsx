import { useEffect, useId, useRef, useState } from 'react'
import type { Repair } from '#core/analysis/finding'
import { keyOf, type WidthFinding } from '#core/sweep/find'
import { asksForWords } from '#core/sweep/repairs/index'
import type { Sweeper, Swept } from '../live/sweep/sweeper'
import { useSession, useSessionStore } from '../session/context'
import { edit, pageOf } from '../session/store'
import { Button } from '../ui/button'
import type { Trial } from './check'
import { tryRepairs } from './try-repairs'

type RepairsProps = {
  finding: WidthFinding
  swept: Swept | null
  sweeper: Sweeper | null
  trial: Trial | null
  onTry: (trial: Trial | null) => void
}

/** How many were tried, of how many, where that is known yet, and those that mend it so far. */
type Tried = { tried: number; of: number | null; found: readonly Repair[] }
const BEGUN: Tried = { tried: 0, of: null, found: [] }

/** What mends a finding and makes no other. Each is shown on the page while it is pointed at, and taken by one press. */
export function Repairs({ finding, swept, sweeper, trial, onTry }: RepairsProps) {
  const store = useSessionStore()
  const id = useId()
  const site = useSession((state) => state.session.site)
  const pageId = useSession((state) => pageOf(state).id)
  const [{ tried, of, found }, setTried] = useState<Tried>(BEGUN)
  // Each run makes the findings anew; they are tried again where what is said of this one is another, or something else is found.
  const key = `${keyOf(finding)} ${JSON.stringify(finding.ranges)}`
  const latest = useRef({ finding, site, pageId })
  latest.current = { finding, site, pageId }
  useEffect(() => {
    if (!sweeper || !swept) return
    const giveUp = new AbortController()
    const { finding: tryFor, site: now, pageId: on } = latest.current
    setTried(BEGUN)
    void tryRepairs(tryFor, now, on, swept.findings, sweeper, {
      signal: giveUp.signal,
      onTried: (done, all, repairs) => setTried({ tried: done, of: all, found: repairs }),
    })
    return () => giveUp.abort()
  }, [key, swept, sweeper])
  // Nothing is said to have no repair before it was tried.
  const busy = of === null || tried < of
  return (
    <div>
      {found.length > 0 && (
        <div className="flex flex-wrap gap-2" role="group" aria-label="Repairs">
          {found.map((one) => (
            <span key={one.label} className={one.price ? 'flex w-full items-baseline gap-2' : 'contents'}>
              <Button
                className={`shrink-0 ${trial?.label === one.label ? '!border-ink' : ''}`}
                aria-describedby={one.price && `${id}-${one.label}`}
                onPointerEnter={() => onTry(one)}
                onFocus={() => onTry(one)}
                onClick={() => {
                  onTry(null)
                  edit(store, one.edit)
                }}
              >
                {one.label}
              </Button>
              {one.price && (
                <span id={`${id}-${one.label}`} className="text-label text-ink-2" data-price={one.price.length}>
                  For your eye then: {one.price.slice(0, 2).join(' ')}
                  {one.price.length > 2 && ` And ${one.price.length - 2} more.`}
                </span>
              )}
            </span>
          ))}
        </div>
      )}
      <p role="status" className="mt-1 text-label text-ink-2" data-tried={busy || !swept ? undefined : found.length}>
        {busy
          ? of === null
            ? 'Looking for repairs'
            : `Trying repairs, ${tried} of ${of}`
          : found.length === 0
            ? of === 0
              ? 'There is no repair to try: this one is for you to judge.'
              : `${of} repairs were tried; each leaves it, or makes a fault.`
            : `Each was tried at all widths: it mends this and makes no ${found.some((one) => one.price) ? 'fault' : 'other finding'}. One press takes it.`}
        {!busy && asksForWords(finding) && ' Shorter words would mend it too.'}
      </p>
    </div>
  )
}
