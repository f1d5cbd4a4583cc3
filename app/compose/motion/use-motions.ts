import { ofWidths } from '#core/style/registry'
import type { Block } from '#core/blocks/index'
import { rangeAt } from '#core/grid/columns'
import { type Motion, motionsIn } from '#core/motion/motion'
import { rangeOf, valueInScope } from '#core/style/cascade'
import { currentOf, overlaid } from '#core/site/directions'
import { useSession, useSessionStore } from '../../session/context'
import { useAfterPaint } from '../../ui/lagging'
import { setMotions } from './set-motion'
import { type MovingView, useMoving } from './use-moving'

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

export type MotionsAccess = ReturnType<typeof useMotions>

/** The open views of the range that is edited and of those narrower, a frame after they are painted; none where nothing is asked. */
export function useMovingViews(asked: boolean): MovingView[] {
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const scope = useSession((state) => state.scope)
  const layout = useAfterPaint(useSession((state) => state.layout))
  const { open } = useMoving(layout)
  if (!asked) return []
  const range = rangeOf(breakpoints, scope)
  return open().filter(({ view }) => typeof scope !== 'object' || rangeAt(breakpoints, view.width) >= range)
}
