import type { Check } from '#core/analysis/finding'
import { SHARE, shareOf } from '#core/render/site-address'

/** Pages whose shared links have no picture, or one that is too small to be shown large. */
export const sharedLinks: Check = ({ page, site }) => {
  if (page.unsearched) return []
  const shown = shareOf(site, page)
  if (!shown) return [{ fault: false, sentence: 'Links to the page that are shared have no picture.' }]
  if (shown.type === 'image/svg+xml' || (shown.width >= SHARE.width && shown.height >= SHARE.height)) return []
  const sentence = `The picture of shared links, “${shown.name}”, is ${shown.width} × ${shown.height} px; ${SHARE.width} × ${SHARE.height} are wanted.`
  return [{ fault: false, sentence }]
}
