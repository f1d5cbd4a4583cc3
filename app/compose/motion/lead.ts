import { rangeAt } from '#core/grid/columns'
import { rangeOf } from '#core/style/cascade'
import type { Frames, StageView } from '../../live/frames'
import { openViews } from '../../session/desk'
import type { SessionState } from '../../session/store'

/** The view that the scroll ruler counts in: the widest of the range that is edited, or else the first that is open. */
export function leadView(frames: Frames, state: SessionState): StageView | undefined {
  const open = openViews(state).flatMap((index) => frames.get(index) ?? [])
  const { breakpoints } = state.session.site
  const range = rangeOf(breakpoints, state.scope)
  return open.find((view) => rangeAt(breakpoints, view.width) === range) ?? open[0]
}
