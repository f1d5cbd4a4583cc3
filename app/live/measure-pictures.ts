import { walkPage } from '#core/site/tree'
import type { MeasuredBoxes } from '#core/picture/measured'
import { measuredViewports } from '#core/picture/fit-sizes'
import type { Page, Site } from '#core/site/schema'
import { inHiddenFrame } from './hidden-frame'

/** How long one slice of the work may take, ms: the screen stays quick in between. */
const SLICE = 12

/** The boxes of a page's pictures at every width that is looked at, in a frame out of sight. @returns nothing where it was given up */
export async function measurePictures(site: Site, page: Page, signal: AbortSignal): Promise<MeasuredBoxes | undefined> {
  const ids = [...walkPage(page)].filter((one) => one.kind === 'picture' && one.picture !== undefined).map(({ id }) => id)
  if (ids.length === 0) return {}
  return inHiddenFrame(site, page, async ({ frame, resize }) => {
    const boxes: MeasuredBoxes = Object.fromEntries(ids.map((id) => [id, []]))
    let from = performance.now()
    for (const viewport of measuredViewports(site.breakpoints)) {
      if (signal.aborted) return undefined
      resize(viewport)
      for (const id of ids) {
        const { width, height } = frame.find(id)?.getBoundingClientRect() ?? { width: 0, height: 0 }
        if (width > 0 && height > 0) boxes[id]!.push([viewport, Number(width.toFixed(2)), Number(height.toFixed(2))])
      }
      if (performance.now() - from < SLICE) continue
      await new Promise((done) => setTimeout(done))
      from = performance.now()
    }
    return boxes
  })
}
