import { useRef, useState } from 'react'
import { nameWithWords } from '#core/blocks/name-with-words'
import { findBlock } from '#core/site/tree'
import { PointerTab } from './pointer-tab'
import { useSessionStore, useSession } from '../session/context'
import { blockAt, boxOf, useFrames } from '../live/frames'
import { RowGaps } from './row-gaps'
import { useAltHeld } from './alt-held'
import { useBlockDrag } from './block-drag'
import { PointerMenu } from './pointer-menu'
import { useFrameSelect } from './frame-select'
import { putOn } from './on-selection'
import { pageOf, pressable, select } from '../session/store'
import { useWordsEditor } from './open-words'
import { later } from '../ui/later'
import { useDropPicture } from './picture-drop'

const GridHatch = later(async () => (await import('./grid-hatch')).GridHatch)
const Distances = later(async () => (await import('./distances')).Distances)
const DistancesTo = later(async () => (await import('./distances')).DistancesTo)
const DrawBlock = later(async () => (await import('./draw-block')).DrawBlock)
// Nothing of it is there before something is selected.
export const SelectionExtras = later(async () => (await import('./selection-extras')).SelectionExtras)

/** What is drawn over a view, and what the pointer does there. */
export function Overlay({ index, scale }: { index: number; scale: number }) {
  const store = useSessionStore()
  const frames = useFrames()
  const surface = useRef<HTMLDivElement>(null)
  const words = useSession((state) => state.words)
  const hasSelection = useSession((state) => state.selection !== null)
  const drawing = useSession((state) => state.drawing)
  const grid = useSession((state) => state.grid)
  const picked = useSession((state) => state.picked)
  const drag = useBlockDrag(index, surface)
  const frame = useFrameSelect(index, surface)
  const drop = useDropPicture(index, surface)
  useWordsEditor(index)
  const editing = words?.view === index
  const [under, setUnder] = useState<string>()
  /** Where the pointer is while a style is picked up, px of the surface. */
  const [pointer, setPointer] = useState<{ x: number; y: number } | null>(null)
  const underName = useSession((state) => {
    const place = under === undefined || !picked ? undefined : findBlock(state.session.site, under)
    return place ? nameWithWords(place.block, state.session.site.language) : ''
  })
  const altHeld = useAltHeld()

  const blockUnder = (event: { clientX: number; clientY: number }) => {
    const view = frames.get(index)
    const bounds = surface.current!.getBoundingClientRect()
    return view && pressable(store.getState(), blockAt(view, event.clientX - bounds.left, event.clientY - bounds.top))
  }

  return (
    <PointerMenu>
      <div
        ref={surface}
        onContextMenu={(event) => {
          // Of several, those that are pressed on stay selected together.
          const id = blockUnder(event)
          const { selection, also } = store.getState()
          if (id !== undefined && id !== selection && !also.includes(id)) select(store, id)
        }}
        className="absolute inset-0 touch-none select-none"
        style={{ pointerEvents: editing ? 'none' : 'auto', cursor: picked ? 'copy' : undefined }}
        onPointerDown={(event) => {
          if (event.button !== 0) return
          const id = blockUnder(event)
          if (picked) {
            if (id !== undefined) putOn(store, id)
            return
          }
          // On the ground of a section there is nothing to drag, so a frame is drawn from there.
          const onGround = id === undefined || pageOf(store.getState()).sections.some((one) => one.id === id)
          if (event.shiftKey || onGround) frame.begin(event, id)
          // A press on what is selected, or inside it, may begin a drag of the whole selection.
          else drag.begin(event, id)
          if (words) store.setState({ words: null })
        }}
        onPointerMove={(event) => {
          setUnder(event.buttons === 0 ? blockUnder(event) : undefined)
          if (!picked) return
          const bounds = surface.current!.getBoundingClientRect()
          setPointer({ x: event.clientX - bounds.left, y: event.clientY - bounds.top })
        }}
        onPointerLeave={() => {
          setUnder(undefined)
          setPointer(null)
        }}
        onDoubleClick={(event) => {
          const id = blockUnder(event)
          if (id === undefined) return
          select(store, id)
          const bounds = surface.current!.getBoundingClientRect()
          const caret = {
            left: (event.clientX - bounds.left) / scale,
            top: (event.clientY - bounds.top) / scale,
          }
          store.setState({ words: { block: id, view: index, caret } })
        }}
        onDragOver={drop.over}
        onDragLeave={drop.leave}
        onDrop={drop.drop}
      >
        {grid && <GridHatch index={index} scale={scale} />}
        <RowGaps index={index} />
        {under !== undefined && !editing && <Under index={index} id={under} firm={picked !== null} />}
        {picked && pointer && under !== undefined && (
          <PointerTab x={pointer.x} y={pointer.y} within={surface.current?.clientWidth ?? 0}>
            {`Put on ${underName}`}
          </PointerTab>
        )}
        {hasSelection && <SelectionExtras index={index} />}
        {hasSelection && <Distances index={index} />}
        {hasSelection && !editing && altHeld && <DistancesTo index={index} under={under} />}
        {drawing && <DrawBlock index={index} />}
        {drag.feedback}
        {frame.feedback}
        {drop.feedback}
      </div>
    </PointerMenu>
  )
}

/** A thin line around what a press would select. */
function Under({ index, id, firm }: { index: number; id: string; firm: boolean }) {
  const view = useFrames().get(index)
  const box = view && boxOf(view, id)
  return box ? (
    <div
      aria-hidden
      className={`pointer-events-none absolute ${firm ? 'border-2 border-reed' : 'border border-yarrow/70'}`}
      style={box}
    />
  ) : null
}
