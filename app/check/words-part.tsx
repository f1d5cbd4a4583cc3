import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { rangesInWords } from '#core/analysis/finding'
import { calledFirst } from '#core/blocks/called'
import type { Page, Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { sweepWords, type WordsOver } from '../live/sweep-words'
import { useSessionStore } from '../session/context'
import { FaultSign } from '../ui/fault-sign'
import type { Shown } from './access-part'
import { PartHead } from './part-head'

/** All words of the page that stand over pictures and gradients, at every width: how they can be read where it is worst. */
export function WordsPart({ site, page, onShow }: { site: Site; page: Page; onShow: (at: Shown) => void }) {
  const { siteId } = useSessionStore().getState()
  const [found, setFound] = useState<WordsOver[] | null>(null)
  const [share, setShare] = useState(0)
  useEffect(() => {
    const giveUp = new AbortController()
    setShare(0)
    void sweepWords(site, page, { signal: giveUp.signal, onProgress: setShare }).then((all) => {
      if (all && !giveUp.signal.aborted) setFound(all)
    })
    return () => giveUp.abort()
  }, [site, page])
  const faults = found?.filter((one) => one.ranges.length > 0).length ?? 0
  return (
    <section className="px-5 py-3" aria-labelledby="words-title">
      <PartHead id="words-title" number={2} title="Words over pictures">
        <span role="status" className="ml-auto text-label text-ink-2" data-over={share === 1 && found ? faults : undefined}>
          {share < 1 || !found
            ? `Measuring at every width, ${Math.round(share * 100)} %`
            : found.length === 0
              ? 'no words stand over pictures'
              : `${found.length} texts, ${faults === 0 ? 'all can be read' : `${faults} cannot be read at some widths`}`}
        </span>
      </PartHead>
      <ul aria-label="Words over pictures">
        {(found ?? []).map(({ block, ratio, needed, worst, ranges }) => {
          const stands = findBlock(site, block)
          return (
            stands && (
              <li key={block} className="grid grid-cols-[16px_1fr_auto_auto] items-baseline gap-x-3 border-t border-line py-1.5">
                {ranges.length > 0 ? <FaultSign /> : <span aria-hidden className="h-2 w-2 rounded-full bg-reed" />}
                <span>
                  <button
                    type="button"
                    className="text-left font-semibold hover:underline"
                    onClick={() => onShow({ block, width: worst })}
                  >
                    {calledFirst(stands, site.language)}
                  </button>
                  {ranges.length > 0 && <span className="ml-2 text-label text-ink-2">too little at {rangesInWords(ranges)}</span>}
                </span>
                <span className="figure text-ink-2" data-ratio={ratio.toFixed(2)}>
                  {ratio.toFixed(1)} of {needed} : 1 at {worst} px
                </span>
                <Link
                  className="inline-flex min-h-6 items-center underline"
                  to={`/sites/${siteId}/pages/${page.id}/compose#${block}`}
                >
                  Show in Compose
                </Link>
              </li>
            )
          )
        })}
      </ul>
      <p className="mt-3 text-label text-muted">
        Each is the worst patch of half a letter’s width, at rest. Select the words in Compose for what would mend them.
      </p>
    </section>
  )
}
