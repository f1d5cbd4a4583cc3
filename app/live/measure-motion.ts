import type { Page, Site } from '#core/site/schema'
import { inHiddenFrame } from './hidden-frame'
import { measureMoving, type Moving } from './moving'

/** All that moves on a page at one size of the window, measured in a frame out of sight. */
export const measureMotion = (site: Site, page: Page, width: number, height: number): Promise<Moving> =>
  inHiddenFrame(site, page, async ({ frame, resize }) => {
    resize(width)
    frame.document.documentElement.style.setProperty('--vh', `${height / 100}px`)
    // Pictures that come late have their room already: their sizes are printed with them.
    await Promise.resolve()
    return measureMoving(site, page, { frame, gaps: new Map(), width }, height)
  })
