import { Link } from 'react-router'
import { type Finding, rangesInWords, sorted } from '#core/analysis/finding'
import { saidOf } from '#core/analysis/where'
import { excuseOf } from '#core/site/excuse'
import type { Page } from '#core/site/schema'
import { useSession, useSessionStore } from '../session/context'
import { edit } from '../session/store'
import { Button } from '../ui/button'
import { EyeSign, FaultSign } from '../ui/fault-sign'
import { ExcuseButton } from './excuse-button'

type Found = Finding & { fault: boolean; worst?: number }
type Box = { left: number; top: number; width: number; height: number }
/** A block that is shown at a width, and the way of the focus over it. */
export type Shown = { block: string | null; width: number; order?: readonly { box: Box }[] }

type FindingListsProps = { found: readonly Found[]; page: Page; onShow: (at: Shown) => void }

/** Findings of one part of Check: what is to be mended, what is worth a look, and what is said to be no fault, with the reason. */
export function FindingLists({ found, page, onShow }: FindingListsProps) {
  const excuses = useSession((state) => state.session.site.excuses)
  const { faults, others, excused } = sorted(found, excuses, page.id)
  return (
    <>
      <List label="To mend" found={faults} page={page} onShow={onShow} />
      {others.length > 0 && <h3 className="mb-1 mt-3 text-label font-semibold">For your eye: {others.length}</h3>}
      <List label="For your eye" found={others} page={page} onShow={onShow} />
      {excused.length > 0 && <h3 className="mb-1 mt-3 text-label font-semibold">Not faults here: {excused.length}</h3>}
      <List label="Not faults here" found={excused} page={page} onShow={onShow} />
    </>
  )
}

type ListProps = FindingListsProps & { label: string }

function List({ label, found, page, onShow }: ListProps) {
  const store = useSessionStore()
  const excuses = useSession((state) => state.session.site.excuses)
  const { siteId } = store.getState()
  if (found.length === 0) return null
  return (
    <ul aria-label={label}>
      {found.map((one, n) => {
        const excuse = excuseOf(excuses, page.id, one)
        const { block, ranges, repair } = one
        return (
          <li key={n} className="grid grid-cols-[16px_1fr] gap-1 border-t border-line py-1.5" data-finding={one.kind}>
            {one.fault && !excuse ? <FaultSign className="mt-1" /> : <EyeSign className="mt-2" />}
            <div>
              {block ? (
                <button
                  type="button"
                  className="text-left font-semibold hover:underline"
                  onClick={() => onShow({ block, width: one.worst ?? ranges?.[0]?.from ?? 1280 })}
                >
                  {saidOf(page, one)}
                </button>
              ) : (
                <span className="font-semibold">{one.sentence}</span>
              )}
              {ranges && <span className="figure ml-2 text-ink-2">at {rangesInWords(ranges)}</span>}
              {one.why && <p className="text-label text-ink-2">{one.why}</p>}
              {excuse ? (
                <p className="flex items-center gap-2">
                  <span className="text-ink-2">Not a fault here: {excuse.reason}</span>
                  <Button onClick={() => edit(store, { kind: 'list', list: 'excuses', drop: [excuse.id], put: [] })}>
                    It is one
                  </Button>
                </p>
              ) : (
                <p className="mt-1 flex flex-wrap items-center gap-3">
                  {repair && <Button onClick={() => edit(store, repair.edit)}>{repair.label}</Button>}
                  {block && (
                    <Link
                      className="inline-flex min-h-6 items-center underline"
                      to={`/sites/${siteId}/pages/${page.id}/compose#${block}`}
                    >
                      Show in Compose
                    </Link>
                  )}
                  <ExcuseButton finding={one} page={page.id} />
                </p>
              )}
            </div>
          </li>
        )
      })}
    </ul>
  )
}
