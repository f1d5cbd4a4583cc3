import { short } from '#core/values/short'
import type { Block } from '#core/blocks/index'
import { showsOne } from '#core/blocks/panel'
import { isContainer } from '#core/blocks/tree'
import { writtenOut } from '#core/style/written-out'
import { rangeAt } from '#core/grid/columns'
import type { StyleGuide } from '#core/guide/style-guide'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { type Motion, motionsIn } from '#core/motion/motion'
import { inTurn, isStaggered } from '#core/motion/turns'
import { originOf } from '#core/motion/followed'
import { type Box, lineAt, type Scene } from '#core/motion/scene'
import type { Posed } from '#core/motion/pose'
import { type At, stateAt, stickyAt } from '#core/motion/state'
import { stepAt } from '#core/motion/steps'
import { restyledPage } from '#core/site/directions'
import type { Page, Site } from '#core/site/schema'
import { valuesByRange } from '#core/style/cascade'
import type { Frame } from './frame'
import type { StageView } from './frames'
import { measureSticky, type Sticky } from './measure-sticky'

/** A section of a view: its box, px of the page, and the space above it that only aligns the rows. */
export type SectionBox = { id: string; box: Box; shift: number }

/** A block that moves in a view: where it stands at rest, and what moves it there. */
export type Moved = {
  block: Block
  /** The block itself, or one inside that moves in its turn. */
  element: HTMLElement
  box: Box
  motions: readonly Motion[]
  /** Its own filter, which a blur is added to. */
  filter: string
}

/** All that moves in a view, as it was measured at rest. */
export type Moving = {
  guide: Pick<StyleGuide, 'colours'>
  scene: Scene
  sections: readonly SectionBox[]
  /** Blocks with motions, each once. */
  blocks: readonly { block: Block; box: Box; motions: readonly Motion[] }[]
  moved: readonly Moved[]
  sticky: readonly (Sticky & { shift: number })[]
  /** Groups that show one of their blocks at a time as others pass a line. */
  steps: readonly { blocks: readonly Element[]; starts: readonly (number | undefined)[]; line: number }[]
}

function sectionsOf(view: Pick<StageView, 'frame' | 'gaps'>): SectionBox[] {
  let shift = 0
  return [...view.frame.document.querySelectorAll<HTMLElement>('.band')].map((band) => {
    const { left, top, width, height } = band.getBoundingClientRect()
    const id = band.dataset.block!
    const section = { id, box: { left, top: top - shift, width, height }, shift }
    shift += view.gaps.get(id) ?? 0
    return section
  })
}

/** Measures a view that stands at rest. @param height of its window, px; the usual one of its width if nothing is said */
export function measureMoving(site: Site, asked: Page, view: Pick<StageView, 'frame' | 'gaps' | 'width'>, height?: number): Moving {
  const page = restyledPage(site, asked)
  const { breakpoints } = site
  const range = rangeAt(breakpoints, view.width)
  const window = view.frame.document.defaultView!
  const sections = sectionsOf(view)
  const boxes = new Map(sections.map(({ id, box }) => [id, box]))
  const holders = new Map<string, Box>()
  const last = sections.at(-1)?.box
  const scene: Scene = {
    window: height ?? viewportHeightFor(view.width),
    page: last ? last.top + last.height : 0,
    section: (id) => boxes.get(id) ?? holders.get(id),
  }
  const blocks: { block: Block; box: Box; motions: readonly Motion[] }[] = []
  const moved: Moved[] = []
  const sticky: Moving['sticky'][number][] = []
  const steps: Moving['steps'][number][] = []
  const shiftOf = (id: string) => sections.find((one) => one.id === id)?.shift ?? 0
  const topOf = (id: string): number | undefined => {
    const element = view.frame.find(id)
    const band = element?.closest<HTMLElement>('.band')
    return element ? element.getBoundingClientRect().top - shiftOf(band?.dataset.block ?? '') : undefined
  }
  const boxIn = (element: Element, shift: number): Box => {
    const { left, top, width, height } = element.getBoundingClientRect()
    return { left, top: top - shift, width, height }
  }
  const visit = (block: Block, shift: number) => {
    if (block.hidden) return
    const values = valuesByRange(block.style, breakpoints)[range]!
    if (values.shown === false) return
    const motions = motionsIn(values.motion)
    const element = motions.length > 0 ? view.frame.find(block.id) : undefined
    if (element) {
      const box = boxIn(element, shift)
      const filterOf = (one: Element) => window.getComputedStyle(one).filter
      blocks.push({ block, box, motions })
      holders.set(block.id, box)
      const own = motions.filter((one) => !isStaggered(one))
      if (own.length > 0) moved.push({ block, element, box, motions: own, filter: filterOf(element) })
      const turns = motions.filter(isStaggered)
      if (turns.length > 0)
        [...element.children].forEach((child, index) => {
          const each = turns.map((motion) => inTurn(motion, index, block.id))
          moved.push({ block, element: child as HTMLElement, box: boxIn(child, shift), motions: each, filter: filterOf(child) })
        })
    }
    if (values.position === 'sticky') {
      const found = measureSticky(view, block.id)
      if (found) sticky.push({ ...found, top: found.top - shift, shift })
    }
    if (showsOne(block) && block.steps) {
      const { at, line } = block.steps
      const shown = block.children.filter((one) => !one.hidden)
      const starts = shown
        .map((one) => at.find((each) => each.block === one.id)?.of)
        .map((of) => (of === undefined ? of : topOf(of)))
      const blocks = shown.flatMap((one) => view.frame.find(one.id) ?? [])
      if (blocks.length === shown.length) steps.push({ blocks, starts, line: lineAt(line, scene.window) })
    }
    if (isContainer(block)) for (const child of block.children) visit(child, shift)
  }
  for (const section of page.sections) visit(section, sections.find((one) => one.id === section.id)?.shift ?? 0)
  return { guide: site.guide, scene, sections, blocks, moved, sticky, steps }
}

/** Properties that are set on a block, and those of the guide's colours that move in it. */
type Wanted = Readonly<Record<string, string>>

/** What was set on an element last: asking its style costs as much as setting it. */
const set = new WeakMap<HTMLElement, Wanted>()

function clear(element: HTMLElement): void {
  for (const name in set.get(element)) element.style.removeProperty(name)
  set.delete(element)
}

/** Sets what is not as at rest, and takes the rest away. */
function put(element: HTMLElement, wanted: Wanted): void {
  const before = set.get(element) ?? {}
  for (const name in before) if (wanted[name] === undefined) element.style.removeProperty(name)
  for (const name in wanted) if (before[name] !== wanted[name]) element.style.setProperty(name, wanted[name]!)
  set.set(element, wanted)
}

/** Shows of each group the block that is shown at a scroll position. */
function showSteps(steps: Moving['steps'], scroll: number): void {
  for (const { blocks, starts, line } of steps) {
    const shown = stepAt(starts, line, scroll)
    blocks.forEach((one, i) => one.toggleAttribute('data-shown', i === shown))
  }
}

/** Colours of the guide as they are for a block that changes them; words in it, which take theirs from around it, with them. */
function coloursAt(colours: Posed['colours'], guide: Moving['guide']): Wanted {
  const wanted: Record<string, string> = {}
  for (const role in colours) {
    const { from = { role }, to = { role }, share } = colours[role]!
    const [a, b] = [from, to].map((one) => writtenOut(one, guide.colours))
    wanted[`--${role}`] = `color-mix(in srgb, ${a}, ${b} ${short(Math.min(1, Math.max(0, share)) * 100)}%)`
    if (role === 'ink') wanted.color = 'var(--ink)'
  }
  return wanted
}

/** Shows a view as its page is at a scroll position, by styles of the blocks that move and no script in the frame. */
export function putAt({ guide, scene, moved, sticky, steps }: Moving, at: At): void {
  showSteps(steps, at.scroll)
  const carried = new Map<HTMLElement, number>(
    sticky.map(({ element, top, distance, way }) => [element, stickyAt(top, distance, way, at.scroll)]),
  )
  for (const { element, box, motions, filter } of moved) {
    const { opacity, x, y, scale, turn, blur, clip, colours } = stateAt(motions, box, scene, at)
    const down = y + (carried.get(element) ?? 0)
    carried.delete(element)
    const origin = originOf(motions)
    put(element, {
      ...(origin ? { 'transform-origin': origin } : {}),
      ...(x !== 0 || down !== 0 ? { translate: `${short(x)}px ${short(down)}px` } : {}),
      ...(scale !== 1 ? { scale: short(scale) } : {}),
      ...(turn !== 0 ? { rotate: `${short(turn)}deg` } : {}),
      ...(opacity !== 1 ? { opacity: short(opacity) } : {}),
      ...(blur > 0 ? { filter: `${filter === 'none' ? '' : filter} blur(${short(blur)}px)` } : {}),
      ...coloursAt(colours, guide),
      ...(clip.some((one) => one > 0) ? { 'clip-path': `inset(${clip.map((one) => `${short(one)}%`).join(' ')})` } : {}),
    })
  }
  for (const [element, down] of carried) put(element, down === 0 ? {} : { translate: `0px ${short(down)}px` })
}

/** Shows a view as it stands at rest. */
export function putAtRest({ moved, sticky, steps }: Moving): void {
  showSteps(steps, -Infinity)
  for (const { element } of [...moved, ...sticky]) clear(element)
}

type Known = { layout: number; moving: Moving; at: At | null }
const known = new WeakMap<Frame, Known>()

/**
 * All that moves in a view, measured at rest once for each layout, which every change of the page ends with; what the view
 * is shown at stays.
 */
export function movingIn(view: StageView, site: Site, page: Page, layout: number): Moving {
  const before = known.get(view.frame)
  if (before?.layout === layout) return before.moving
  if (before) putAtRest(before.moving)
  const moving = measureMoving(site, page, view)
  const at = before?.at ?? null
  if (at) putAt(moving, at)
  known.set(view.frame, { layout, moving, at })
  return moving
}

/** Shows a view at a scroll position, or at rest. */
export function showAt(view: StageView, at: At | null): void {
  const one = known.get(view.frame)
  if (!one) return
  one.at = at
  if (at) putAt(one.moving, at)
  else putAtRest(one.moving)
}
