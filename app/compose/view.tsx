import { FoldHorizontal, Frame as FrameIcon, Minus, Plus } from 'lucide-react'
import { memo, useEffect, useRef } from 'react'
import { rangeAt } from '#core/grid/columns'
import { useSessionStore, useSession } from '../session/context'
import { createFrame, VIEW_DOCUMENT } from '../live/frame'
import { useFrames } from '../live/frames'
import { openViews, toggleView } from '../session/desk'
import { Overlay } from './overlay'
import type { Scope } from '#core/style/registry'

type ViewProps = {
  index: number
  width: number
  scale: number
  height: number
  onReady: () => void
  onLater: () => void
}

/** One live rendering of the page at one viewport width: a frame of that width, scaled, with what is drawn over it. */
export const View = memo(function View({ index, width, scale, height, onReady, onLater }: ViewProps) {
  const frames = useFrames()
  const iframe = useRef<HTMLIFrameElement>(null)
  const current = useRef(scale)
  current.current = scale

  useEffect(() => {
    const element = iframe.current!
    let observer: ResizeObserver | undefined
    const start = () => {
      if (!element.contentDocument?.querySelector('meta[http-equiv]')) return
      const frame = createFrame(element, width)
      frames.set(index, { index, width, scale: current.current, frame, gaps: new Map() })
      observer = new ResizeObserver(onLater)
      observer.observe(frame.document.body)
      frame.document.addEventListener('load', onLater, true)
      void frame.document.fonts.ready.then(onLater)
      frame.document.fonts.addEventListener('loadingdone', onLater)
      onReady()
    }
    element.addEventListener('load', start)
    if (element.contentDocument?.readyState === 'complete') start()
    return () => {
      element.removeEventListener('load', start)
      observer?.disconnect()
      frames.delete(index)
    }
  }, [frames, index, width, onReady, onLater])

  return (
    <div className="shrink-0" style={{ width: Math.round(width * scale) }}>
      <Caption index={index} width={width} scale={scale} />
      <div className="relative overflow-clip bg-field" style={{ height }} data-view={width}>
        <iframe
          ref={iframe}
          title={`The page at ${width} px`}
          srcDoc={VIEW_DOCUMENT}
          sandbox="allow-same-origin"
          tabIndex={-1}
          className="absolute left-0 top-0 origin-top-left border-0"
          style={{ width, height: height / scale, transform: `scale(${scale})` }}
        />
        <Overlay index={index} scale={scale} />
      </div>
    </div>
  )
})

function Caption({ index, width, scale }: { index: number; width: number; scale: number }) {
  const store = useSessionStore()
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const scope = useSession((state) => state.scope)
  const wire = useSession((state) => state.wire.has(index))
  const breakpoint = breakpoints[rangeAt(breakpoints, width)]!
  const own: Scope = breakpoint.below === null ? 'base' : { below: breakpoint.id }
  const active = typeof scope === 'object' && scope.below === breakpoint.id
  const setZoom = (zoom: number | null) =>
    store.setState((state) => {
      const zooms = [...state.zooms]
      while (zooms.length <= index) zooms.push(null)
      zooms[index] = zoom === null ? null : Math.min(2, Math.max(0.1, zoom))
      return { zooms }
    })
  const several = useSession((state) => state.shown === 'all' && openViews(state).length > 1)
  const wide = width * scale > 290
  const roomy = width * scale > 150
  return (
    <div className="sticky top-0 z-30 flex h-9 items-center gap-2 overflow-hidden bg-ground">
      <button
        type="button"
        className={`flex h-6 shrink-0 items-center gap-2 rounded-2 ${active ? 'text-ink' : 'text-ink-2'}`}
        title={`${breakpoint.columns} columns, ${breakpoint.gutter} gutter. ${breakpoint.below === null ? 'Edit all widths' : `Edit widths below ${breakpoint.below} alone`}`}
        aria-pressed={active}
        onClick={() => store.setState({ scope: active ? 'base' : own })}
      >
        <span className={`figure px-1.5 py-px ${active ? 'bg-yarrow text-ink' : 'bg-ink text-on-ink'}`}>{width}</span>
        {(wide || width * scale > 185) && (
          <span className="whitespace-nowrap text-label">
            {wide ? `${breakpoint.columns} columns, ${breakpoint.gutter} gutter` : `${breakpoint.columns} col`}
          </span>
        )}
      </button>
      <span className="flex-1" />
      <button
        type="button"
        aria-label={`Wire look at ${width}`}
        title="Wire look (W for all views)"
        aria-pressed={wire}
        className={`flex h-6 w-6 shrink-0 items-center justify-center rounded-2 text-ink-2 hover:text-ink aria-pressed:bg-ink aria-pressed:text-on-ink ${roomy ? '' : 'hidden'}`}
        onClick={() =>
          store.setState((state) => {
            const next = new Set(state.wire)
            if (!next.delete(index)) next.add(index)
            return { wire: next }
          })
        }
      >
        <FrameIcon size={12} />
      </button>
      {several && width * scale > 150 && (
        <button
          type="button"
          aria-label={`Fold the view at ${width}`}
          title="Fold this view (F for widest and narrowest alone)"
          className="flex h-6 w-6 shrink-0 items-center justify-center text-ink-2 hover:text-ink"
          onClick={() => toggleView(store, width)}
        >
          <FoldHorizontal size={12} />
        </button>
      )}
      <span className="flex shrink-0 items-center">
        {wide && (
          <button
            type="button"
            aria-label={`Smaller view at ${width}`}
            className="flex h-6 w-6 items-center justify-center text-ink-2 hover:text-ink"
            onClick={() => setZoom(scale / 1.15)}
          >
            <Minus size={12} />
          </button>
        )}
        <button
          type="button"
          title="Fit"
          aria-label={`Fit view at ${width}, now ${Math.round(scale * 100)} %`}
          className={`figure h-6 min-w-6 text-ink-2 hover:text-ink ${width * scale > 95 ? '' : 'hidden'}`}
          onClick={() => setZoom(null)}
        >
          {Math.round(scale * 100)}%
        </button>
        {wide && (
          <button
            type="button"
            aria-label={`Larger view at ${width}`}
            className="flex h-6 w-6 items-center justify-center text-ink-2 hover:text-ink"
            onClick={() => setZoom(scale * 1.15)}
          >
            <Plus size={12} />
          </button>
        )}
      </span>
    </div>
  )
}
