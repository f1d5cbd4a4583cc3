import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { useSessionStore, useSession } from '../session/context'
import { boxOf, useFrames } from '../live/frames'
import { createViewRenderer, withCss } from '../live/rendering'
import { openViews, toggleView } from '../session/desk'
import { pageOf } from '../session/store'
import { useShownSite } from '../session/tried'
import { later } from '../ui/later'
import { View } from './view'

const Opened = later(async () => (await import('./opened')).Opened)
const ScrollRuler = later(async () => (await import('./motion/scroll-ruler')).ScrollRuler)

/** Height of the captions over the views, px. */
const CAPTION = 36
const GAP = 14
const SIDE = 30
/** Width of the scroll ruler, px. */
const RULER = 118

/** Width of a view that is folded, px. */
const STRIP = 28

/** Scales at which views stand side by side in a width, those with a zoom of their own left out of the sharing. */
function scalesFor(widths: readonly number[], zooms: readonly (number | null)[], available: number, side: number): number[] {
  const own = widths.reduce((sum, width, i) => sum + (zooms[i] == null ? 0 : width * zooms[i]!), 0)
  const shared = widths.reduce((sum, width, i) => sum + (zooms[i] == null ? width : 0), 0)
  const room = available - side - GAP - (widths.length - 1) * GAP
  const fit = Math.min(1, Math.max(0.12, shared === 0 ? 1 : (room - own) / shared))
  return widths.map((_, i) => zooms[i] ?? fit)
}

/** Tops of rows and the height of all, px of the screen. */
type Rows = { tops: { id: string; top: number }[]; height: number }

const sameRows = (a: Rows, b: Rows) =>
  Math.abs(a.height - b.height) < 0.01 &&
  a.tops.length === b.tops.length &&
  a.tops.every((one, i) => one.id === b.tops[i]!.id && Math.abs(one.top - b.tops[i]!.top) < 0.01)

/** The views, side by side, their sections aligned row by row. */
export function Stage() {
  const store = useSessionStore()
  const site = useShownSite()
  const pageId = useSession((state) => pageOf(state).id)
  const page = site.pages.find((one) => one.id === pageId)!
  const shown = useSession((state) => state.shown)
  const zooms = useSession((state) => state.zooms)
  const stage = useRef<HTMLDivElement>(null)
  const frames = useFrames()
  const [available, setAvailable] = useState(0)
  const [rows, setRows] = useState<Rows>({ tops: [], height: 400 })
  const [ready, setReady] = useState(0)
  const wire = useSession((state) => state.wire)
  const stress = useSession((state) => state.stress)
  const renderPage = useMemo(
    () => ({ finished: createViewRenderer(site.language), wire: createViewRenderer(site.language, 'wire') }),
    [site.language],
  )

  const folded = useSession((state) => state.foldedViews)
  const open = useSession((state) => openViews(state).join())
  const indexes = useMemo(() => open.split(',').map(Number), [open])
  /** Views that are folded to a strip beside those that are open. */
  const strips = shown === 'all' ? site.views.flatMap((width, i) => (indexes.includes(i) ? [] : [width])) : []
  const room = available - strips.length * (STRIP + GAP)
  const ruler = useSession((state) => state.scrollRuler)
  const side = SIDE + (ruler ? RULER : 0)
  const scales = useMemo(() => {
    const widths = indexes.map((i) => site.views[i]!)
    return scalesFor(
      widths,
      indexes.map((i) => zooms[i] ?? (shown === 'all' ? null : Math.min(1, (available - side - 2 * GAP) / site.views[i]!))),
      room,
      side,
    )
  }, [indexes, site.views, zooms, available, room, shown, side])

  const layOut = useCallback(() => {
    const views = [...frames.values()]
    if (views.length === 0) return
    const heights = views.map((view) => ({ view, sections: view.frame.heights() }))
    const tallest = new Map<string, number>()
    for (const { view, sections } of heights) {
      for (const [id, height] of sections) tallest.set(id, Math.max(tallest.get(id) ?? 0, height * view.scale))
    }
    for (const { view, sections } of heights) {
      const margins = new Map([...sections].map(([id, height]) => [id, tallest.get(id)! / view.scale - height]))
      view.frame.align(margins)
      view.gaps = margins
    }
    let top = 0
    const tops = [...tallest].map(([id, height]) => {
      const row = { id, top }
      top += height
      return row
    })
    setRows((old) => (sameRows(old, { tops, height: top }) ? old : { tops, height: top }))
    store.setState((state) => ({ layout: state.layout + 1 }))
  }, [store, frames])

  useLayoutEffect(() => {
    const element = stage.current!
    const observer = new ResizeObserver(() => setAvailable(element.clientWidth))
    observer.observe(element)
    setAvailable(element.clientWidth)
    return () => observer.disconnect()
  }, [])

  useLayoutEffect(() => {
    for (const [position, index] of indexes.entries()) {
      const view = frames.get(index)
      if (!view) continue
      view.scale = scales[position]!
      view.frame.show(withCss(renderPage[wire.has(index) ? 'wire' : 'finished'](site, page), stress ?? undefined))
    }
    layOut()
  }, [frames, renderPage, wire, stress, site, page, scales, indexes, ready, layOut])

  // Where a picture or a font arrives late, the rows are aligned again, once for each frame of the screen.
  const pending = useRef(0)
  const later = useCallback(() => {
    cancelAnimationFrame(pending.current)
    pending.current = requestAnimationFrame(layOut)
  }, [layOut])
  useEffect(() => () => cancelAnimationFrame(pending.current), [])

  // A block that is selected elsewhere is brought into sight, below the captions.
  const selection = useSession((state) => state.selection)
  useEffect(() => {
    const view = frames.get(indexes[0]!)
    const box = selection === null || !view ? undefined : boxOf(view, selection)
    if (!box) return
    const { scrollTop, clientHeight } = stage.current!
    const top = box.top + CAPTION
    if (top + Math.min(box.height, 40) > scrollTop + clientHeight || top + box.height < scrollTop + CAPTION + 20)
      stage.current!.scrollTo({ top: top - 60 })
  }, [frames, selection, indexes])

  const onReady = useCallback(() => setReady((n) => n + 1), [])

  return (
    <div ref={stage} data-stage tabIndex={-1} className="relative h-full overflow-auto bg-ground outline-none">
      <div className="flex w-max" style={{ paddingLeft: side, paddingRight: GAP, gap: GAP }}>
        {available > 0 &&
          indexes.map((index, position) => (
            <View
              key={`${index}:${site.views[index]}`}
              index={index}
              width={site.views[index]!}
              scale={scales[position]!}
              height={Math.max(rows.height, 160)}
              onReady={onReady}
              onLater={later}
            />
          ))}
        {folded.length > 0 && strips.map((width) => <FoldedView key={width} width={width} />)}
      </div>
      <Opened />
      <RowNumbers rows={rows} />
      {ruler && available > 0 && <ScrollRuler stage={stage} left={SIDE} width={RULER} top={CAPTION} height={rows.height} />}
    </div>
  )
}

/** A view that is folded: its width, to press. */
function FoldedView({ width }: { width: number }) {
  const store = useSessionStore()
  return (
    <button
      type="button"
      aria-label={`Unfold the view at ${width}`}
      title={`Unfold the view at ${width}`}
      className="sticky top-0 flex h-32 shrink-0 items-start justify-center border border-line-strong bg-panel pt-2 hover:border-ink"
      style={{ width: STRIP, marginTop: 4 }}
      onClick={() => toggleView(store, width)}
    >
      <span className="figure [writing-mode:vertical-rl]">{width}</span>
    </button>
  )
}

function RowNumbers({ rows }: { rows: Rows }) {
  return (
    <div aria-hidden className="pointer-events-none absolute left-0 top-0 w-full" style={{ height: rows.height + CAPTION }}>
      {rows.tops.map(({ id, top }, i) => (
        <div
          key={id}
          className="absolute left-0 w-[30px] border-t border-dashed border-line-strong pl-1.5 pt-1"
          style={{ top: top + CAPTION }}
        >
          <span className="figure text-ink-2">{String(i + 1).padStart(2, '0')}</span>
        </div>
      ))}
    </div>
  )
}
