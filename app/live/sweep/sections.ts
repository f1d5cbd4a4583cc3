import type { Page, Site } from '#core/site/schema'
import type { Stress } from '#core/stress/stress'
import { factsOf } from '#core/sweep/facts'
import { createFinder } from '#core/sweep/find'
import { unsettledIn } from '#core/sweep/flows'
import { partOf } from '#core/sweep/part'
import type { Reading } from '#core/sweep/reading'
import { straightWhere } from '#core/sweep/straight'
import { SWEPT } from '#core/sweep/widths'
import type { HiddenFrame } from '../hidden-frame'
import type { Hides } from '../opacities'
import { createReader } from '../read-page'
import type { ReadCarried } from './motions'
import { createResizer, firstWidths, heightAt, type InSteps, type Looked, type Sweeping, throughWidths } from './sweeping'

/** Px by which a box may stand out of the sections that it is looked at with. */
const OUT = 1

/** Marks the sections that are not laid out for now. */
const ASIDE = 'data-aside'

/** What was found of some sections, and whether something in them reaches out of them, above or below. */
export type LookedAt = Looked & { reachesOut: boolean }

/** True where a block stands above or below the sections that were read with it. */
function reachesOut({ blocks }: Reading, sections: readonly { id: string }[]): boolean {
  const boxes = sections.flatMap(({ id }) => blocks.get(id)?.box ?? [])
  const [top, bottom] = [Math.min(...boxes.map((one) => one.top)) - OUT, Math.max(...boxes.map((one) => one.bottom)) + OUT]
  for (const { box } of blocks.values()) if (box.top < top || box.bottom > bottom) return true
  return false
}

/** Makes what reads sections of a page that a frame shows, at a width. */
function createLook(hidden: HiddenFrame, site: Site, bands: readonly HTMLElement[], hides: Hides, stress: Stress | undefined) {
  const resize = createResizer(hidden, stress)
  const reader = createReader(hidden.frame.document, bands, site.breakpoints, hides)
  const look = (width: number) => {
    resize(width)
    return reader.read(width)
  }
  // At the widest, words stand on one line, and the width of each is known from then on.
  look(SWEPT.to)
  return look
}

const bandsIn = ({ frame }: HiddenFrame) => [...frame.document.querySelectorAll<HTMLElement>('.band')]

/**
 * Looks at all sections that a frame shows, at the widths that are looked at first: one page is laid out faster than its parts.
 * @param readCarried reads what motions carry, where that is asked for
 * @returns nothing where it was given up
 */
export async function readInSteps(
  hidden: HiddenFrame,
  site: Site,
  hides: Hides,
  readCarried: ReadCarried | undefined,
  { stress, onWidth }: Sweeping,
): Promise<InSteps | undefined> {
  const look = createLook(hidden, site, bandsIn(hidden), hides, stress)
  const read = new Map<number, Reading>()
  for (const width of firstWidths(site, stress)) {
    const seen = look(width)
    read.set(width, readCarried ? { ...seen, carried: readCarried(width) } : seen)
    if (!(await onWidth(width))) return undefined
  }
  return read
}

/**
 * Looks at some sections of a page that a frame shows, width by width, while the others are not laid out.
 * @param hides tells of a picture whether anything is seen through a part of it
 * @param inSteps what all sections were read as already
 * @returns nothing where it was given up
 */
export async function sweepSections(
  hidden: HiddenFrame,
  site: Site,
  sections: Page['sections'],
  hides: Hides,
  inSteps: InSteps,
  sweeping: Sweeping,
): Promise<LookedAt | undefined> {
  const { stress } = sweeping
  const finder = createFinder(site, sections, (width) => heightAt(width, stress), stress?.mirrored)
  const facts = factsOf(site, sections)
  const ids = new Set(facts.keys())
  const own = new Set(sections.map((one) => one.id))
  const bands = bandsIn(hidden)
  const unsettled = new Set(sections.flatMap((one) => [...unsettledIn(one, site)]))
  const isStraight = straightWhere(
    (id) => !unsettled.has(id),
    (id) => facts.get(id)!.section.id,
  )
  let out = false
  let lookAlone: ReturnType<typeof createLook> | undefined
  const read = (width: number): Reading => {
    const known = inSteps.get(width)
    const part = known && partOf(known, ids, sections[0]!.id)
    if (part) return part
    if (!lookAlone) {
      for (const band of bands) band.toggleAttribute(ASIDE, !own.has(band.dataset.block!))
      lookAlone = createLook(
        hidden,
        site,
        bands.filter((band) => !band.hasAttribute(ASIDE)),
        hides,
        stress,
      )
    }
    return lookAlone(width)
  }
  const look = (width: number) => {
    const reading = read(width)
    out ||= reachesOut(reading, sections)
    return reading
  }
  try {
    const looked = await throughWidths(site, finder, look, isStraight, sweeping)
    return looked && { ...looked, reachesOut: out }
  } finally {
    for (const band of bands) band.removeAttribute(ASIDE)
  }
}
