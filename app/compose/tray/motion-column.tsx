import { X } from 'lucide-react'
import { Fragment } from 'react'
import type { Block } from '#core/blocks/index'
import { mayPass } from '#core/blocks/strip'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { MOST_MOTIONS, MOST_SMOOTH, type Motion, type MotionKind } from '#core/motion/motion'
import { carriedPast, movesAcross } from '#core/motion/across'
import { newMotion } from '#core/motion/new-motion'
import { spanOf } from '#core/motion/scene'
import { restingOf } from '#core/motion/state'
import { MOTION_NAMES, motionLabel, spanInWords, whyStill } from '#core/motion/words'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { statesOfStyle } from '#core/style/registry'
import { useFrames } from '../../live/frames'
import { findBlock } from '#core/site/tree'
import { rangeAt } from '#core/grid/columns'
import { valueAt } from '#core/style/cascade'
import { useSession, useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import { MotionCurve } from './motion-curve'
import { EndlessFields } from './motion-endless'
import { type MotionsAccess, useMotions, useMovingViews } from '../motion/use-motions'
import { leadView } from '../motion/lead'
import { parallaxFindings } from '../motion/parallax-findings'
import { KeptRow } from './kept-row'

const KINDS: { value: MotionKind; label: string; note: string }[] = [
  { value: 'parallax', label: 'Parallax', note: 'another speed' },
  { value: 'reveal', label: 'Reveal', note: 'at a line' },
  { value: 'scrub', label: 'Scrub', note: 'with the scroll' },
  { value: 'opening', label: 'On opening', note: 'once' },
  { value: 'loop', label: 'Loop', note: 'on and on' },
]
const STRIP = { value: 'strip', label: 'Strip', note: 'blocks pass' } as const

/** The motions of the block: chosen, added and taken out, with the speed or the time of the one that is chosen. */
export function MotionColumn({ block }: { block: Block }) {
  const store = useSessionStore()
  const ruler = useSession((state) => state.scrollRuler)
  const motions = useMotions(block)
  const [first] = useMovingViews(motions.motions.length > 0)
  const frames = useFrames()
  const add = (kind: MotionKind) => {
    const lead = leadView(frames, store.getState())
    const box = lead?.frame.find(block.id)?.getBoundingClientRect()
    const inFirstWindow = lead !== undefined && box !== undefined && box.top < viewportHeightFor(lead.width) / 2
    motions.set([...motions.motions, newMotion(kind, inFirstWindow)])
    motions.choose(motions.motions.length)
    if (!ruler) store.setState({ scrollRuler: true })
  }
  const full = motions.motions.length >= MOST_MOTIONS
  return (
    <div data-sets="motion">
      <ColumnHead title="Motion" note={motions.motions.length === 0 ? 'at rest' : `${motions.motions.length} on this block`} />
      {motions.motions.slice(0, 2 * MOST_MOTIONS).map((motion, index) => {
        const own = first?.moving.blocks.find((one) => one.block.id === block.id)
        const span = first && own && spanOf(motion, own.box, first.moving.scene)
        const pressed = index === motions.at
        return (
          <div
            key={index}
            className={`my-0.5 flex h-7 items-center rounded-2 border ${pressed ? 'border-ink bg-ink text-on-ink' : 'border-line-strong bg-field'}`}
          >
            <button
              type="button"
              aria-pressed={pressed}
              className="flex h-full min-w-0 flex-1 items-center justify-between gap-2 px-2 text-left"
              onClick={() => motions.choose(index)}
            >
              <span className="shrink-0">{MOTION_NAMES[motion.kind]}</span>
              <span className="figure truncate">{span ? spanInWords(motion, span) : ''}</span>
            </button>
            <button
              type="button"
              aria-label={`Take out ${motionLabel(motion)}`}
              title={`Take out ${motionLabel(motion)}`}
              className="flex h-full w-6 shrink-0 items-center justify-center opacity-70 hover:opacity-100"
              onClick={() => {
                motions.set(motions.motions.filter((_, i) => i !== index))
                motions.choose(0)
              }}
            >
              <X size={12} />
            </button>
          </div>
        )
      })}
      <Row label={motions.motions.length === 0 ? 'Add' : ''}>
        <Choice
          className="flex-1"
          label="Add a motion"
          placeholder={full ? `${MOST_MOTIONS} at most` : '+ Motion'}
          value={null}
          options={full ? [] : mayPass(block) ? [...KINDS, STRIP] : KINDS}
          onChange={add}
        />
        <button
          type="button"
          aria-pressed={ruler}
          title="Scroll ruler (J)"
          className="h-[26px] rounded-2 border border-line-strong bg-field px-2 hover:border-ink aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
          onClick={() => store.setState({ scrollRuler: !ruler, playhead: null, running: null })}
        >
          Ruler
        </button>
      </Row>
      <KeptRow block={block} />
      {motions.motion && <KindFields block={block} motion={motions.motion} motions={motions} />}
      {motions.motion && <WhatItComesTo block={block} motion={motions.motion} index={motions.at} />}
      {motions.motion && <PastWindow block={block} motion={motions.motion} index={motions.at} />}
    </div>
  )
}

/** The speed of parallax, or the time of what plays by itself. */
function KindFields({ block, motion, motions }: { block: Block; motion: Motion; motions: MotionsAccess }) {
  if (motion.kind === 'parallax')
    return (
      <>
        <Row label="Speed">
          <NumberField
            className="flex-1"
            label="Speed of parallax"
            unit="% of the page"
            value={Math.round(motion.speed * 1000) / 10}
            least={-200}
            most={400}
            step={5}
            onChange={(speed) => motions.change({ ...motion, speed: speed / 100 })}
          />
        </Row>
        <Row label="In place">
          <Choice
            className="flex-1"
            label="Where it is in its own place"
            value={motion.rests ?? 'middle'}
            options={[
              { value: 'middle', label: 'In the middle of the window' },
              { value: 'opening', label: 'At the top of the page' },
            ]}
            onChange={(rests) => {
              const { rests: _, ...rest } = motion
              motions.change(rests === 'opening' ? { ...rest, rests } : rest)
            }}
          />
        </Row>
      </>
    )
  if (motion.kind === 'scrub')
    return (
      <>
        <MotionCurve motion={motion} motions={motions} usual="linear" />
        <Row label="Smooth">
          <NumberField
            className="flex-1"
            label="Time to catch up with the scroll"
            unit="ms"
            placeholder="with the scroll"
            value={motion.smooth === undefined ? null : Math.round(motion.smooth * 1000)}
            least={0}
            most={1000 * MOST_SMOOTH}
            step={50}
            onClear={() => {
              const { smooth: _, ...rest } = motion
              motions.change(rest)
            }}
            onChange={(ms) => motions.change({ ...motion, smooth: ms / 1000 })}
          />
        </Row>
        {motion.smooth !== undefined && statesOfStyle(block.style).length > 0 && (
          <Finding well={false}>The block has states, whose changes take its time: it goes with the scroll at once.</Finding>
        )}
      </>
    )
  if (motion.kind === 'loop' || motion.kind === 'strip') return <EndlessFields block={block} motion={motion} motions={motions} />
  const time = (name: 'duration' | 'delay' | 'apart', title: string) => (
    <NumberField
      className="flex-1"
      label={title}
      unit="ms"
      placeholder={name === 'apart' ? 'all at once' : '0'}
      value={motion[name] === undefined ? null : Math.round(motion[name] * 1000)}
      least={0}
      most={name === 'apart' ? 5000 : 20_000}
      step={50}
      onClear={() => {
        const { [name]: _, ...rest } = motion
        if (name !== 'duration') motions.change(rest as Motion)
      }}
      onChange={(ms) => motions.change({ ...motion, [name]: ms / 1000 })}
    />
  )
  return (
    <>
      <Row label="Takes">{time('duration', 'How long it takes')}</Row>
      <Row label="Waits">{time('delay', 'How long it waits')}</Row>
      <MotionCurve motion={motion} motions={motions} usual="ease" />
      <Row label="In turn">{time('apart', 'Blocks inside one after the other')}</Row>
    </>
  )
}

/** What is said of each view, once where it is the same in all. */
function atWidths(list: readonly { width: number; said: string }[]): string {
  const same = list.length > 1 && list.every((one) => one.said === list[0]!.said)
  return same ? `${list[0]!.said} at every view` : list.map((one) => `${one.said} at ${one.width}`).join(', ')
}

/** How far the motion carries its block past the window in each view, and the setting that cuts that off at the section. */
function PastWindow({ block, motion, index }: { block: Block; motion: Motion; index: number }) {
  const store = useSessionStore()
  const views = useMovingViews(movesAcross(motion))
  const site = useSession((state) => state.session.site)
  const place = findBlock(site, block.id)
  const section = [...(place?.ancestors ?? []), block].find((one) => one.kind === 'section')
  const past = views.flatMap(({ view, moving }) => {
    const own = moving.blocks.find((one) => one.block.id === block.id)
    const now = own?.motions[index]
    const furthest = own && now && carriedPast([now], own.box, moving.scene, view.width)
    const clips = section && valueAt(section.style, 'clips', site.breakpoints, rangeAt(site.breakpoints, view.width)) === true
    return furthest && furthest.by >= 1 ? [{ width: view.width, said: `${Math.round(furthest.by)} px`, clips }] : []
  })
  if (past.length === 0 || !section) return null
  const open = past.filter((one) => !one.clips)
  if (open.length === 0) return <Finding well>Goes {atWidths(past)} past the window, and is cut off at its section.</Finding>
  return (
    <Finding well={false}>
      Goes {atWidths(open)} past the window: the page scrolls sideways then.{' '}
      <button
        type="button"
        className="min-h-6 underline"
        onClick={() => edit(store, { kind: 'style', block: section.id, scope: 'base', values: { clips: true } })}
      >
        Cut it off at its section
      </button>
    </Finding>
  )
}

/** Where the motion happens in each open view, and why it does not, or not wholly. */
function WhatItComesTo({ block, motion, index }: { block: Block; motion: Motion; index: number }) {
  const views = useMovingViews(true)
  const calm = matchMedia('(prefers-reduced-motion: reduce)').matches
  const found = views.flatMap(({ view, moving }) => {
    const own = moving.blocks.find((one) => one.block.id === block.id)
    const now = own?.motions[index]
    if (!own || now?.kind !== motion.kind) return []
    const span = spanOf(now, own.box, moving.scene)
    const why = whyStill(now, span, restingOf(now, index, span), moving.scene)
    const warnings = now.kind === 'parallax' && span && !why ? parallaxFindings(view, moving, own, now) : []
    return [
      { width: view.width, said: span && now.kind !== 'parallax' ? spanInWords(now, span) : '', why, warnings, now, own, moving },
    ]
  })
  const well = found.filter((one) => !one.why && one.said !== '')
  const whys = new Map<string, number[]>()
  for (const { width, why, warnings } of found)
    for (const sentence of [...(why ? [why] : []), ...warnings.filter((one) => !one.well).map((one) => one.sentence)])
      whys.set(sentence, [...(whys.get(sentence) ?? []), width])
  const travels = found.flatMap(({ width, warnings }) =>
    warnings.filter((one) => one.well).map((one) => ({ width, sentence: one.sentence })),
  )
  return (
    <Fragment>
      {well.length > 0 && (
        <Finding well>
          {motion.kind === 'reveal' ? 'Plays ' : motion.kind === 'scrub' ? 'Moves from ' : ''}
          {atWidths(well)}.
        </Finding>
      )}
      {travels.length > 0 && (
        <Finding well>Travels {atWidths(travels.map(({ width, sentence }) => ({ width, said: sentence })))}.</Finding>
      )}
      {[...whys].map(([sentence, widths]) => (
        <Finding key={sentence} well={false}>
          At {widths.join(', ')}: {sentence}
        </Finding>
      ))}
      {calm && <Finding well={false}>This machine asks for less motion, so Play and the exported page stay at rest on it.</Finding>}
      {(motion.kind === 'parallax' || motion.kind === 'scrub') && well.length + travels.length > 0 && (
        <Finding well>CSS alone. Engines without timelines of the scroll, and visitors who want no motion, see it at rest.</Finding>
      )}
    </Fragment>
  )
}
