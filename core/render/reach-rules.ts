import type { Reach } from '#core/grid/reach'
import type { Declaration } from '#core/style/property'

/**
 * Space beside the columns of the page. Only `vw` knows of the window inside a grid; where a scroll bar takes room, what
 * goes past the window by half of it is clipped by the section.
 */
const SIDE = 'max(var(--margin), (100vw - var(--container)) / 2)'

/** The declarations that take a block past the columns that it stands on. */
export function reachToCss(reach: Reach): Declaration[] {
  if (reach === 'full')
    return [
      ['margin-inline', `calc(-1 * ${SIDE})`],
      ['width', `calc(100% + 2 * ${SIDE})`],
    ]
  if (reach !== 'left' && reach !== 'right') return []
  const width: Declaration = ['width', `calc(100% + ${SIDE})`]
  return reach === 'left' ? [['margin-inline-start', `calc(-1 * ${SIDE})`], width] : [width]
}
