import { type PointerEvent, useRef, useState } from 'react'
import { useSessionStore, useSession } from '../session/context'
import { LivePage } from '../live/live-page'

/** The wire look and the finished look of one view in one place, parted by a line that is dragged, scrolling together. */
export function Compare({ width }: { width: number }) {
  const store = useSessionStore()
  const [share, setShare] = useState(0.5)
  const stage = useRef<HTMLDivElement>(null)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const drag = (event: PointerEvent<HTMLElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    const bounds = stage.current!.getBoundingClientRect()
    setShare(Math.min(1, Math.max(0, (event.clientX - bounds.left) / bounds.width)))
  }
  const percent = Math.round(share * 100)
  return (
    <div className="flex h-full flex-col bg-ground">
      <div className="flex h-9 shrink-0 items-center gap-2 px-[30px]">
        <span className="figure bg-ink px-1.5 py-px text-on-ink">{width}</span>
        <span className="text-label">Wire look at the left, finished look at the right</span>
        <span className="flex-1" />
        <button type="button" className="min-h-6 text-label underline" onClick={() => store.setState({ comparing: false })}>
          Back to the views
        </button>
      </div>
      <div className="min-h-0 flex-1 overflow-auto px-[30px] pb-4" data-compare={breakpoints.length}>
        <div ref={stage} className="relative mx-auto" style={{ maxWidth: width }}>
          <LivePage width={width} look="finished" label="Finished look" full />
          <div className="absolute inset-0 overflow-clip" style={{ clipPath: `inset(0 ${100 - share * 100}% 0 0)` }}>
            <LivePage width={width} look="wire" label="Wire look" full />
          </div>
          <div
            role="separator"
            aria-orientation="vertical"
            aria-label="Line between the wire look and the finished look"
            aria-valuenow={percent}
            aria-valuemin={0}
            aria-valuemax={100}
            tabIndex={0}
            className="absolute inset-y-0 z-10 -ml-2 w-4 cursor-ew-resize touch-none"
            style={{ left: `${share * 100}%` }}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={drag}
            onKeyDown={(event) => {
              const step = event.shiftKey ? 0.1 : 0.01
              if (event.key === 'ArrowLeft') setShare(Math.max(0, share - step))
              else if (event.key === 'ArrowRight') setShare(Math.min(1, share + step))
              else return
              event.stopPropagation()
            }}
          >
            <span className="absolute inset-y-0 left-[7px] w-0.5 bg-yarrow" />
            <span className="sticky top-[40%] block">
              <span className="figure absolute -left-3 bg-yarrow px-1 text-ink">{percent}%</span>
            </span>
          </div>
        </div>
      </div>
    </div>
  )
}
