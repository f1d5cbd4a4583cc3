import { type Budget, USUAL_BUDGET } from '#core/site/launch'
import type { Site } from '#core/site/schema'
import { kilobytes } from '#core/values/weight'
import type { Finding } from './finding'
import { picturesInUse } from './picture-uses'

/** What a page weighs in one view, bytes. */
export type Weights = { html: number; css: number; script: number; fonts: number; taken: number; later: number }

/** A picture that weighs much for its place: the bytes of its file, and the size of that, px. */
export type HeavyPicture = { picture: string; bytes: number; width: number; height: number }

/**
 * What a page weighs in one view, bytes: the pictures that a browser takes, and the originals as they came; of the pictures
 * those that wait until they are scrolled to; and its texts as servers send them, packed, with the fonts.
 */
export type ViewWeight = Weights & {
  page: string
  width: number
  density: number
  naive: number
  files: number
  heavy: HeavyPicture[]
}

/** A slow connection, as a telephone has it at the edge of its net: bits for each second, and seconds of a way there and back. */
export const SLOW = { bits: 1_600_000, trip: 0.15 } as const
/** Ways there and back before the first byte of the page is here: the name, the connection, its encryption, the page. */
const BEFORE = 4
/** Ways from there until all is asked for: the stylesheet and what it names. */
const AFTER = 2

/** Bytes that come before a visitor scrolls. */
export const firstLoad = ({ html, css, script, fonts, taken, later }: Weights): number =>
  html + css + script + fonts + taken - later

/** How long the first load takes on a slow connection, seconds; an estimate, with nothing but this page on the line. */
export const secondsOf = (bytes: number): number => (BEFORE + AFTER) * SLOW.trip + (bytes * 8) / SLOW.bits

/** What a first load takes beyond a budget, in words; nothing where it keeps to it. */
export function beyond(bytes: number, budget: Budget): string | undefined {
  const seconds = secondsOf(bytes)
  const parts = [
    ...(bytes > budget.bytes ? [`${Math.round((bytes - budget.bytes) / 1024)} kB`] : []),
    ...(seconds > budget.seconds ? [`${(seconds - budget.seconds).toFixed(1)} s`] : []),
  ]
  return parts.length === 0 ? undefined : `${parts.join(' and ')} beyond the budget`
}

/** What is to be said of a page's weight. */
export type WeightFinding = Finding<'overBudget' | 'heavyPicture'> & { page: string; fault: boolean }

/** The views in which a page takes more than the budget of its site, where it is furthest beyond, and pictures that are heavy for their place. */
export function weightFindings(site: Site, page: string, weights: readonly ViewWeight[]): WeightFinding[] {
  const own = weights.filter((one) => one.page === page)
  const budget = site.launch?.budget ?? USUAL_BUDGET
  const over = own.filter((one) => beyond(firstLoad(one), budget) !== undefined)
  const [most] = over.toSorted((a, b) => firstLoad(b) - firstLoad(a))
  const heavy = new Map<string, HeavyPicture>()
  for (const one of own.flatMap((view) => view.heavy))
    if ((heavy.get(one.picture)?.bytes ?? 0) < one.bytes) heavy.set(one.picture, one)
  const uses = heavy.size > 0 ? picturesInUse(site) : undefined
  /** The first block of the page that shows a picture. */
  const blockOf = (picture: string): { block?: string } => {
    const use = uses?.get(picture)?.find((one) => 'page' in one && one.page === page)
    return use && 'block' in use ? { block: use.block } : {}
  }
  return [
    ...(most
      ? [
          {
            kind: 'overBudget' as const,
            page,
            fault: true,
            sentence: `A first load takes ${kilobytes(firstLoad(most))} at ${most.width} px, ${most.density}x: ${beyond(firstLoad(most), budget)!}.`,
            why: `${over.length} of ${own.length} views are beyond ${kilobytes(budget.bytes)} and ${budget.seconds} s on a slow connection.`,
          },
        ]
      : []),
    ...[...heavy.values()].map((one) => ({
      kind: 'heavyPicture' as const,
      page,
      fault: false,
      beside: one.picture,
      ...blockOf(one.picture),
      sentence: `“${site.pictures.find(({ id }) => id === one.picture)?.name}” takes ${kilobytes(one.bytes)} for ${one.width} × ${one.height} px.`,
    })),
  ]
}
