import { type PointerEvent, useEffect, useRef } from 'react'
import type { BlockOf } from '#core/blocks/index'
import { pictureAtRange } from '#core/analysis/picture-warnings'
import { rangeAt } from '#core/grid/columns'
import { drawnIn } from '#core/legibility/crop'
import { cropPosition, draggedPosition } from '#core/picture/crop-position'
import type { Point } from '#core/picture/picture'
import { valuesByRange } from '#core/style/cascade'
import { ofWidths, type Scope } from '#core/style/registry'
import { type Box, boxOf, type StageView, useFrames } from '../live/frames'
import { useSession, useSessionStore } from '../session/context'
import { edit, selected } from '../session/store'
import { followPointer } from './follow-pointer'

const CENTRE: Point = { x: 50, y: 50 }
const MOST_ZOOM = 4

/** While the selected picture is cropped: all of it about its frame, to be dragged; the wheel makes it larger. */
export function CropFrame({ index }: { index: number }) {
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const place = useSession(selected)
  const on = useSession((state) => state.cropping !== null && state.cropping === state.selection)
  const box = on && view && place ? boxOf(view, place.block.id) : undefined
  if (!view || !box || place?.block.kind !== 'picture') return null
  return <Crop view={view} block={place.block} box={box} />
}

function Crop({ view, block, box }: { view: StageView; block: BlockOf<'picture'>; box: Box }) {
  const store = useSessionStore()
  const frames = useFrames()
  const site = useSession((state) => state.session.site)
  const scope = useSession((state) => state.scope)
  const surface = useRef<HTMLDivElement>(null)
  const range = rangeAt(site.breakpoints, view.width)
  const picture = pictureAtRange(site, block, range)
  const values = valuesByRange(block.style, site.breakpoints)[range]!
  const at = values.focal ?? (picture && cropPosition(picture)) ?? CENTRE
  const zoom = values.zoom ?? 1
  const where: Scope = ofWidths(scope)
  const set = (changes: { focal?: Point; zoom?: number | null }, gesture?: string) =>
    edit(store, { kind: 'style', block: block.id, scope: where, values: changes }, gesture)

  useEffect(() => {
    const element = surface.current!
    // React listens to wheels passively, and the stage would scroll.
    const wheel = (event: WheelEvent) => {
      event.preventDefault()
      event.stopPropagation()
      const next = Math.min(MOST_ZOOM, Math.max(1, Math.round((zoom - Math.sign(event.deltaY) * 0.05) * 100) / 100))
      if (next !== zoom)
        set({ zoom: next === 1 && where === 'base' ? null : next, ...(values.focal ? {} : { focal: at }) }, 'crop-wheel')
    }
    element.addEventListener('wheel', wheel, { passive: false })
    return () => element.removeEventListener('wheel', wheel)
  })

  if (!picture) return <div ref={surface} />
  const size = { width: box.width, height: box.height }
  const ghost = (focal: Point) => drawnIn(size, picture, { fit: values.fit ?? 'cover', focal, zoom })
  const place = ghost(at)

  /** While it is dragged the browser paints the image anew and nothing else: the edit follows at the end. */
  const show = (focal: Point | undefined) => {
    for (const { frame } of frames.values()) {
      const element = frame.find(block.id)
      const image = element?.tagName === 'IMG' ? element : element?.querySelector('img')
      if (!image) continue
      if (focal) image.style.objectPosition = `${focal.x}% ${focal.y}%`
      else image.style.removeProperty('object-position')
    }
    const shown = surface.current?.querySelector('img')
    const { left, top } = ghost(focal ?? at)
    if (shown) Object.assign(shown.style, { left: `${left}px`, top: `${top}px` })
  }

  const begin = (event: PointerEvent) => {
    event.preventDefault()
    event.stopPropagation()
    const from = { x: event.clientX, y: event.clientY }
    const across = values.flip === 'across' || values.flip === 'both' ? -1 : 1
    const down = values.flip === 'down' || values.flip === 'both' ? -1 : 1
    let next: Point | undefined
    followPointer({
      move(moved) {
        const by = { x: (moved.clientX - from.x) * across, y: (moved.clientY - from.y) * down }
        next = draggedPosition(picture, size, at, by, zoom)
        show(next)
      },
      end(release) {
        show(undefined)
        if (release && next) set({ focal: next })
      },
    })
  }
  const query = new URLSearchParams(picture.type === 'image/svg+xml' && !block.turn ? {} : { w: '1600' })
  if (block.turn) query.set('turn', String(block.turn))
  return (
    <div
      ref={surface}
      data-crop={view.index}
      className="absolute z-20 cursor-grab touch-none active:cursor-grabbing"
      style={{ left: box.left, top: box.top, width: box.width, height: box.height }}
      title="Drag the picture in its frame; the wheel makes it larger; C ends it"
      onPointerDown={begin}
    >
      <img
        alt=""
        draggable={false}
        src={`/pictures/${picture.hash}${query.size > 0 ? `?${query}` : ''}`}
        className="pointer-events-none absolute max-w-none opacity-35 outline outline-1 outline-yarrow"
        style={{ left: place.left, top: place.top, width: place.width, height: place.height }}
      />
      <Thirds />
      <span className="figure pointer-events-none absolute left-1 top-1 bg-ink px-1.5 py-px text-label text-on-ink">
        {Math.round(at.x)}, {Math.round(at.y)} %{zoom > 1 ? `, ${Math.round(zoom * 100)} %` : ''}
      </span>
    </div>
  )
}

/** The frame in thirds, as crops are judged by. */
const Thirds = () => (
  <svg aria-hidden className="pointer-events-none absolute inset-0 h-full w-full">
    <rect x="1" y="1" width="calc(100% - 2px)" height="calc(100% - 2px)" fill="none" stroke="#EDB700" strokeWidth="2" />
    {['33.33%', '66.67%'].map((third) => (
      <g key={third} stroke="#fff" strokeOpacity="0.7">
        <line x1={third} x2={third} y1="0" y2="100%" />
        <line y1={third} y2={third} x1="0" x2="100%" />
      </g>
    ))}
  </svg>
)
