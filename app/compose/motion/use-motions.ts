import { ofWidths } from '#core/style/registry'
import type { Block } from '#core/blocks/index'
import { rangeAt } from '#core/grid/columns'
import { type Motion, motionsIn } from '#core/motion/motion'
import { rangeOf, valueInScope } from '#core/style/cascade'
import { currentOf, overlaid } from '#core/site/directions'
import { type StageView, useFrames } from '../../live/frames'
import { openViews } from '../../session/desk'
import { useSession, useSessionStore } from '../../session/context'
import { pageOf } from '../../session/store'
import { useShownSite } from '../../session/tried'
import { type Moving, movingIn } from '../../live/moving'
import { setMotions } from './set-motion'

/** The motions of a block in the range that is edited, the one that is chosen, and what changes them. */
export function useMotions(block: Block) {
  const store = useSessionStore()
  const scope = useSession((state) => state.scope)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const over = useSession((state) => currentOf(state.session.site).restyled[block.id])
  const chosen = useSession((state) => state.motionAt)
  const style = over ? overlaid(block.style, over) : block.style
  const motions = motionsIn(valueInScope(style, 'motion', breakpoints, ofWidths(scope)))
  const at = Math.min(chosen, motions.length - 1)
  const motion = motions[at]
  const set = (next: readonly Motion[], gesture?: string) => setMotions(store, block, next, gesture)
  return {
    motions,
    at,
    motion,
    set,
    change: (next: Motion, gesture?: string) =>
      set(
        motions.map((one, i) => (i === at ? next : one)),
        gesture,
      ),
    choose: (motionAt: number) => store.setState({ motionAt }),
  }
}

export type Motions = ReturnType<typeof useMotions>

/** The open views of the range that is edited, and what moves in them; all that are open where no motion differs. */
export function useMovingViews(): { view: StageView; moving: Moving }[] {
  const store = useSessionStore()
  const frames = useFrames()
  const site = useShownSite()
  const page = useSession(pageOf)
  const layout = useSession((state) => state.layout)
  const scope = useSession((state) => state.scope)
  const open = openViews(store.getState()).flatMap((index) => frames.get(index) ?? [])
  const range = rangeOf(site.breakpoints, scope)
  const shown = typeof scope === 'object' ? open.filter((view) => rangeAt(site.breakpoints, view.width) >= range) : open
  return shown.map((view) => ({ view, moving: movingIn(view, site, page, layout) }))
}
