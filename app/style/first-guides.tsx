import { useMemo, useState } from 'react'
import { firstGuides, type FirstGuide } from '#core/first-guides/first-guides'
import { pairsOn } from '#core/analysis/contrast'
import { isSame } from '#core/values/equal'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import type { Edit } from '#core/edits/index'
import { useSessionStore, useSession } from '../session/context'
import { editAll, makeId, pageOf } from '../session/store'
import { LivePage } from '../live/live-page'
import { Button } from '../ui/button'
import { copyName } from './directions-bar'
import { Toggle } from './part'

/** True while a site has the plain guide that it began with, and no other. */
export const isUnstyled = ({ guide, directions }: Site): boolean => directions.length === 1 && isSame(guide, DEFAULT_GUIDE)

/** Six whole guides to begin with, on the site's own page; one press makes any of them a direction. */
export function FirstGuides({ onTaken }: { onTaken: (direction: string) => void }) {
  const store = useSessionStore()
  const page = useSession(pageOf)
  // Worked out once: they follow from the brief and the board, which do not change here.
  const [guides] = useState(() => firstGuides(store.getState().session.site))
  const site = useSession((state) => state.session.site)
  const [width, setWidth] = useState(site.views[0]!)
  const [top, setTop] = useState<number>()
  const empty = page.sections.length === 0

  const take = ({ name, note, reasons, guide }: FirstGuide) => {
    const now = store.getState().session.site
    const id = makeId()
    const free = now.directions.some((one) => one.name === name) ? copyName(now, name) : name
    const direction = { id, name: free, note: [note, ...reasons].join(' ').slice(0, 4000), mood: [], guide, restyled: {} }
    const edits: Edit[] = [{ kind: 'direction-add', index: now.directions.length, direction }]
    // A site that has no style yet takes it at once.
    if (isUnstyled(now)) edits.push({ kind: 'direction-current', direction: id })
    if (editAll(store, `first guide ${name}`, edits)) onTaken(id)
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex h-9 shrink-0 items-center gap-1 px-3" role="group" aria-label="What is shown">
        <span className="min-w-0 truncate text-label text-ink-2">
          Six guides out of the brief and the board, on {empty ? 'their specimens, since the page is empty' : 'this page'}
        </span>
        <span className="flex-1" />
        {site.views.map((one) => (
          <Toggle key={one} label={`${one} px`} pressed={width === one} onPress={() => setWidth(one)}>
            <span className="figure">{one}</span>
          </Toggle>
        ))}
      </div>
      <ul className="grid min-h-0 flex-1 grid-cols-3 grid-rows-2 gap-x-4 gap-y-3 px-3 pb-3">
        {guides.map((one) => (
          <Plate key={one.id} one={one} width={width} specimen={empty} top={top} onScroll={setTop} onTake={() => take(one)} />
        ))}
      </ul>
    </div>
  )
}

type PlateProps = {
  one: FirstGuide
  width: number
  specimen: boolean
  top: number | undefined
  onScroll: (top: number) => void
  onTake: () => void
}

function Plate({ one, width, specimen, top, onScroll, onTake }: PlateProps) {
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const { guide } = one
  const least = useMemo(() => {
    const { pairs } = pairsOn({ ...site, guide }, page)
    return pairs.length === 0 ? undefined : Math.min(...pairs.map((pair) => pair.ratio))
  }, [site, guide, page])
  return (
    <li className="flex min-h-0 min-w-0 flex-col" data-first-guide={one.name}>
      <div className="flex h-9 shrink-0 items-center gap-2">
        <span className="truncate font-semibold" title={one.name}>
          {one.name}
        </span>
        {least !== undefined && (
          <span className="figure shrink-0 text-ink-2" title="Least contrast of any words on the page">
            {least.toFixed(1)} : 1
          </span>
        )}
        <span className="flex-1" />
        <Button className="!h-[26px]" onClick={onTake}>
          Take<span className="sr-only"> {one.name}</span>
        </Button>
      </div>
      <p className="mb-1 line-clamp-2 min-h-8 text-label text-ink-2" title={[one.note, ...one.reasons].join('\n')}>
        {one.note} {one.reasons[0]}
      </p>
      <div className="min-h-0 flex-1 border border-line-strong">
        <LivePage
          width={width}
          attempt={one}
          specimen={specimen}
          label={`${one.name} at ${width} px`}
          onScroll={onScroll}
          scrolledTo={top}
        />
      </div>
    </li>
  )
}
