import { useEffect, useState } from 'react'
import { currentOf } from '#core/site/directions'
import { findBlock, type Place } from '#core/site/tree'
import type { StyleValues } from '#core/style/registry'
import { Finding } from '../../fields/row'
import type { StyleAccess } from '../../fields/use-style'
import { useFrames } from '../../live/frames'
import { useSession, useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { useRested } from '../../ui/lagging'
import { measureOver, type OverPicture } from '../words-over'

const FROM: Record<number, string> = { 90: 'left', 270: 'right', 180: 'top', 0: 'bottom' }

/** How words over a picture can be read in each view, where they are read worst, and the least scrims that mend it. */
export function OverPictureFindings({ place, style }: { place: Place; style: StyleAccess }) {
  const store = useSessionStore()
  const frames = useFrames()
  const site = useSession((state) => state.session.site)
  const layout = useRested(
    useSession((state) => state.layout),
    200,
  )
  const [found, setFound] = useState<OverPicture[]>([])
  const { id } = place.block
  useEffect(() => {
    let gone = false
    // Each edit lays the views out anew, so what is measured follows the layouts alone.
    const now = store.getState().session.site
    const stands = findBlock(now, id)
    const measuring = stands ? [...frames.values()].map((view) => measureOver(now, stands, view).catch(() => undefined)) : []
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
  useEffect(() => () => store.setState({ worstPatches: [] }), [store])
  const [worst] = [...found].sort((a, b) => ratioIn(a) - ratioIn(b))
  if (!worst) return null
  const { found: legibility } = worst.measured
  const fails = found.filter((one) => one.measured.found.worst.ratio < one.needed)
  const strongest = (name: 'even' | 'sided') => {
    const all = fails.map((one) => one.measured[name])
    return all.every((one) => one !== undefined) ? Math.max(...all) : undefined
  }
  const [even, sided] = [strongest('even'), strongest('sided')]
  const alone = currentOf(site).restyled[worst.picture] ? { direction: currentOf(site).id } : {}
  const set = (scrim: StyleValues['scrim']) =>
    edit(store, {
      kind: 'style',
      block: worst.picture,
      scope: style.scope === 'hover' ? 'base' : style.scope,
      values: { scrim },
      ...alone,
    })
  const percent = (share: number) => Math.round(share * 100)
  return (
    <Finding well={fails.length === 0}>
      Over the picture {legibility.worst.ratio.toFixed(1)} : 1 at its worst, at {worst.width}
      {fails.length > 0 ? ', where it is marked' : ''}; {legibility.fifth.toFixed(1)} in 95 of 100 patches,{' '}
      {legibility.mean.toFixed(1)} on the whole. {fails.length > 0 && `${worst.needed} : 1 is needed (WCAG 2.2, 1.4.3). `}
      {fails.length > 0 && even === undefined && 'No scrim under this ink reaches it: choose another ink.'}
      {fails.length > 0 && even !== undefined && (
        <button
          type="button"
          className="mr-3 min-h-6 underline"
          onClick={() => set({ colour: worst.scrim, from: even, to: even, angle: worst.angle })}
        >
          Even scrim of {percent(even)} %
        </button>
      )}
      {fails.length > 0 && sided !== undefined && (
        <button
          type="button"
          className="min-h-6 underline"
          onClick={() => set({ colour: worst.scrim, from: sided, to: 0, angle: worst.angle })}
        >
          Scrim from the {FROM[worst.angle]}, {percent(sided)} %
        </button>
      )}
    </Finding>
  )
}

const ratioIn = (one: OverPicture) => one.measured.found.worst.ratio / one.needed
