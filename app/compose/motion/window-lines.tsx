import type { Line, Motion } from '#core/motion/motion'
import { lineAt } from '#core/motion/scene'
import { lineInWords } from '#core/motion/words'
import type { StageView } from '../../live/frames'
import { useSession } from '../../session/context'
import { selected } from '../../session/store'
import { sameIn, screenOf } from './axis'
import type { Moving } from '../../live/moving'
import { useMoving } from './use-moving'

/** The lines of the window that a motion asks about. */
function linesOf(motion: Motion | undefined): Line[] {
  if (motion?.kind === 'reveal') return [motion.line]
  return motion?.kind === 'scrub' && motion.range.of !== 'page' ? [motion.range.begins.line, motion.range.ends.line] : []
}

type WindowLinesProps = { lead: StageView; moving: Moving; top: number; left: number }

/** Through all views: the playhead, which is the top of the window, its bottom, and the lines that the chosen motion asks about. */
export function WindowLines({ lead, moving, top, left }: WindowLinesProps) {
  const { open } = useMoving(useSession((state) => state.layout))
  const playhead = useSession((state) => state.playhead)
  const at = useSession((state) => state.motionAt)
  const block = useSession((state) => selected(state)?.block)
  if (playhead === null) return null
  const views = open()
  return (
    <div aria-hidden className="pointer-events-none absolute left-0 top-0 z-20 h-0 w-full">
      {views.map(({ view, moving: own }) => {
        const scroll = view === lead ? playhead : sameIn(moving.sections, own.sections, playhead)
        const element = document.querySelector<HTMLElement>(`[data-view="${view.width}"]`)
        const column = element?.parentElement
        if (!column) return null
        const y = (px: number) => top + screenOf(own.sections, view.scale, px)
        const { window } = own.scene
        const from = view === lead && views[0]!.view === view ? left : column.offsetLeft
        const bounds = { left: from, width: column.offsetLeft + column.offsetWidth - from }
        const motion = own.blocks.find((one) => one.block.id === block?.id)?.motions[at]
        return (
          <div key={view.index} data-playhead-line={view.width}>
            <div className="absolute h-0.5 bg-yarrow" style={{ ...bounds, top: y(scroll) - 1 }}>
              {view !== lead && (
                <span data-scrolled={Math.round(scroll)} className="figure absolute left-0 -top-2.5 bg-yarrow px-1 text-ink">
                  {Math.round(scroll)} px
                </span>
              )}
            </div>
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
