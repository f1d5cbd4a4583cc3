import { useState } from 'react'
import { pairsOn } from '#core/analysis/contrast'
import { currentOf, inDirection } from '#core/site/directions'
import { useSessionStore, useSession } from '../session/context'
import { edit, pageOf } from '../session/store'
import { LivePage } from '../live/live-page'
import { Button } from '../ui/button'
import { Toggle } from './part'
import { useShown } from './shown'

const MOST = 6
const LEAST = 2

/** The same page in two to six directions side by side, scrolling together. */
export function Comparison() {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const { vision } = useShown()
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set())
  const [width, setWidth] = useState(site.views[0]!)
  const [top, setTop] = useState<number>()
  const shown = site.directions.filter((one) => !hidden.has(one.id)).slice(0, MOST)
  const current = currentOf(site).id
  if (site.directions.length < LEAST)
    return (
      <p className="p-8 text-ink-2">
        There is one direction. Duplicate it with the arrow beside its name, change the copy, and both stand here side by side.
      </p>
    )
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex h-9 shrink-0 items-center gap-1 px-3" role="group" aria-label="What is compared">
        {site.directions.map((one) => {
          const isShown = shown.includes(one)
          return (
            <Toggle
              key={one.id}
              label={one.name}
              pressed={isShown}
              onPress={() => {
                if (isShown && shown.length <= LEAST) return
                const next = new Set(hidden)
                if (isShown) next.add(one.id)
                else next.delete(one.id)
                setHidden(next)
              }}
            />
          )
        })}
        <span className="mx-1 h-4 border-l border-line-strong" />
        {site.views.map((one) => (
          <Toggle key={one} label={`${one} px`} pressed={width === one} onPress={() => setWidth(one)}>
            <span className="figure">{one}</span>
          </Toggle>
        ))}
      </div>
      <div className="flex min-h-0 flex-1 gap-3 px-3 pb-3">
        {shown.map((direction) => {
          const { pairs } = pairsOn(inDirection(site, direction.id), page)
          const short = pairs.filter((one) => one.ratio < one.needed).length
          return (
            <figure key={direction.id} className="flex min-w-0 flex-1 flex-col" data-compared={direction.name}>
              <figcaption className="flex h-9 shrink-0 items-center gap-2">
                <span className="truncate font-semibold">{direction.name}</span>
                <span className={`truncate text-label ${short > 0 ? 'text-rust' : 'text-ink-2'}`}>
                  {short === 0 ? `${pairs.length} pairs pass` : `${short} of ${pairs.length} pairs fall short`}
                </span>
                <span className="flex-1" />
                {direction.id === current ? (
                  <span className="text-label text-ink-2">current</span>
                ) : (
                  <Button className="!h-[26px]" onClick={() => edit(store, { kind: 'direction-current', direction: direction.id })}>
                    Make current
                  </Button>
                )}
              </figcaption>
              {direction.note !== '' && shown.length <= 3 && (
                <p className="mb-1.5 line-clamp-1 text-label text-ink-2">{direction.note}</p>
              )}
              <div className="min-h-0 flex-1">
                <LivePage
                  width={width}
                  direction={direction.id}
                  filter={vision ? `url(#seen-with-${vision})` : undefined}
                  label={`${direction.name} at ${width} px`}
                  onScroll={setTop}
                  scrolledTo={top}
                />
              </div>
            </figure>
          )
        })}
      </div>
    </div>
  )
}
