import { pageAddress, searchedPages } from '#core/render/site-address'
import { colourOfRole, ICON_FILES, iconOf, MANIFEST } from '#core/render/site-icons'
import type { Site } from '#core/site/schema'

type TextFile = { file: string; text: string }

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** The list of a site's pages for search engines (sitemaps.org), once the site has an address. */
function siteMap(site: Site): TextFile[] {
  const addresses = searchedPages(site).flatMap((page) => pageAddress(site, page) ?? [])
  if (addresses.length === 0) return []
  const urls = addresses.map((one) => `  <url><loc>${escaped(one)}</loc></url>\n`).join('')
  const text = `<?xml version="1.0" encoding="UTF-8"?>\n<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">\n${urls}</urlset>\n`
  return [{ file: 'sitemap.xml', text }]
}

/** What robots are told (RFC 9309): all may be read, and where the list is. Pages that are kept out say so themselves. */
const robots = (site: Site): TextFile[] =>
  site.launch?.address === undefined
    ? []
    : [{ file: 'robots.txt', text: `User-agent: *\nAllow: /\n\nSitemap: ${site.launch.address}/sitemap.xml\n` }]

/** What a site is called where it is put on a home screen (W3C Web Application Manifest). */
function manifest(site: Site): TextFile[] {
  const icon = iconOf(site)
  if (!icon) return []
  const ground = 'letter' in icon ? icon.ground : colourOfRole(site, 'ground')
  const icons = ICON_FILES.filter(({ side }) => side >= 192).map(({ file, side }) => ({
    src: file,
    sizes: `${side}x${side}`,
    type: 'image/png',
  }))
  const text = JSON.stringify(
    {
      name: site.name,
      short_name: site.name.slice(0, 30),
      icons,
      theme_color: ground,
      background_color: ground,
      display: 'browser',
    },
    null,
    2,
  )
  return [{ file: MANIFEST, text: `${text}\n` }]
}

/** The texts beside the pages that a site is found and named by. */
export const launchFiles = (site: Site): TextFile[] => [...robots(site), ...siteMap(site), ...manifest(site)]
