import { sectionClasses } from '#core/render/names'
import { fileAddresses, linkOfHref, pageFile } from '#core/render/own-links'
import type { Link } from '#core/values/link'
import type { Site } from '#core/site/schema'
import { sameName } from './names'
import { hrefSchema } from '#core/values/href'

/** How links between the pages of a site are written in the deck: as the addresses that the exported pages have. */
export type DeckLinks = {
  write: (link: Link | undefined) => string
  read: (url: string) => Link | undefined
  /** True for what a page is called, or its address. */
  isPage: (name: string) => boolean
}

/** All that links are written and read by: which pages, sections and files there are, and what they are called. */
const signatureOf = (site: Site): string =>
  JSON.stringify([
    site.pages.map((page) => [page.id, page.name, page.address, page.sections.map(({ id, name, job }) => [id, name ?? job])]),
    site.files?.map(({ id, name }) => [id, name]),
  ])

let last: { signature: string; links: DeckLinks } | undefined

/** The reader and writer of a site's links; the same object for as long as its pages and sections are called the same. */
export function deckLinks(site: Site): DeckLinks {
  const signature = signatureOf(site)
  if (last?.signature !== signature) last = { signature, links: makeLinks(site) }
  return last.links
}

function makeLinks(site: Site): DeckLinks {
  let anchors: ReadonlyMap<string, string> | undefined
  const anchorOf = () => (anchors ??= sectionClasses(site))
  return {
    isPage: (name) => site.pages.some((one) => sameName(one.name, name) || sameName(one.address, name)),
    write(link) {
      if (!link) return ''
      if ('href' in link) return link.href
      if ('file' in link) return fileAddresses(site).get(link.file) ?? ''
      const page = site.pages.find((one) => one.id === link.page)
      if (!page) return ''
      const anchor = link.section === undefined ? undefined : anchorOf().get(link.section)
      return anchor === undefined ? pageFile(page) : `${pageFile(page)}#${anchor}`
    },
    read(url) {
      if (url === '') return undefined
      const own = linkOfHref(site, url, anchorOf())
      if (own) return own
      // A section that does not stand yet is waited for, under its address.
      return hrefSchema.safeParse(url).success ? { href: url } : undefined
    },
  }
}
