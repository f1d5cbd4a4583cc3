import { Link } from 'react-router'
import type { PageFinding } from '#core/analysis/checks/index'
import { FaultSign } from './fault-sign'

type LaunchListProps = {
  siteId: string
  findings: readonly PageFinding[]
  /** What the page of a finding is called, where several pages are listed. */
  nameOf?: ((page: string) => string | undefined) | undefined
}

/** What is missing before a page is handed over, each with the way to its block; or that nothing is. */
export function LaunchList({ siteId, findings, nameOf }: LaunchListProps) {
  if (findings.length === 0)
    return (
      <p className="flex items-center gap-2 text-ink-2">
        <span aria-hidden className="h-2 w-2 rounded-full bg-reed" /> Titles, headings, slots, pictures, links and forms are all in
        order.
      </p>
    )
  return (
    <ul>
      {findings.map((one, n) => (
        <li key={n} className="grid grid-cols-[16px_1fr_auto] gap-1 border-t border-line py-1.5">
          <FaultSign className="mt-1" />
          <span>
            {one.sentence} {nameOf && <span className="text-muted">{nameOf(one.page)}</span>}
          </span>
          <Link
            className="inline-flex min-h-6 items-center underline"
            to={`/sites/${siteId}/pages/${one.page}/compose${one.block ? `#${one.block}` : ''}`}
          >
            Show
          </Link>
        </li>
      ))}
    </ul>
  )
}
