import { ofWidths } from '#core/style/registry'
import { type PointerEvent, useRef } from 'react'
import { rangeAt } from '#core/grid/columns'
import { hexOf } from '#core/colour/contrast'
import { fillLayersToCss, isGradient, type FillLayer, type GradientLayer } from '#core/style/fill-layers'
import { draggedGradient, type GradientHandle, gradientHandles } from '#core/style/gradient-handles'
import { valueInScope } from '#core/style/cascade'
import { type Box, boxOf, type StageView, useFrames } from '../../live/frames'
import { useSession, useSessionStore } from '../../session/context'
import { edit, selected } from '../../session/store'
import { followPointer } from '../follow-pointer'

const LABELS: Record<GradientHandle['name'], string> = {
  stop: 'Drag a stop of the gradient; Shift keeps to 15°',
  middle: 'Drag the middle of the gradient',
  angle: 'Drag to turn the gradient; Shift keeps to 15°',
  across: 'Drag how far it reaches across',
  down: 'Drag how far it reaches down',
}

/** The handles of the gradient that is chosen in the tray, on the selected block in a view. */
export function GradientHandles({ index }: { index: number }) {
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const place = useSession(selected)
  const at = useSession((state) => state.fillLayer)
  const scope = useSession((state) => state.scope)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const box = view && place && boxOf(view, place.block.id)
  if (!view || !place || !box || at === null) return null
  const layers = valueInScope(place.block.style, 'fillLayers', breakpoints, ofWidths(scope))
  const shownHere = typeof scope !== 'object' || breakpoints[rangeAt(breakpoints, view.width)]!.id === scope.below
  const layer = layers?.[at]
  if (!layers || !layer || !isGradient(layer) || !shownHere) return null
  return <Handles view={view} id={place.block.id} box={box} layers={layers} at={at} layer={layer} />
}

type HandlesProps = { view: StageView; id: string; box: Box; layers: FillLayer[]; at: number; layer: GradientLayer }

function Handles({ view, id, box, layers, at, layer }: HandlesProps) {
  const store = useSessionStore()
  const frames = useFrames()
  const { guide, pictures } = useSession((state) => state.session.site)
  const surface = useRef<HTMLDivElement>(null)
  const size = { width: box.width / view.scale, height: box.height / view.scale }
  const handles = gradientHandles(layer, size)

  /** While a handle is dragged the browser paints the backgrounds anew and nothing else: the edit follows at the end. */
  function show(next: FillLayer[] | undefined) {
    const css =
      next &&
      fillLayersToCss(next, (picture) => {
        const found = pictures.find((one) => one.id === picture)
        return found && { one: `/pictures/${found.hash}?w=1600` }
      })
    for (const { frame } of frames.values()) {
      const style = frame.find(id)?.style
      if (css) for (const [name, value] of css) style?.setProperty(name, value)
      else for (const name of ['image', 'size', 'position', 'repeat', 'blend-mode']) style?.removeProperty(`background-${name}`)
    }
  }

  const begin = (handle: GradientHandle) => (event: PointerEvent) => {
    event.stopPropagation()
    event.preventDefault()
    const bounds = surface.current!.getBoundingClientRect()
    let next: GradientLayer | undefined
    followPointer({
      move(moved) {
        const to = { x: (moved.clientX - bounds.left) / view.scale, y: (moved.clientY - bounds.top) / view.scale }
        next = draggedGradient(layer, handle, to, size, moved.shiftKey ? 15 : 1)
        show(layers.map((one, i) => (i === at ? next! : one)))
        placeHandles(next)
      },
      end(release) {
        show(undefined)
        if (!release || !next) return placeHandles(layer)
        const { scope } = store.getState()
        const fillLayers = layers.map((one, i) => (i === at ? next! : one))
        edit(store, { kind: 'style', block: id, scope: ofWidths(scope), values: { fillLayers } })
      },
    })
  }

  /** The handles follow without a render of the screen. */
  function placeHandles(shown: GradientLayer) {
    gradientHandles(shown, size).forEach(({ x, y }, i) => {
      const handle = surface.current?.querySelector<HTMLElement>(`[data-handle="${i}"]`)
      if (handle) Object.assign(handle.style, { left: `${x * view.scale}px`, top: `${y * view.scale}px` })
    })
    const line = surface.current?.querySelector('polyline')
    line?.setAttribute('points', lineOf(gradientHandles(shown, size), view.scale))
  }

  return (
    <div ref={surface} className="pointer-events-none absolute z-20" style={box}>
      <svg aria-hidden className="absolute inset-0 h-full w-full overflow-visible">
        <polyline points={lineOf(handles, view.scale)} fill="none" stroke="#13262B" strokeWidth="3" strokeOpacity="0.5" />
        <polyline points={lineOf(handles, view.scale)} fill="none" stroke="#EDB700" strokeWidth="1" />
      </svg>
      {handles.map((handle, i) => {
        const colour = handle.name === 'stop' ? hexOf(layer.stops[handle.index]!.colour, guide.colours) : undefined
        return (
          <button
            key={i}
            type="button"
            tabIndex={-1}
            data-handle={i}
            aria-label={LABELS[handle.name]}
            title={LABELS[handle.name]}
            className="pointer-events-auto absolute h-4 w-4 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none rounded-full border-2 border-yarrow bg-ink shadow-float outline outline-1 outline-ink"
            style={{ left: handle.x * view.scale, top: handle.y * view.scale, ...(colour ? { background: colour } : {}) }}
            onPointerDown={begin(handle)}
          />
        )
      })}
    </div>
  )
}

/** The line through the handles; from the middle of an ellipse to both of its arms. */
function lineOf(handles: readonly GradientHandle[], scale: number): string {
  const [first, second, third] = handles
  const order = first?.name === 'middle' && third ? [second!, first, third] : handles
  return order.map(({ x, y }) => `${x * scale},${y * scale}`).join(' ')
}
