import { useFrames } from '../../live/frames'
import { type Moving, movingIn } from '../../live/moving'
import type { StageView } from '../../live/frames'
import { openViews } from '../../session/desk'
import { useSession, useSessionStore } from '../../session/context'
import { pageOf } from '../../session/store'
import { useShownSite } from '../../session/tried'

/** A view, and all that moves in it. */
export type MovingView = { view: StageView; moving: Moving }

/** Gives what moves in the open views of a layout. @param layout the newest one, or one that may be a frame late */
export function useMoving(layout: number): { open: () => MovingView[]; of: (view: StageView) => Moving } {
  const store = useSessionStore()
  const frames = useFrames()
  const site = useShownSite()
  const page = useSession(pageOf)
  const of = (view: StageView) => movingIn(view, site, page, layout)
  return {
    of,
    open: () =>
      openViews(store.getState())
        .flatMap((index) => frames.get(index) ?? [])
        .map((view) => ({ view, moving: of(view) })),
  }
}
