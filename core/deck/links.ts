import { sectionClasses } from '#core/render/names'
import { pageFile } from '#core/render/site'
import type { Link } from '#core/site/link'
import type { Site } from '#core/site/schema'
import { hrefSchema } from '#core/site/words'

/** How links between the pages of a site are written in the deck: as the addresses that the exported pages have. */
export type DeckLinks = { write: (link: Link | undefined) => string; read: (url: string) => Link | undefined }

const known = new WeakMap<Site['pages'], DeckLinks>()

/** The reader and writer of a site's links; remembered for as long as its pages are the same. */
export function deckLinks(site: Site): DeckLinks {
  const before = known.get(site.pages)
  if (before) return before
  let anchors: Map<string, string> | undefined
  const anchorOf = () => (anchors ??= sectionClasses(site))
  const links: DeckLinks = {
    write(link) {
      if (!link) return ''
      if ('href' in link) return link.href
      const page = site.pages.find((one) => one.id === link.page)
      if (!page) return ''
      const anchor = link.section === undefined ? undefined : anchorOf().get(link.section)
      return anchor === undefined ? pageFile(page) : `${pageFile(page)}#${anchor}`
    },
    read(url) {
      if (url === '') return undefined
      const [path = '', anchor] = url.replace(/^\//, '').split('#')
      const page = /^https?:|^mailto:|^tel:/i.test(url)
        ? undefined
        : site.pages.find((one) => path !== '' && (pageFile(one) === path || one.address === path))
      if (page) {
        const section = anchor && page.sections.find((one) => anchorOf().get(one.id) === anchor)
        return section ? { page: page.id, section: section.id } : { page: page.id }
      }
      return hrefSchema.safeParse(url).success ? { href: url } : undefined
    },
  }
  known.set(site.pages, links)
  return links
}
