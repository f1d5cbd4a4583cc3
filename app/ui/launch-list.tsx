import { Link } from 'react-router'
import type { PageFinding } from '#core/analysis/checks/index'
import { EyeSign, FaultSign } from './fault-sign'

type LaunchListProps = {
  siteId: string
  findings: readonly PageFinding[]
  /** What the page of a finding is called, where several pages are listed. */
  nameOf?: ((page: string) => string | undefined) | undefined
}

/** What is missing before a page is handed over, each with the way to its block, and what is worth a look; or that nothing is. */
export function LaunchList({ siteId, findings, nameOf }: LaunchListProps) {
  const faults = findings.filter((one) => one.fault)
  const others = findings.filter((one) => !one.fault)
  const row = (one: PageFinding, n: number) => (
    <li key={n} className="grid grid-cols-[16px_1fr_auto] gap-1 border-t border-line py-1.5">
      {one.fault ? <FaultSign className="mt-1" /> : <EyeSign className="mt-2" />}
      <span>
        {one.sentence} {nameOf && <span className="text-muted">{nameOf(one.page)}</span>}
      </span>
      {one.block && (
        <Link className="inline-flex min-h-6 items-center underline" to={`/sites/${siteId}/pages/${one.page}/compose#${one.block}`}>
          Show
        </Link>
      )}
    </li>
  )
  return (
    <>
      {faults.length === 0 ? <AllInOrder /> : <ul aria-label="To mend">{faults.map(row)}</ul>}
      {others.length > 0 && (
        <>
          <h3 className="mb-1 mt-3 text-label font-semibold">For your eye: {others.length}</h3>
          <ul aria-label="For your eye">{others.map(row)}</ul>
        </>
      )}
    </>
  )
}

/** What is said where nothing is missing. */
export const AllInOrder = () => (
  <p className="flex items-center gap-2 text-ink-2">
    <span aria-hidden className="h-2 w-2 rounded-full bg-reed" /> Titles, headings, slots, pictures, links and forms are all in
    order.
  </p>
)
