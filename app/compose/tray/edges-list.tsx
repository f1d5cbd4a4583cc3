import { useState } from 'react'
import { rangeAt } from '#core/grid/columns'
import type { Place } from '#core/site/tree'
import { useFrames } from '../../live/frames'
import { useSession } from '../../session/context'
import { edgeInWords } from '../edge-causes'

const EDGES = ['left', 'right', 'top', 'bottom'] as const

/** Why each edge of a block is where it is, in the view of the range that is edited: folded until it is asked for. */
export function EdgesList({ place, range }: { place: Place; range: number }) {
  const [open, setOpen] = useState(false)
  return (
    <details className="mt-1.5 text-label text-ink-2" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer underline">Why it stands here</summary>
      {open && <Edges place={place} range={range} />}
    </details>
  )
}

function Edges({ place, range }: { place: Place; range: number }) {
  const frames = useFrames()
  const site = useSession((state) => state.session.site)
  useSession((state) => state.layout)
  const view = [...frames.values()].find((one) => rangeAt(site.breakpoints, one.width) === range)
  if (!view) return <p>No view shows this range of widths.</p>
  return (
    <dl className="grid grid-cols-[52px_1fr] gap-y-0.5">
      {EDGES.map((edge) => (
        <div key={edge} className="contents">
          <dt className="capitalize">{edge}</dt>
          <dd className="figure">{edgeInWords(site, place, view, edge) ?? 'not shown'}</dd>
        </div>
      ))}
    </dl>
  )
}
