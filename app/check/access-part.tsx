import { useMemo } from 'react'
import { accessFindings } from '#core/analysis/access'
import { isAboutAccess, type PageFinding } from '#core/analysis/checks/index'
import { type Finding, sorted } from '#core/analysis/finding'
import type { Page } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { useSession } from '../session/context'
import { useNoted } from '../session/looked'
import { FindingLists, type Shown } from './finding-lists'
import { FocusOrder } from './focus-order'
import { useAccess } from './use-access'
import { PartHead } from './part-head'

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
  const all = useMemo((): (Finding & { fault: boolean })[] => {
    const blocks = new Map([...walkPage(page)].map((one) => [one.id, one]))
    return [...findings.filter(isAboutAccess), ...(reads ? accessFindings(reads, blocks, language) : [])]
  }, [findings, reads, page, language])
  const { faults, others } = sorted(all, excuses, page.id)
  useNoted('access', share === 1 && reads ? faults.length : undefined)
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
      <FindingLists found={all} page={page} onShow={onShow} />
      {reads && <FocusOrder reads={reads} page={page} onShow={onShow} />}
    </section>
  )
}
