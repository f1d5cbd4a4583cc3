import { extentAt } from '#core/picture/sizes'
import { columnsOf, extentOf, reachAt } from '#core/render/surround'
import { type Reach, sidesOf } from '#core/grid/reach'
import type { Block } from '#core/blocks/index'
import type { Place } from '#core/site/tree'
import { rangeOf, valueAt } from '#core/style/cascade'
import { surroundAt } from '#core/render/surround'
import type { SessionState } from '../../session/store'

/** "8 col" for a block that takes fewer columns than there are, else nothing. */
export function spanText({ session, scope }: SessionState, block: Block): string {
  const { breakpoints } = session.site
  const span = valueAt(block.style, 'span', breakpoints, rangeOf(breakpoints, scope))
  return span === undefined ? '' : `${span} col`
}

/** The viewport that figures of a range are given for: the widest view in it, or its upper end. */
export function viewportOf({ session }: SessionState, range: number): number {
  const { breakpoints, views } = session.site
  const upper = breakpoints[range]!.below ?? Infinity
  const lower = breakpoints[range + 1]?.below ?? 0
  return (
    views.filter((width) => width >= lower && width < upper).sort((a, b) => b - a)[0] ??
    (upper === Infinity ? lower + 256 : upper - 1)
  )
}

const reachInWords = (reach: Reach, span: number, columns: number): string =>
  reach === 'full'
    ? 'Reaches from edge to edge'
    : `Takes the ${reach === 'left' ? 'first' : 'last'} ${span} of ${columns} columns, and goes on to the ${reach} edge`

/**
 * What the columns of a block come to, in words: "Fills 8 columns, 739 px. Below 640 it takes the full row."
 * @param room how wide what it stands in is inside, measured in a view of the range, px; the most that it may be, without it
 */
export function placeInWords(state: SessionState, place: Place, range: number, room?: number): string {
  const { site } = state.session
  const { breakpoints } = site
  const parent = place.ancestors.at(-1)
  if (!parent)
    return `${breakpoints[range]!.columns} columns in ${Math.round(Math.min(breakpoints[range]!.container, viewportOf(state, range) - 2 * breakpoints[range]!.margin))} px.`
  const surround = surroundAt(site, place)
  const at = surround.ranges[range]!
  const viewport = viewportOf(state, range)
  const px = Math.round(extentAt(extentOf(place.block, surround, breakpoints, range), breakpoints[range]!, viewport))
  if (valueAt(place.block.style, 'position', breakpoints, range) === 'backdrop')
    return `Lies behind all of ${parent.name ?? parent.kind}.`
  if (at.layout !== 'grid')
    return `Stands in ${at.layout === 'overlay' ? 'an overlay' : `a ${at.layout}`} of ${room === undefined ? `at most ${px}` : Math.round(room)} px.`
  const spanAt = (index: number) => columnsOf(place.block, surround, breakpoints, index).span
  const fullFrom = breakpoints.findIndex(
    (_, index) => index > range && surround.ranges[index]!.layout === 'grid' && spanAt(index) === surround.ranges[index]!.columns,
  )
  const span = spanAt(range)
  const reach = reachAt(place.block, at, breakpoints, range)
  if (sidesOf(reach) > 0) return `${reachInWords(reach!, span, at.columns)}, ${px} px at ${viewport}.`
  const first =
    span === at.columns
      ? `Takes the full row, ${px} px at ${viewport}.`
      : `Fills ${span} of ${at.columns} columns, ${px} px at ${viewport}.`
  return span === at.columns || fullFrom < 0 ? first : `${first} Below ${breakpoints[fullFrom]!.below} it takes the full row.`
}
