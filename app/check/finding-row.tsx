import { useState } from 'react'
import { Link } from 'react-router'
import { rangesInWords } from '#core/analysis/finding'
import { whereOf } from '#core/analysis/where'
import type { Excuse } from '#core/site/excuse'
import type { WidthFinding } from '#core/sweep/find'
import type { Gathered } from '#core/sweep/gathered'
import type { Sweeper, Swept } from '../live/sweep/sweeper'
import { useSession, useSessionStore } from '../session/context'
import { edit, pageOf } from '../session/store'
import { Button, buttonClass } from '../ui/button'
import { EyeSign, FaultSign } from '../ui/fault-sign'
import type { Trial } from './check'
import { ExcuseForm } from './excuse-form'
import { Repairs } from './repairs'

type FindingRowProps = {
  finding: Gathered
  excuse: Excuse | undefined
  swept: Swept | null
  sweeper: Sweeper | null
  chosen: boolean
  onChoose: (finding: WidthFinding | null) => void
  trial: Trial | null
  onTry: (trial: Trial | null) => void
}

/** One finding: what, where, at which widths; chosen, also why, what mends it, and whether it is a fault here at all. */
export function FindingRow({ finding, excuse, swept, sweeper, chosen, onChoose, trial, onTry }: FindingRowProps) {
  const store = useSessionStore()
  const { siteId } = store.getState()
  const page = useSession(pageOf)
  const [excusing, setExcusing] = useState(false)
  const { sentence, why, ranges, block, fault } = finding
  const where = whereOf(page, finding)
  return (
    <li className={`border-t border-line ${chosen ? 'bg-yarrow/25' : ''}`} data-finding={finding.kind}>
      <button
        type="button"
        aria-expanded={chosen}
        className="grid w-full grid-cols-[20px_1fr_auto] items-baseline gap-x-1 px-5 py-2 text-left hover:bg-ground/60"
        onClick={() => onChoose(chosen ? null : finding)}
      >
        <Sign fault={fault && !excuse} />
        <span className="font-semibold">
          {where && <span className="figure font-normal text-ink-2">{where}: </span>}
          {sentence}
        </span>
        <span className="figure ml-3 whitespace-nowrap text-ink-2">{shortRanges(finding)}</span>
      </button>
      {chosen && (
        <div className="px-5 pb-3 pl-[41px]">
          {why && <p className="mb-1 text-label text-ink-2">{why}</p>}
          {ranges.length > 2 && <p className="figure mb-1 text-label text-ink-2">{rangesInWords(ranges)}</p>}
          {excuse ? (
            <p className="flex items-center gap-2">
              <span className="text-ink-2">Not a fault here: {excuse.reason}</span>
              <Button onClick={() => edit(store, { kind: 'list', list: 'excuses', drop: [excuse.id], put: [] })}>It is one</Button>
            </p>
          ) : (
            <>
              <Repairs finding={finding} swept={swept} sweeper={sweeper} trial={trial} onTry={onTry} />
              {excusing ? (
                <ExcuseForm finding={finding} page={page.id} onDone={() => setExcusing(false)} />
              ) : (
                <p className="mt-2 flex gap-2">
                  {block && (
                    <Link className={buttonClass()} to={`/sites/${siteId}/pages/${page.id}/compose#${block}`}>
                      Show in Compose
                    </Link>
                  )}
                  <Button onClick={() => setExcusing(true)}>Not a fault here …</Button>
                </p>
              )}
            </>
          )}
        </div>
      )}
    </li>
  )
}

const shortRanges = ({ ranges }: WidthFinding): string =>
  ranges.length <= 2 ? rangesInWords(ranges) : `${rangesInWords(ranges.slice(0, 1))} and ${ranges.length - 1} more`

const Sign = ({ fault }: { fault: boolean }) => (fault ? <FaultSign /> : <EyeSign className="-translate-y-1" />)
