import { useEffect, useMemo, useState } from 'react'
import { beyond, firstLoad, secondsOf, SLOW, type ViewWeight, weightFindings } from '#core/analysis/first-load'
import { USUAL_BUDGET } from '#core/site/launch'
import type { Page } from '#core/site/schema'
import { kilobytes } from '#core/values/weight'
import { useSession, useSessionStore } from '../session/context'
import { ask } from '../ui/ask'
import { FaultSign } from '../ui/fault-sign'
import { NumberField } from '../ui/number-field'
import { FindingLists, type Shown } from './finding-lists'
import { setLaunch } from './set-launch'
import { PartHead } from './part-head'

type Weighed = { weights: ViewWeight[] } | { problem: string } | null

const PARTS = [
  { name: 'HTML', of: (one: ViewWeight) => one.html },
  { name: 'CSS', of: (one: ViewWeight) => one.css },
  { name: 'Script', of: (one: ViewWeight) => one.script },
  { name: 'Fonts', of: (one: ViewWeight) => one.fonts },
  { name: 'Pictures', of: (one: ViewWeight) => one.taken - one.later },
] as const

/** What the page weighs at each view on its first load, against a budget that the designer sets, and how long it takes on a slow connection. */
export function WeightPart({ page, onShow }: { page: Page; onShow: (at: Shown) => void }) {
  const store = useSessionStore()
  const { siteId } = store.getState()
  const saved = useSession((state) => state.session.pending.length === 0)
  const revision = useSession((state) => state.session.revision)
  const site = useSession((state) => state.session.site)
  const budget = site.launch?.budget ?? USUAL_BUDGET
  const [weighed, setWeighed] = useState<Weighed>(null)
  useEffect(() => {
    // What is weighed is what the server would export, so it waits until all is there.
    if (!saved) return
    const giveUp = new AbortController()
    void (async () => {
      const answer = await ask<ViewWeight[]>('The page was not weighed', `/sites/${siteId}/export/weights`, {
        method: 'POST',
        signal: giveUp.signal,
      })
      if (!giveUp.signal.aborted) setWeighed('problem' in answer ? answer : { weights: answer })
    })()
    return () => giveUp.abort()
  }, [saved, revision, siteId])
  const shown = useMemo(
    () => (weighed && 'weights' in weighed ? weighed.weights.filter((one) => one.page === page.id) : []),
    [weighed, page.id],
  )
  const over = shown.filter((one) => beyond(firstLoad(one), budget) !== undefined)
  const found = useMemo(() => weightFindings(site, page.id, shown), [site, page.id, shown])
  return (
    <section className="px-5 py-3" aria-labelledby="weight-title">
      <PartHead id="weight-title" number={5} title="Weight">
        <span className="ml-auto text-label text-ink-2" role="status" data-weighed={shown.length || undefined}>
          {weighed === null
            ? 'Making the pictures and weighing'
            : 'problem' in weighed
              ? weighed.problem
              : over.length === 0
                ? 'within the budget in every view'
                : `beyond the budget in ${over.length} of ${shown.length}`}
        </span>
      </PartHead>
      <div className="mb-3 flex items-center gap-3">
        <span className="text-label text-ink-2">A first load may take</span>
        <NumberField
          className="w-24"
          label="Kilobytes that a first load may take"
          unit="kB"
          value={Math.round(budget.bytes / 1024)}
          least={10}
          most={97_000}
          onChange={(value) => setLaunch(store, { budget: { ...budget, bytes: value * 1024 } })}
        />
        <span className="text-label text-ink-2">and</span>
        <NumberField
          className="w-20"
          label="Seconds that a first load may take on a slow connection"
          unit="s"
          value={budget.seconds}
          least={0.5}
          most={60}
          onChange={(seconds) => setLaunch(store, { budget: { ...budget, seconds } })}
        />
        <span className="text-label text-ink-2">on a slow connection.</span>
      </div>
      {shown.length > 0 && (
        <table className="w-full" aria-label="Weight of a first load in each view">
          <thead>
            <tr className="text-label text-ink-2">
              <th className="text-left font-normal">View</th>
              {PARTS.map(({ name }) => (
                <th key={name} className="text-right font-normal">
                  {name}
                </th>
              ))}
              <th className="text-right font-normal">Together</th>
              <th className="text-right font-normal">Slow</th>
              <th className="text-right font-normal" title="Pictures that wait until they are scrolled to">
                Later
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((one) => {
              const bytes = firstLoad(one)
              const problem = beyond(bytes, budget)
              return (
                <tr
                  key={`${one.width} ${one.density}`}
                  className="border-t border-line"
                  data-view={`${one.width} ${one.density}`}
                  title={problem}
                >
                  <td className="py-1">
                    <span className="figure bg-ink px-1.5 py-px text-on-ink">{one.width}</span>
                    <span className="figure ml-1.5 text-muted">{one.density}x</span>
                  </td>
                  {PARTS.map(({ name, of }) => (
                    <td key={name} className="figure text-right">
                      {Math.round(of(one) / 1024)}
                    </td>
                  ))}
                  <td className={`figure text-right font-semibold ${problem ? 'text-rust' : ''}`}>
                    {problem && <FaultSign className="mr-1 inline" />}
                    {kilobytes(bytes)}
                  </td>
                  <td className="figure text-right">{secondsOf(bytes).toFixed(1)} s</td>
                  <td className="figure text-right text-muted">{kilobytes(one.later)}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
      <div className="mt-3">
        <FindingLists found={found} page={page} onShow={onShow} />
      </div>
      <p className="mt-3 text-label text-muted">
        Texts are weighed as servers send them, packed; fonts are those that the page is set in, cut to the signs of the site. Slow
        is {SLOW.bits / 1_000_000} Mbit/s with {SLOW.trip * 1000} ms there and back; the time is worked out, not measured.
      </p>
    </section>
  )
}
