import { useFrames } from '../live/frames'
import { useSession } from '../session/context'

/** Where the words of the selection can be read worst in a view, over the picture behind them. */
export function WorstPatch({ index }: { index: number }) {
  const view = useFrames().get(index)
  const patch = useSession((state) => state.worstPatches.find((one) => one.view === index && one.block === state.selection))
  if (!view || !patch) return null
  const { left, top, width, height } = patch.box
  const { scale } = view
  return (
    <div
      aria-hidden
      data-worst-patch
      className="pointer-events-none absolute z-10 border-2 border-rust outline outline-1 outline-panel"
      style={{ left: left * scale - 3, top: top * scale - 3, width: width * scale + 6, height: height * scale + 6 }}
    />
  )
}
