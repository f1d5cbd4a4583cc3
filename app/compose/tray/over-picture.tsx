import { ofWidths } from '#core/style/registry'
import { useEffect, useMemo, useState } from 'react'
import { findBlock, type Place } from '#core/site/tree'
import { Finding } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { useFrames } from '../../live/frames'
import { useSession, useSessionStore } from '../../session/context'
import { editAll } from '../../session/store'
import { useRested } from '../../ui/lagging'
import { type LegibilityRepair, legibilityRepairs } from '../legibility-repairs'
import { measureOver, type OverPicture } from '../../live/words-over'

/** How words over pictures and gradients can be read in each view, where they are read worst, and what mends it. */
export function OverPictureFindings({ place, style }: { place: Place; style: StyleAccess }) {
  const store = useSessionStore()
  const frames = useFrames()
  const heat = useSession((state) => state.heat)
  const site = useSession((state) => state.session.site)
  const layout = useRested(
    useSession((state) => state.layout),
    200,
  )
  const [found, setFound] = useState<OverPicture[]>([])
  const { id } = place.block
  useEffect(() => {
    let gone = false
    // Each edit lays the views out anew, so what is measured follows the layouts alone; what is only tried is not measured.
    const { session, tried } = store.getState()
    if (tried) return undefined
    const stands = findBlock(session.site, id)
    const measuring = stands
      ? [...frames.values()].map((view) => measureOver(session.site, stands, view).catch(() => undefined))
      : []
    void Promise.all(measuring).then((all) => {
      if (gone) return
      const measured = all.filter((one) => one !== undefined)
      setFound(measured)
      store.setState({
        worstPatches: measured
          .filter((one) => one.measured.found.worst.ratio < one.needed)
          .map((one) => ({ view: one.view, block: id, box: one.worst })),
      })
    })
    return () => {
      gone = true
    }
  }, [frames, id, layout, store])
  useEffect(() => () => store.setState({ worstPatches: [], tried: null, heat: false }), [store])
  const scope = ofWidths(style.scope)
  const repairs = useMemo(() => legibilityRepairs(site, place, scope, found), [site, place, scope, found])
  const [worst] = [...found].sort((a, b) => ratioIn(a) - ratioIn(b))
  if (!worst) return null
  const { found: legibility } = worst.measured
  const well = legibility.worst.ratio >= worst.needed
  return (
    <Finding well={well}>
      Over the picture {legibility.worst.ratio.toFixed(1)} : 1 at its worst, at {worst.width}
      {well ? '' : ', where it is marked'}; {legibility.fifth.toFixed(1)} in 95 of 100 patches, {legibility.mean.toFixed(1)} on the
      whole. {!well && `${worst.needed} : 1 is needed (WCAG 2.2, 1.4.3). `}
      {!well && repairs.length === 0 && 'Nothing that was tried is enough under this ink: choose another picture or place.'}
      <span className="flex flex-wrap gap-x-3">
        {repairs.map((repair) => (
          <Repair key={repair.label} repair={repair} />
        ))}
        <button
          type="button"
          aria-pressed={heat}
          className="min-h-6 text-ink-2 underline aria-pressed:font-semibold"
          title="Shows over the views where these words could be read, and where not"
          onClick={() => store.setState({ heat: !heat })}
        >
          {heat ? 'Hide the heat' : 'Where could they stand?'}
        </button>
      </span>
    </Finding>
  )
}

const ratioIn = (one: OverPicture) => one.measured.found.worst.ratio / one.needed

/** A repair: the views show it while it is pointed at or has the focus, and a press takes it. */
function Repair({ repair }: { repair: LegibilityRepair }) {
  const store = useSessionStore()
  const show = () => store.setState({ tried: repair.edits })
  const hide = () => store.setState({ tried: null })
  return (
    <button
      type="button"
      className="min-h-6 underline"
      onPointerEnter={show}
      onPointerLeave={hide}
      onFocus={show}
      onBlur={hide}
      onClick={() => {
        hide()
        editAll(store, repair.label, repair.edits)
      }}
    >
      {repair.label}
    </button>
  )
}
