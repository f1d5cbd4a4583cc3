import { sorted } from '#core/analysis/finding'
import type { PageFinding } from '#core/analysis/checks/index'
import type { Page, Site } from '#core/site/schema'
import { AllInOrder } from '../ui/launch-list'
import { FindingLists, type Shown } from './finding-lists'
import { LinkPreview } from './link-preview'
import { PageSaid } from './page-said'
import { ResultPreview } from './result-preview'
import { SiteSaid } from './site-said'
import { SpellingPart } from './spelling-part'
import { PartHead } from './part-head'

type LaunchPartProps = { findings: readonly PageFinding[]; site: Site; page: Page; onShow: (at: Shown) => void }

/** What is missing on the page before it is handed over, and what is said of it elsewhere. */
export function LaunchPart({ findings, site, page, onShow }: LaunchPartProps) {
  const all = sorted(findings, site.excuses, page.id)
  const [faults, others] = [all.faults.length, all.others.length]
  const note = faults === 0 ? 'nothing is missing' : `${faults} to mend`
  return (
    <section className="px-5 py-3" aria-labelledby="launch-title">
      <PartHead id="launch-title" number={4} title="Before launch">
        <span className="ml-auto text-label text-ink-2">
          {note}
          {others > 0 ? `, ${others} for your eye` : ''}
        </span>
      </PartHead>
      {faults === 0 && <AllInOrder />}
      <FindingLists found={findings} page={page} onShow={onShow} />
      <h3 className="mb-1 mt-4 border-t border-line-strong pt-2 text-label font-semibold">This page, elsewhere</h3>
      <div className="grid grid-cols-[minmax(0,1fr)_210px] items-start gap-4">
        <div className="grid min-w-0 grid-cols-1 gap-3">
          <ResultPreview />
          <PageSaid />
        </div>
        <LinkPreview />
      </div>
      <h3 className="mb-1 mt-4 border-t border-line-strong pt-2 text-label font-semibold">The site, elsewhere</h3>
      <SiteSaid />
      <div className="mt-4 border-t border-line-strong pt-2">
        <SpellingPart site={site} page={page} />
      </div>
    </section>
  )
}
