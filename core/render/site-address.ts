import { isFilm } from '#core/picture/picture'
import type { Page, Site } from '#core/site/schema'
import { pageFile } from './own-links'

/** Where a file of a site will be found, once the site has an address. */
export const addressOf = ({ launch }: Pick<Site, 'launch'>, file: string): string | undefined =>
  launch?.address === undefined ? undefined : `${launch.address}/${file}`

/** Where a page will be found; the first page stands at the address itself. */
export const pageAddress = (site: Pick<Site, 'launch'>, page: Page): string | undefined =>
  addressOf(site, page.address === '' ? '' : pageFile(page))

/** The address of the page that is shown where nothing is found. */
export const NOT_FOUND = '404'

/** The pages that are to be found by search: those that are not kept out, and stand for something. */
export const searchedPages = ({ pages }: Pick<Site, 'pages'>): Page[] =>
  pages.filter((one) => !one.unsearched && one.address !== NOT_FOUND)

/** The title of a page as browsers and results show it: its own, or its name and the site's. */
export const titleOf = (site: Site, page: Page, language: string): string => page.title[language] || `${page.name} · ${site.name}`

/** The picture that links to a page are shown with. */
export const shareOf = (
  { pictures, launch }: Pick<Site, 'pictures' | 'launch'>,
  page: Page,
): Site['pictures'][number] | undefined => {
  const of = (id: string | undefined) => pictures.find((one) => one.id === id && !isFilm(one))
  return of(page.share) ?? of(launch?.share)
}

/** Width of the picture of a shared link, px; 1.91 times its height is what most of those who show it cut out. */
export const SHARE = { width: 1200, height: 630 }
