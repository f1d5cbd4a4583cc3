import { scopesOf } from '#core/analysis/values-in-use'
import { isEndless } from '#core/motion/motion'
import { furthest, spanOf } from '#core/motion/scene'
import { type At, restingOf, stateAt } from '#core/motion/state'
import type { Section } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { Page } from '#core/site/schema'
import type { Moved, Moving } from './moving'

/** How many places of each motion are looked at, from its start to its end. */
const PLACES = 5

const between = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count }, (_, n) => from + ((to - from) * n) / (count - 1))

/** Where a motion has to be looked at, as far as the section that it stands in is in the window. */
function atOf({ motions, box }: Moved, { scene }: Moving, from: number, to: number): At[] {
  return motions.flatMap((motion, n): At[] => {
    const span = spanOf(motion, box, scene)
    if (!span || restingOf(motion, n, span) !== undefined) return []
    if (motion.kind === 'loop')
      return between(motion.delay ?? 0, (motion.delay ?? 0) + motion.duration, PLACES).map((time) => ({
        scroll: (from + to) / 2,
        time: Math.min(time, (motion.delay ?? 0) + motion.duration * 0.999),
      }))
    if (isEndless(motion)) return []
    // Before its line, a reveal is as it waits; the opening has been played when somebody reads.
    if (motion.kind === 'reveal') return [{ scroll: span.from - 1 }, { scroll: span.from }]
    if (motion.kind === 'opening') return []
    return between(Math.max(from, span.from), Math.min(to, span.to), PLACES).map((scroll) => ({ scroll }))
  })
}

const paints = new WeakMap<Section, { plain: string | undefined }>()

/** The colours that a section and all in it are filled with; none where there are pictures or gradients in it. */
function plainPaint(section: Section | undefined): string | undefined {
  if (!section) return undefined
  let known = paints.get(section)
  if (!known) {
    const blocks = [...walk(section)]
    const values = blocks.flatMap((block) => [...scopesOf(block)].map(([, one]) => one))
    const isPlain = blocks.every(({ kind }) => kind !== 'picture') && values.every((one) => !one.fillLayers && !one.behind)
    const fills = new Set(values.flatMap(({ fill, around }) => [fill, around]).flatMap((one) => (one ? JSON.stringify(one) : [])))
    paints.set(section, (known = { plain: isPlain ? [...fills].sort().join() : undefined }))
  }
  return known.plain
}

/**
 * Scroll positions at which words have to be looked at besides at rest: along all that moves in their section, while a group
 * shows the block that they are in, and, where they stay in the window, over each section that passes under them.
 */
export function positionsOf(element: Element, moving: Moving, page: Page): At[] {
  const band = element.closest<HTMLElement>('.band')
  const section = moving.sections.find(({ id }) => id === band?.dataset.block)
  if (!band || !section) return []
  const { window } = moving.scene
  const [from, to] = [section.box.top - window, section.box.top + section.box.height]
  const moved = moving.moved.filter((one) => band.contains(one.element)).flatMap((one) => atOf(one, moving, from, to))
  const shown = moving.steps.flatMap(({ blocks, starts, line }) =>
    blocks.flatMap((one, n) => (one.contains(element) && starts[n] !== undefined ? [{ scroll: starts[n] - line + 1 }] : [])),
  )
  const held = moving.sticky.filter((one) => one.element.contains(element) && one.way > 0)
  const over = held.flatMap(({ element: holder, top, distance, way }) => {
    const start = top - distance
    // Words that go with the whole page pass over all of it, those that stay in their section over that.
    const passed = holder === band ? moving.sections.filter((one) => one !== section) : [section]
    const known = new Set<string>()
    return passed.flatMap(({ id, box }) => {
      const paint = plainPaint(page.sections.find((one) => one.id === id))
      // Of sections that are painted with the same plain colours one says as much as all.
      if (paint !== undefined && known.has(paint)) return []
      const at = (paint === undefined ? [0.25, 0.5, 0.75] : [0.5])
        .map((share) => box.top + box.height * share - distance)
        .filter((one) => one >= start && one <= start + way)
      if (paint !== undefined && at.length > 0) known.add(paint)
      return at
    })
  })
  const all: At[] = [...moved, ...shown, ...over.map((scroll) => ({ scroll }))]
  const last = furthest(moving.scene)
  const seen = new Map<string, At>()
  for (const at of all) {
    const scroll = Math.min(last, Math.max(0, Math.round(at.scroll)))
    seen.set(`${scroll} ${at.time ?? ''}`, { ...at, scroll })
  }
  return [...seen.values()]
}

/** px and seconds from a place along a motion at which it has come a little further. */
const NEAR = { scroll: 2, time: 0.02 }

/**
 * Tells whether words are coming or going at a scroll position: their opacity is another a little before or after. Nobody
 * reads them then; where a motion leaves them pale, they are read as pale as they are.
 */
export function isFading(element: Element, { moved, scene }: Moving, at: At): boolean {
  const around = moved.filter((one) => one.element.contains(element))
  const opacity = (by: -1 | 0 | 1) => {
    const near: At = { scroll: at.scroll + by * NEAR.scroll, ...(at.time === undefined ? {} : { time: at.time + by * NEAR.time }) }
    return around.reduce((share, { motions, box }) => share * stateAt(motions, box, scene, near).opacity, 1)
  }
  const now = opacity(0)
  return now === 0 || Math.abs(opacity(-1) - now) > 0.001 || Math.abs(opacity(1) - now) > 0.001
}
