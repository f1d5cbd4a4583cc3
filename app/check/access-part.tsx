import { useMemo } from 'react'
import { Link } from 'react-router'
import { accessFindings } from '#core/analysis/access'
import { isAboutAccess, type PageFinding } from '#core/analysis/checks/index'
import { type Finding, rangesInWords } from '#core/analysis/finding'
import { excuseOf } from '#core/site/excuse'
import type { Page } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { useSession, useSessionStore } from '../session/context'
import { edit } from '../session/store'
import { Button } from '../ui/button'
import { EyeSign, FaultSign } from '../ui/fault-sign'
import { ExcuseButton } from './excuse-button'
import { FocusOrder } from './focus-order'
import { useAccess } from './use-access'
import { PartHead } from './part-head'

type Found = Finding & { fault: boolean }

/** What keeps who cannot see, hear or point from the page, in each state that a press makes, and the way of the focus. */
export function AccessPart({
  findings,
  page,
  onShow,
}: {
  findings: readonly PageFinding[]
  page: Page
  onShow: (at: Shown) => void
}) {
  const { reads, share, problem } = useAccess()
  const { excuses, language } = useSession((state) => state.session.site)
  const all = useMemo((): Found[] => {
    const blocks = new Map([...walkPage(page)].map((one) => [one.id, one]))
    return [...findings.filter(isAboutAccess), ...(reads ? accessFindings(reads, blocks, language) : [])]
  }, [findings, reads, page, language])
  const excused = all.filter((one) => excuseOf(excuses, page.id, one))
  const open = all.filter((one) => !excused.includes(one))
  const faults = open.filter((one) => one.fault)
  const others = open.filter((one) => !one.fault)
  const states = reads ? Math.max(0, ...reads.map((one) => one.of - 1)) : 0
  return (
    <section className="px-5 py-3" aria-labelledby="access-title">
      <PartHead id="access-title" number={3} title="Access">
        <span
          role="status"
          className="ml-auto text-label text-ink-2"
          data-accessed={share === 1 && reads ? faults.length : undefined}
        >
          {problem !== ''
            ? problem
            : share < 1 || !reads
              ? `Looking at the page and what opens in it, ${Math.round(share * 100)} %`
              : `${faults.length === 0 ? 'no faults' : `${faults.length} to mend`}${others.length > 0 ? `, ${others.length} for your eye` : ''}; ${reads.length} views, ${states} presses`}
        </span>
      </PartHead>
      {reads && faults.length === 0 && (
        <p className="flex items-center gap-2 text-ink-2">
          <span aria-hidden className="h-2 w-2 rounded-full bg-reed" /> The rules of axe find nothing grave, in no state; the focus
          can be seen all the way.
        </p>
      )}
      <List label="To mend" found={faults} page={page} onShow={onShow} />
      {others.length > 0 && <h3 className="mb-1 mt-3 text-label font-semibold">For your eye: {others.length}</h3>}
      <List label="For your eye" found={others} page={page} onShow={onShow} />
      {excused.length > 0 && <h3 className="mb-1 mt-3 text-label font-semibold">Not faults here: {excused.length}</h3>}
      <List label="Not faults here" found={excused} page={page} onShow={onShow} />
      {reads && <FocusOrder reads={reads} page={page} onShow={onShow} />}
    </section>
  )
}

/** A block that is shown at a width, and the way of the focus over it. */
export type Shown = { block: string | null; width: number; order?: readonly { box: Box }[] }
type Box = { left: number; top: number; width: number; height: number }

type ListProps = { label: string; found: readonly Found[]; page: Page; onShow: (at: Shown) => void }

function List({ label, found, page, onShow }: ListProps) {
  const store = useSessionStore()
  const excuses = useSession((state) => state.session.site.excuses)
  const { siteId } = store.getState()
  if (found.length === 0) return null
  return (
    <ul aria-label={label}>
      {found.map((one, n) => {
        const excuse = excuseOf(excuses, page.id, one)
        const { block, ranges } = one
        return (
          <li key={n} className="grid grid-cols-[16px_1fr] gap-1 border-t border-line py-1.5" data-finding={one.kind}>
            {one.fault && !excuse ? <FaultSign className="mt-1" /> : <EyeSign className="mt-2" />}
            <div>
              {block ? (
                <button
                  type="button"
                  className="text-left font-semibold hover:underline"
                  onClick={() => onShow({ block, width: ranges?.[0]?.from ?? 1280 })}
                >
                  {one.sentence}
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
