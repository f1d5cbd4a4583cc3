import { fileAddresses, linkOfHref, pageFile } from '#core/render/own-links'
import { listedPages } from '#core/render/page'
import type { Link } from '#core/values/link'
import type { Block, WordBlock } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { plainText } from '#core/values/words'
import { visibleBlocks, visibleIn } from '#core/site/visible'

/** Something on a page that leads on: a button, a link, or a form that is sent. */
export type Target = { block: Block; words: string; leads: string }

/** The place that a link leads to, in words that are equal for equal places. */
export function placeOfLink(site: Site, link: Link | undefined): string {
  if (!link) return 'nowhere'
  if ('href' in link) {
    const own = linkOfHref(site, link.href)
    return own && !('href' in own) ? placeOfLink(site, own) : link.href
  }
  if ('file' in link) return fileAddresses(site).get(link.file) ?? 'a file that is gone'
  const page = site.pages.find((one) => one.id === link.page)
  if (!page) return 'a page that is gone'
  const section = page.sections.find((one) => one.id === link.section)
  return section ? `${pageFile(page)}, ${section.name ?? section.job}` : pageFile(page)
}

/** All that leads on from a page. A link to the section of a form leads where the form leads. */
export function targetsOf(site: Site, page: Page): Target[] {
  const wordsOf = (block: WordBlock) => plainText(block.words[site.language] ?? []).trim()
  const blocks = visibleBlocks(page)
  const homes = page.sections.filter((section) => visibleIn(section).some((one) => one.kind === 'form')).map((one) => one.id)
  return blocks.flatMap(({ block, form }): Target[] => {
    if (block.kind === 'button' && !block.link && form) return [{ block, words: wordsOf(block), leads: 'the form' }]
    if (block.kind === 'nav' && block.follows)
      return listedPages(site).map((one) => ({ block, words: one.name, leads: placeOfLink(site, { page: one.id }) }))
    if (block.kind !== 'button' && block.kind !== 'link') return []
    const words = wordsOf(block)
    const { link } = block
    // A name without a link, or one that leads to the top of its own page, leads nobody away.
    if (block.kind === 'link' && (!link || ('page' in link && link.page === page.id && link.section === undefined))) return []
    const toForm = link && 'section' in link && link.section !== undefined && homes.includes(link.section)
    return words === '' ? [] : [{ block, words, leads: toForm ? 'the form' : placeOfLink(site, link) }]
  })
}
