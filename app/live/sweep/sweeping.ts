import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Site } from '#core/site/schema'
import type { Stress } from '#core/stress/stress'
import type { Finder } from '#core/sweep/find'
import type { Reading } from '#core/sweep/reading'
import type { IsStraight } from '#core/sweep/straight'
import { alone, steps, sweep } from '#core/sweep/sweep'
import { stepAt, SWEPT, turningWidths } from '#core/sweep/widths'
import type { HiddenFrame } from '../hidden-frame'

/** What a run came to before it is told apart by sections. */
export type Looked = ReturnType<Finder['findings']>

/** How a page is run through its widths, whatever is looked for. */
export type Sweeping = {
  stress: Stress | undefined
  /** Called after each width; it waits while the screen is to be drawn. @returns false to give up */
  onWidth: (width: number) => Promise<boolean>
  /** Gives up at once where a finding still holds at a width: whoever tries what mends it need not see the others. */
  unless?: { width: number; key: string } | undefined
}

/** What a page was read as at some widths, px. */
export type InSteps = ReadonlyMap<number, Reading>

/** Height of the window at a width, px. */
export const heightAt = (width: number, stress: Stress | undefined): number => stress?.height ?? viewportHeightFor(width)

/** Gives a frame windows of many widths, each with its height. */
export function createResizer({ frame, resize }: HiddenFrame, stress: Stress | undefined): (width: number) => number {
  let tall = 0
  return (width) => {
    const height = heightAt(width, stress)
    // Set only where it changes: all that inherits it is styled anew.
    if (height !== tall) frame.document.documentElement.style.setProperty('--vh', `${(tall = height) / 100}px`)
    resize(width, height)
    return height
  }
}

/** The widths that are looked at first, or alone, px; the least first. */
export const firstWidths = ({ breakpoints }: Site, stress: Stress | undefined): readonly number[] =>
  stress?.widths ?? steps(SWEPT.from, SWEPT.to, stepAt, turningWidths(breakpoints))

/**
 * Looks at what a frame shows at all widths that have to be known, or at those alone that a stress names.
 * @param look reads what is to be read at a width
 * @returns nothing where it was given up
 */
export async function throughWidths(
  site: Site,
  finder: Finder,
  look: (width: number) => Reading,
  isStraight: IsStraight,
  { stress, onWidth, unless }: Sweeping,
): Promise<Looked | undefined> {
  if (unless && finder.look(look(unless.width)).has(unless.key)) return undefined
  const only = stress?.widths
  const run = only ? alone<Reading>(only) : sweep(SWEPT.from, SWEPT.to, stepAt, turningWidths(site.breakpoints), isStraight)
  let next = run.next()
  while (!next.done) {
    const seen = look(next.value)
    next = run.next({ keys: finder.look(seen), seen })
    if (!(await onWidth(seen.width))) return undefined
  }
  return finder.findings(next.value)
}
