import { useSession } from '../session/context'
import { boxOf, useFrames } from '../live/frames'

/** Covers the space that only aligns the rows, so that it is not taken for a part of the page. */
export function RowGaps({ index }: { index: number }) {
  const frames = useFrames()
  useSession((state) => state.layout)
  const view = frames.get(index)
  if (!view) return null
  return [...view.gaps].map(([id, gap]) => {
    const box = gap * view.scale > 0.5 ? boxOf(view, id) : undefined
    return (
      box && (
        <div
          key={id}
          aria-hidden
          className="pointer-events-none absolute inset-x-0 bg-ground"
          style={{ top: box.top + box.height, height: gap * view.scale }}
        />
      )
    )
  })
}
