import { Link } from 'react-router'
import type { PageFinding } from '#core/analysis/checks/index'
import { useSessionStore } from '../session/context'

/** What is missing on the page before it is handed over. */
export function LaunchPart({ findings }: { findings: readonly PageFinding[] }) {
  const { siteId } = useSessionStore().getState()
  return (
    <section className="py-3" aria-labelledby="launch-title">
      <header className="mb-2 flex items-baseline gap-3 px-5">
        <span className="figure text-muted">2</span>
        <h2 id="launch-title" className="text-[14px] font-semibold">
          Before launch
        </h2>
        <span className="ml-auto text-label text-ink-2">
          {findings.length === 0 ? 'nothing is missing' : `${findings.length} to mend`}
        </span>
      </header>
      {findings.length === 0 && (
        <p className="flex items-center gap-2 px-5 text-ink-2">
          <span aria-hidden className="h-2 w-2 rounded-full bg-reed" /> Title, headings, slots, pictures, links and forms are all in
          order.
        </p>
      )}
      <ul>
        {findings.map((one, n) => (
          <li key={n} className="grid grid-cols-[16px_1fr_auto] items-baseline gap-x-2 border-t border-line px-5 py-1.5">
            <svg aria-hidden width="10" height="10" viewBox="0 0 10 10">
              <path d="M5 0l5 9H0z" fill="#A8401F" />
            </svg>
            <span>{one.sentence}</span>
            <Link
              className="inline-flex min-h-6 items-center underline"
              to={`/sites/${siteId}/pages/${one.page}/compose${one.block ? `#${one.block}` : ''}`}
            >
              Show
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
