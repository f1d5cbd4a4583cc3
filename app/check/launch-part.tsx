import type { PageFinding } from '#core/analysis/checks/index'
import { useSessionStore } from '../session/context'
import { LaunchList } from '../ui/launch-list'

/** What is missing on the page before it is handed over. */
export function LaunchPart({ findings }: { findings: readonly PageFinding[] }) {
  const { siteId } = useSessionStore().getState()
  return (
    <section className="px-5 py-3" aria-labelledby="launch-title">
      <header className="mb-2 flex items-baseline gap-3">
        <span className="figure text-muted">2</span>
        <h2 id="launch-title" className="text-[14px] font-semibold">
          Before launch
        </h2>
        <span className="ml-auto text-label text-ink-2">
          {findings.length === 0 ? 'nothing is missing' : `${findings.length} to mend`}
        </span>
      </header>
      <LaunchList siteId={siteId} findings={findings} />
    </section>
  )
}
