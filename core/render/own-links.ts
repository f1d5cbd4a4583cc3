import type { Link } from '#core/values/link'
import { isReserved } from '#core/site/address'
import type { Page, Site } from '#core/site/schema'
import type { Section } from '#core/blocks/index'
import { endingOf, type LinkedFile } from '#core/site/linked-file'
import { sectionClasses, sectionName, slug, unique } from './names'

/** The file that a page is written to. */
export const pageFile = (page: Page): string => (page.address === '' ? 'index.html' : `${page.address}.html`)

const fileNames = new WeakMap<readonly LinkedFile[], Map<string, string>>()

/** The addresses of the files that links lead to, by their ids: their own names, made unique. */
export function fileAddresses({ files }: Pick<Site, 'files'>): Map<string, string> {
  const known = files && fileNames.get(files)
  if (known) return known
  const taken = new Set<string>()
  const named = (files ?? []).map(({ id, name }): [string, string] => {
    const ending = endingOf(name)!
    // Two files of one name may have two endings, so their names alone are made unique.
    const plain = slug(name.slice(0, -ending.length - 1))
    return [id, `files/${unique(isReserved(plain) ? `${plain}-file` : plain, taken)}.${ending}`]
  })
  const addresses = new Map(named)
  if (files) fileNames.set(files, addresses)
  return addresses
}

/** True for an address that is within the site: a file name, with or without a section. */
export const isOwn = (href: string): boolean => !/^([a-z][a-z0-9+.-]*:|\/\/)/i.test(href)

/** The section of a page that an anchor means: the one that has it, or else one that is called so. */
export function sectionAt(page: Page, anchor: string, anchors: ReadonlyMap<string, string>): Section | undefined {
  const shown = page.sections.filter((one) => !one.hidden)
  const wanted = anchor.toLowerCase()
  return (
    shown.find((one) => anchors.get(one.id) === anchor) ??
    shown.find((one) => slug(sectionName(one)) === wanted) ??
    shown.find((one) => one.job === wanted)
  )
}

/** An address within the site, taken apart: its page, and what follows the `#`. `undefined` for one that leads out. */
export function ownParts(site: Site, href: string): { page?: Page; path: string; anchor: string } | undefined {
  if (!isOwn(href)) return undefined
  const [path = '', anchor = ''] = href.replace(/^\//, '').split('#')
  const page = path === '' ? undefined : site.pages.find((one) => pageFile(one) === path || one.address === path)
  return { path, anchor, ...(page ? { page } : {}) }
}

/**
 * Where an address within the site leads as things stand. One that was written before its section stood waits as an
 * address, and leads there from the moment that a section of its name is on the page.
 */
export function linkOfHref(
  site: Site,
  href: string,
  anchors: ReadonlyMap<string, string> = sectionClasses(site),
): Link | undefined {
  const parts = ownParts(site, href)
  const file = parts && [...fileAddresses(site)].find(([, address]) => address === parts.path)
  if (file) return { file: file[0] }
  if (!parts?.page) return undefined
  if (parts.anchor === '') return { page: parts.page.id }
  const section = sectionAt(parts.page, parts.anchor, anchors)
  return section && { page: parts.page.id, section: section.id }
}
