import { sectionClasses } from '#core/render/names'
import { fileAddresses, isOwn, ownParts, pageFile, sectionAt } from '#core/render/own-links'
import type { Edit } from '#core/edits/index'
import type { Link } from '#core/values/link'
import type { Page, Site } from '#core/site/schema'
import { hasWords, isWordless } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import type { Span } from '#core/values/words'
import { type Finding, nameOf } from './finding'
import { visibleBlocks } from '#core/site/visible'

/** Links within words, with their addresses. */
export function* hrefsIn(spans: readonly Span[]): Generator<string> {
  for (const span of spans) {
    if (typeof span === 'string' || span.kind === 'break') continue
    if (span.kind === 'link') yield span.href
    yield* hrefsIn(span.children)
  }
}

/** What is wrong with an address within the site; `undefined` if it leads somewhere. */
function problemOf(href: string, page: Page, site: Site, anchors: ReadonlyMap<string, string>): string | undefined {
  const { path, anchor, page: other } = ownParts(site, href)!
  const target = path === '' ? page : other
  if (!target) return `leads to “${path}”, which is no page of this site.`
  if (anchor === '') return undefined
  // Within its own page a browser looks for the very anchor; to another page the link is written for the section.
  const found =
    path === '' ? target.sections.some((one) => anchors.get(one.id) === anchor && !one.hidden) : sectionAt(target, anchor, anchors)
  if (found) return undefined
  return `leads to “#${anchor}”, and “${target.name}” has no such section.`
}

/** What is wrong with a link of a block; `undefined` if it leads somewhere or is not of this site. */
export function linkProblem(link: Link, page: Page, site: Site, anchors: ReadonlyMap<string, string>): string | undefined {
  if ('href' in link) return isOwn(link.href) ? problemOf(link.href, page, site, anchors) : undefined
  if ('file' in link) return fileAddresses(site).has(link.file) ? undefined : 'leads to a file that is gone.'
  const target = site.pages.find((one) => one.id === link.page)
  if (!target) return 'leads to a page or section that is gone.'
  if (link.section === undefined || target.sections.some((one) => one.id === link.section && !one.hidden)) return undefined
  return 'leads to a page or section that is gone.'
}

/** A link that leads to no page or section of the site. */
export type BrokenLink = Finding<'broken-link'> & { page: string; block: string }

/** Every link of a site, of blocks and within words, that leads to nothing. */
export function brokenLinks(site: Site): BrokenLink[] {
  const anchors = sectionClasses(site)
  return site.pages.flatMap((page) =>
    visibleBlocks(page).flatMap(({ block }): BrokenLink[] => {
      const found: string[] = []
      if ('link' in block && block.link && !isWordless(block, site.language)) {
        const problem = linkProblem(block.link, page, site, anchors)
        if (problem) found.push(`The ${block.kind} “${nameOf(block)}” ${problem}`)
      }
      if (hasWords(block)) {
        for (const words of Object.values(block.words)) {
          for (const href of hrefsIn(words)) {
            const problem = isOwn(href) ? problemOf(href, page, site, anchors) : undefined
            if (problem) found.push(`A link in “${nameOf(block)}” ${problem}`)
          }
        }
      }
      return found.map((sentence) => ({ kind: 'broken-link', page: page.id, block: block.id, sentence }))
    }),
  )
}

function renamed(spans: readonly Span[], change: (href: string) => string): Span[] {
  return spans.map((span): Span => {
    if (typeof span === 'string' || span.kind === 'break') return span
    const children = renamed(span.children, change)
    return span.kind === 'link' ? { ...span, href: change(span.href), children } : { ...span, children }
  })
}

/** The edits that bring links within words, and addresses typed by hand, to a page's new address. */
export function linksAfterRename(site: Site, page: Page, address: string): Edit[] {
  const old = pageFile(page)
  const next = pageFile({ ...page, address })
  const change = (href: string): string => {
    const [path = '', ...anchor] = href.split('#')
    const bare = path.replace(/^\//, '')
    if (!isOwn(href) || bare === '' || (bare !== old && (page.address === '' || bare !== page.address))) return href
    return [next, ...anchor].join('#')
  }
  return site.pages.flatMap((one) =>
    [...walkPage(one)].flatMap((block): Edit[] => {
      const edits: Edit[] = []
      if (hasWords(block)) {
        const words = Object.fromEntries(
          Object.entries(block.words).flatMap(([language, spans]) => {
            const after = renamed(spans, change)
            return JSON.stringify(after) === JSON.stringify(spans) ? [] : [[language, after]]
          }),
        )
        if (Object.keys(words).length > 0) edits.push({ kind: 'words', block: block.id, words })
      }
      if ('link' in block && block.link && 'href' in block.link && change(block.link.href) !== block.link.href)
        edits.push({ kind: 'field', block: block.id, field: 'link', value: { href: change(block.link.href) } })
      return edits
    }),
  )
}
