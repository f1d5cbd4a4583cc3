import { useEffect, useRef, useState } from 'react'
import { findBlock } from '#core/site/tree'
import { useFrames } from '../live/frames'
import { useSession, useSessionStore } from '../session/context'
import { useRested } from '../ui/lagging'
import { heatOver, type HeatOver } from '../live/words-over'

/** Where the words of the selection could stand in a view: clear where they could be read, hatched where not. */
export function HeatLayer({ index }: { index: number }) {
  const on = useSession((state) => state.heat && state.selection !== null && state.tried === null)
  return on ? <Heat index={index} /> : null
}

function Heat({ index }: { index: number }) {
  const store = useSessionStore()
  const view = useFrames().get(index)
  const id = useSession((state) => state.selection)
  const layout = useRested(
    useSession((state) => state.layout),
    200,
  )
  const [found, setFound] = useState<HeatOver>()
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    let gone = false
    const { site } = store.getState().session
    const place = id === null ? undefined : findBlock(site, id)
    const asked = view && place ? heatOver(site, place, view).catch(() => undefined) : Promise.resolve(undefined)
    void asked.then((heat) => {
      if (!gone) setFound(heat)
    })
    return () => {
      gone = true
    }
  }, [view, id, layout, store])
  useEffect(() => {
    if (found && canvas.current) paint(canvas.current, found)
  }, [found])
  if (!view || !found) return null
  const { rect, heat, needed } = found
  const { scale } = view
  const share = heat.ratios.reduce((sum, one) => sum + (one >= needed ? 1 : 0), 0) / heat.ratios.length
  return (
    <div
      data-heat={share.toFixed(3)}
      role="img"
      aria-label={`These words could be read on ${Math.round(share * 100)} % of what is behind them`}
      className="pointer-events-none absolute z-10"
      style={{ left: rect.left * scale, top: rect.top * scale, width: rect.width * scale, height: rect.height * scale }}
    >
      <canvas ref={canvas} className="h-full w-full [image-rendering:pixelated]" />
      <span className="figure absolute left-2 top-2 whitespace-nowrap bg-ink px-1.5 py-px text-label text-on-ink">
        {Math.round(share * 100)} % reaches {needed} : 1
      </span>
    </div>
  )
}

/** Screen px of one cell: enough for a hatch in it. */
const CELL = 6

/** Cells that fail are hatched in rust, the darker the further they are from what is needed; where words can be read, all stays clear. */
function paint(canvas: HTMLCanvasElement, { heat, needed }: HeatOver): void {
  canvas.width = heat.columns * CELL
  canvas.height = heat.rows * CELL
  const context = canvas.getContext('2d')!
  heat.ratios.forEach((ratio, i) => {
    const [x, y] = [(i % heat.columns) * CELL, Math.floor(i / heat.columns) * CELL]
    if (ratio >= needed) return
    context.fillStyle = `rgba(168, 64, 31, ${(0.2 + 0.35 * (1 - ratio / needed)).toFixed(2)})`
    context.fillRect(x, y, CELL, CELL)
    context.fillStyle = 'rgba(251, 252, 250, 0.75)'
    for (let n = 0; n < CELL; n++) context.fillRect(x + n, y + CELL - 1 - n, 1, 1)
  })
}
