import type { Line, Motion } from '#core/motion/motion'
import { lineAt } from '#core/motion/scene'
import { lineInWords } from '#core/motion/words'
import { type StageView, useFrames } from '../../live/frames'
import { openViews } from '../../session/desk'
import { useSession, useSessionStore } from '../../session/context'
import { pageOf, selected } from '../../session/store'
import { useShownSite } from '../../session/tried'
import { sameIn, screenOf } from './axis'
import { movingIn, type Moving } from '../../live/moving'

/** The lines of the window that a motion asks about. */
function linesOf(motion: Motion | undefined): Line[] {
  if (motion?.kind === 'reveal') return [motion.line]
  return motion?.kind === 'scrub' && motion.range.of !== 'page' ? [motion.range.begins.line, motion.range.ends.line] : []
}

type WindowLinesProps = { lead: StageView; moving: Moving; top: number; left: number }

/** Through all views: the playhead, which is the top of the window, its bottom, and the lines that the chosen motion asks about. */
export function WindowLines({ lead, moving, top, left }: WindowLinesProps) {
  const store = useSessionStore()
  const frames = useFrames()
  const site = useShownSite()
  const page = useSession(pageOf)
  const layout = useSession((state) => state.layout)
  const playhead = useSession((state) => state.playhead)
  const at = useSession((state) => state.motionAt)
  const block = useSession((state) => selected(state)?.block)
  if (playhead === null) return null
  const views = openViews(store.getState()).flatMap((index) => frames.get(index) ?? [])
  return (
    <div aria-hidden className="pointer-events-none absolute left-0 top-0 z-20 h-0 w-full">
      {views.map((view) => {
        const own = movingIn(view, site, page, layout)
        const scroll = view === lead ? playhead : sameIn(moving.sections, own.sections, playhead)
        const element = document.querySelector<HTMLElement>(`[data-view="${view.width}"]`)
        const column = element?.parentElement
        if (!column) return null
        const y = (px: number) => top + screenOf(own.sections, view.scale, px)
        const { window } = own.scene
        const from = view === lead && views[0] === view ? left : column.offsetLeft
        const bounds = { left: from, width: column.offsetLeft + column.offsetWidth - from }
        const motion = own.blocks.find((one) => one.block.id === block?.id)?.motions[at]
        return (
          <div key={view.index} data-playhead-line={view.width}>
            <div className="absolute h-0.5 bg-yarrow" style={{ ...bounds, top: y(scroll) - 1 }} />
            <div className="absolute h-0 border-t border-dashed border-ink-2/60" style={{ ...bounds, top: y(scroll + window) }} />
            {linesOf(motion).map((line, i) => (
              <div
                key={i}
                className="absolute h-0 border-t-2 border-dotted border-reed"
                style={{ ...bounds, top: y(scroll + lineAt(line, window)) }}
              >
                {view === lead && (
                  <span className="figure absolute right-0 -top-2.5 bg-panel px-1 text-reed">
                    {lineInWords(line)} of the window, {window} px high
                  </span>
                )}
              </div>
            ))}
          </div>
        )
      })}
    </div>
  )
}
