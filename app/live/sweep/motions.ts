import { walk } from '#core/blocks/tree'
import { carriedPast, movesAcross } from '#core/motion/across'
import { createFinder, type WidthFinding } from '#core/sweep/find'
import { isStraight } from '#core/sweep/straight'
import type { Page, Site } from '#core/site/schema'
import type { Stress } from '#core/stress/stress'
import { motionsOf } from '#core/style/motions-of'
import type { HiddenFrame } from '../hidden-frame'
import { measureMoving, type Moving, putAt, putAtRest } from '../moving'
import { createResizer, heightAt, type InSteps, type Sweeping, throughWidths } from './sweeping'

/** True for sections in which something is carried, grown or turned. */
export const hasMotionAcross = (sections: Page['sections']): boolean =>
  sections.some((section) => [...walk(section)].some(({ style }) => motionsOf(style).some(movesAcross)))

/** The block that an element is, or stands in. */
const blockOf = (element: Element) => element.closest<HTMLElement>('[data-block]')?.dataset.block

/**
 * How far blocks that move come to stand past the side of the window that their page scrolls to, each where its motions carry
 * it furthest, by its id, px. What stands so at rest is not counted: it is found there.
 */
function carriedIn(moving: Moving, root: Element, width: number, mirrored: boolean): ReadonlyMap<string, number> {
  const past = () => root.scrollWidth - width
  const found = new Map<string, number>()
  let rest: number | undefined
  for (const one of moving.moved) {
    const furthest = carriedPast(one.motions, one.box, moving.scene, width, mirrored)
    if (!furthest) continue
    // Others that it stands in carry it as well, and what is in it may be wider than it is.
    const within = moving.moved.filter(({ element }) => element.contains(one.element))
    const inner = Math.max(0, one.element.scrollWidth - one.element.clientWidth)
    if (within.length === 1 && furthest.by + inner < 0.5) continue
    rest ??= past()
    const alone: Moving = { ...moving, moved: within, sticky: [], steps: [] }
    putAt(alone, furthest.at)
    const by = past()
    putAtRest(alone)
    const id = blockOf(one.element)
    // Its engine says whether the page is wider; its own sides to a fraction by how much, where nothing else has to do with it.
    if (by <= rest || by < 1 || id === undefined) continue
    const exact = within.length === 1 && inner === 0 && Math.abs(furthest.by - by) <= 1 ? furthest.by : by
    found.set(id, Math.max(exact, found.get(id) ?? 0))
  }
  return found
}

/** What reads how far motions of a page that a frame shows whole carry blocks past a window of the width that it has just been given. */
export type ReadCarried = (width: number) => ReadonlyMap<string, number>

export const createCarriedReader =
  (hidden: HiddenFrame, site: Site, page: Page, stress: Stress | undefined): ReadCarried =>
  (width) => {
    const moving = measureMoving(site, page, { frame: hidden.frame, gaps: new Map(), width }, heightAt(width, stress))
    return carriedIn(moving, hidden.frame.document.documentElement, width, stress?.mirrored === true)
  }

/**
 * Looks, at all widths, for what motions carry past the window, so that the published page is wider than that for as long.
 * The page is shown whole, since where a motion ends may hang on all of it.
 * @param inSteps what the page was read as already, with what is carried
 * @returns nothing where it was given up
 */
export async function sweepMotions(
  hidden: HiddenFrame,
  site: Site,
  page: Page,
  inSteps: InSteps,
  sweeping: Sweeping,
): Promise<WidthFinding[] | undefined> {
  const { stress } = sweeping
  const sections = page.sections.filter((one) => !one.hidden)
  const finder = createFinder(site, sections, (width) => heightAt(width, stress), stress?.mirrored)
  const resize = createResizer(hidden, stress)
  const read = createCarriedReader(hidden, site, page, stress)
  const look = (width: number) => {
    const known = inSteps.get(width)?.carried
    if (!known) resize(width)
    return { width, blocks: new Map(), carried: known ?? read(width) }
  }
  const looked = await throughWidths(site, finder, look, isStraight, sweeping)
  return looked?.findings.filter((one) => one.kind === 'carriedPast')
}
