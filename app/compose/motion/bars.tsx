import type { PointerEvent } from 'react'
import { memo, useRef } from 'react'
import type { Block } from '#core/blocks/index'
import { type BarEnd, hasBarEnds, snapped, snapsOf, withBarEnd } from '#core/motion/bar-ends'
import { lanesOf } from '#core/motion/lanes'
import { isTimed, type Motion } from '#core/motion/motion'
import { type Box, furthest, type Scene, type Span, spanOf } from '#core/motion/scene'
import { restingOf } from '#core/motion/state'
import { MOTION_NAMES, motionLabel, spanInWords } from '#core/motion/words'
import type { StageView } from '../../live/frames'
import { useSession, useSessionStore } from '../../session/context'
import { blockName } from '#core/blocks/block-name'
import { makeId, select } from '../../session/store'
import { useAsked } from '../../ui/asked'
import { arrowSteps } from '../arrow-steps'
import { followPointer } from '../follow-pointer'
import { pageOfScreen, screenOf } from './axis'
import type { Moving } from '../../live/moving'
import { setMotions } from './set-motion'

/** Width of a bar and of its lane, px. */
const BAR = 13
const LANE = 17
/** Least length of a bar, so that one that starts at a line can be seen and pressed, px. */
const LEAST = 14
/** Length of one letter on a bar, and what its ends take, px. */
const [LETTER, ENDS] = [6, 10]
/** px of the screen within which an end snaps. */
const CATCH = 6

type Item = {
  block: Block
  box: Box
  motion: Motion
  index: number
  motions: readonly Motion[]
  span: Span
  top: number
  bottom: number
}

/** The longest of some labels that a bar of a length has room for, whole; none where there is room for none. */
const fitting = (labels: readonly string[], length: number): string =>
  labels.find((one) => one.length * LETTER + ENDS <= length) ?? ''

type BarsProps = { moving: Moving; view: StageView; scale: number; left: number; width: number }

/** Motions as bars from the px at which they begin to the px at which they end; their ends are dragged. */
export const Bars = memo(function Bars({ moving, view, scale, left, width }: BarsProps) {
  const { scene } = moving
  const y = (px: number) => screenOf(moving.sections, scale, px)
  const end = furthest(scene)
  const items = moving.blocks.flatMap(({ block, box, motions }) =>
    motions.flatMap((motion, index): Item[] => {
      const span = spanOf(motion, box, scene)
      if (!span || isTimed(motion) || restingOf(motion, index, span) !== undefined) return []
      const within = (px: number) => Math.min(scene.page, Math.max(0, px))
      const top = y(within(span.from))
      return [
        {
          block,
          box,
          motion,
          index,
          motions,
          span,
          top,
          bottom: Math.max(top + LEAST, y(Math.min(within(span.to), Math.max(end, within(span.from))))),
        },
      ]
    }),
  )
  const lanes = lanesOf(items.map(({ top, bottom }) => ({ from: top, to: bottom })))
  const most = Math.max(1, Math.floor(width / LANE))
  return (
    <>
      {items.map((item, i) => (
        <BarOf
          key={`${item.block.id} ${item.index}`}
          item={item}
          scene={scene}
          view={view}
          moving={moving}
          left={left + 4 + (lanes[i]! % most) * LANE}
        />
      ))}
    </>
  )
})

type BarProps = { item: Item; scene: Scene; view: StageView; moving: Moving; left: number }

function BarOf({ item, scene, view, moving, left }: BarProps) {
  const store = useSessionStore()
  const { block, motion, index, motions, span, top, bottom, box } = item
  const chosen = useSession((state) => state.selection === block.id && state.motionAt === index)
  const name = blockName(block)
  const label = motionLabel(motion)
  const choose = () => {
    select(store, block.id)
    store.setState({ motionAt: index, trayTab: 'Motion' })
  }
  const change = (end: BarEnd, scroll: number, gesture: string) => {
    const next = withBarEnd(motion, end, scroll, box, scene)
    if (!next) return undefined
    setMotions(
      store,
      block,
      motions.map((one, i) => (i === index ? next : one)),
      gesture,
    )
    return spanOf(next, box, scene)?.[end]
  }
  return (
    <div className="absolute" style={{ left, top, width: BAR, height: bottom - top }}>
      <button
        type="button"
        data-bar={`${block.id} ${index}`}
        aria-label={`${label} · ${name.toLowerCase()}, ${spanInWords(motion, span)}`}
        aria-pressed={chosen}
        title={`${label} of ${name}, ${spanInWords(motion, span)}`}
        className={`flex h-full w-full items-start overflow-clip ${chosen ? 'bg-yarrow text-ink' : 'bg-ink text-on-ink'}`}
        onClick={choose}
      >
        <span className="figure block whitespace-nowrap py-1 text-[10px] leading-[13px] [writing-mode:vertical-rl]">
          {fitting([`${label} · ${name.toLowerCase()}`, label, MOTION_NAMES[motion.kind].toLowerCase()], bottom - top)}
        </span>
      </button>
      {hasBarEnds(motion) &&
        (motion.kind === 'reveal' ? (['from'] as const) : (['from', 'to'] as const)).map((end) => (
          <End key={end} end={end} item={item} view={view} moving={moving} chosen={chosen} onChoose={choose} onChange={change} />
        ))}
    </div>
  )
}

type EndProps = {
  end: BarEnd
  item: Item
  view: StageView
  moving: Moving
  chosen: boolean
  onChoose: () => void
  /** Gives the px that the end comes to, which may be as far as it goes. */
  onChange: (end: BarEnd, scroll: number, gesture: string) => number | undefined
}

/** An end of a bar: dragged, where it snaps to sections at lines of the window, or moved by the arrow keys, 10 px with Shift. */
function End({ end, item, view, moving, chosen, onChoose, onChange }: EndProps) {
  const keys = useRef(makeId())
  const at = Math.round(item.span[end])
  const [newest, ask] = useAsked(at)
  const latest = useRef(onChange)
  latest.current = onChange
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    event.stopPropagation()
    onChoose()
    const ruler = event.currentTarget.closest('[data-scroll-ruler]')!
    const gesture = makeId()
    const snaps = snapsOf(
      moving.sections.map((one) => one.box),
      moving.scene,
    )
    followPointer({
      move: (now) => {
        const px = pageOfScreen(moving.sections, view.scale, now.clientY - ruler.getBoundingClientRect().top)
        latest.current(end, now.altKey ? px : snapped(px, snaps, CATCH / view.scale), gesture)
      },
      end: () => undefined,
    })
  }
  const said = end === 'from' ? 'Begins' : 'Ends'
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${said}: ${motionLabel(item.motion)} of ${blockName(item.block)}`}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.round(furthest(moving.scene))}
      aria-valuenow={at}
      aria-valuetext={`${at} px`}
      title={`${said} at ${at} px. Drag it; with Alt it does not snap`}
      data-bar-end={end}
      className={`absolute -left-1 z-10 h-2.5 w-[21px] cursor-ns-resize touch-none border-ink ${end === 'from' ? '-top-[5px] border-t-0' : '-bottom-[5px]'}`}
      onPointerDown={onPointerDown}
      onKeyDown={arrowSteps(1, (by) => {
        const moved = onChange(end, newest() + by, keys.current)
        if (moved !== undefined) ask(Math.round(moved))
      })}
      onFocus={() => (keys.current = makeId())}
    >
      <span className={`absolute inset-x-0 top-1 h-[2px] ${chosen ? 'bg-yarrow' : 'bg-ink'}`} />
    </div>
  )
}
