import { useEffect, useMemo, useRef, useState } from 'react'
import { sorted } from '#core/analysis/finding'
import { calledFirst } from '#core/blocks/called'
import { overFindings, type WordsOver } from '#core/analysis/words-over'
import type { Page, Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { sweepWords } from '../live/sweep/words'
import { useNoted } from '../session/looked'
import { FindingLists, type Shown } from './finding-lists'
import { PartHead } from './part-head'

/** All words of the page that stand over pictures and gradients, at every width and along all that moves: how they are read at the worst. */
export function WordsPart({ site, page, onShow }: { site: Site; page: Page; onShow: (at: Shown) => void }) {
  const [found, setFound] = useState<WordsOver[] | null>(null)
  const [share, setShare] = useState(0)
  const [problem, setProblem] = useState('')
  // What is excused, or said of the site elsewhere, changes nothing that is measured.
  const { guide, directions, breakpoints, views, pictures, fonts, shared, language } = site
  const latest = useRef(site)
  latest.current = site
  useEffect(() => {
    const giveUp = new AbortController()
    setShare(0)
    setProblem('')
    sweepWords(latest.current, page, { signal: giveUp.signal, onProgress: setShare }).then(
      (all) => all && !giveUp.signal.aborted && setFound(all),
      (error: unknown) =>
        !giveUp.signal.aborted &&
        setProblem(`The words were not measured: ${error instanceof Error ? error.message : 'it did not work'}.`),
    )
    return () => giveUp.abort()
  }, [page, guide, directions, breakpoints, views, pictures, fonts, shared, language])
  const findings = useMemo(() => overFindings(site, page, found ?? []), [site, page, found])
  const well = (found ?? []).filter((one) => one.ranges.length === 0)
  const faults = sorted(findings, site.excuses, page.id).faults.length
  useNoted('words', share === 1 && found ? faults : undefined)
  return (
    <section className="px-5 py-3" aria-labelledby="words-title">
      <PartHead id="words-title" number={2} title="Words over pictures">
        <span role="status" className="ml-auto text-label text-ink-2" data-over={share === 1 && found ? faults : undefined}>
          {problem !== ''
            ? problem
            : share < 1 || !found
              ? `Measuring at every width, ${Math.round(share * 100)} %`
              : found.length === 0
                ? 'no words stand over pictures'
                : `${found.length} texts, ${faults === 0 ? 'all can be read' : `${faults} cannot be read at some widths`}`}
        </span>
      </PartHead>
      <FindingLists found={findings} page={page} onShow={onShow} />
      {well.length > 0 && <h3 className="mb-1 mt-3 text-label font-semibold">Can be read: {well.length}</h3>}
      <ul aria-label="Can be read">
        {well.map(({ block, ratio, needed, worst, scroll }) => {
          const stands = findBlock(site, block)
          return (
            stands && (
              <li key={block} className="grid grid-cols-[16px_1fr_auto] items-baseline gap-x-1 border-t border-line py-1.5">
                <span aria-hidden className="h-2 w-2 rounded-full bg-reed" />
                <button
                  type="button"
                  className="justify-self-start text-left font-semibold hover:underline"
                  onClick={() => onShow({ block, width: worst })}
                >
                  {calledFirst(stands, site.language)}
                </button>
                <span className="figure text-ink-2" data-ratio={ratio.toFixed(2)}>
                  {ratio.toFixed(1)} of {needed} : 1 at {worst} px{scroll === undefined ? '' : `, ${scroll} px down`}
                </span>
              </li>
            )
          )
        })}
      </ul>
      <p className="mt-3 text-label text-muted">
        Each is the worst patch of half a letter’s width, at rest and along all that moves with the scroll, where it is not fading.
        Select the words in Compose for what would mend them.
      </p>
    </section>
  )
}
