import type { Block } from '#core/blocks/index'
import { hasWords, isContainer } from '#core/blocks/tree'
import { visibleBlocks, visibleIn } from '#core/site/visible'
import type { Page, Site } from '#core/site/schema'
import { plainText } from '#core/values/words'
import { pageAddress } from './site-address'

/** What a page is, in the words of schema.org, as its blocks say it. */
export type StructuredData = Record<string, unknown>

const wordsOf = (block: Block, language: string): string =>
  hasWords(block)
    ? plainText(block.words[language] ?? [])
        .replace(/\u00ad/g, '')
        .trim()
    : ''

/** All words in a block, in reading order. */
const wordsIn = (blocks: readonly Block[], language: string): string =>
  blocks
    .flatMap(visibleIn)
    .map((one) => wordsOf(one, language))
    .filter((one) => one !== '')
    .join(' ')

/** Questions of a page with their answers: what opens under its first block. */
export function questionsOf(page: Page, language: string): { question: string; answer: string }[] {
  return visibleBlocks(page).flatMap(({ block }) => {
    if (block.kind !== 'group' || block.panel !== 'details' || !isContainer(block)) return []
    const [first, ...rest] = block.children
    const [question, answer] = [first ? wordsIn([first], language) : '', wordsIn(rest, language)]
    return question.endsWith('?') && answer !== '' ? [{ question, answer }] : []
  })
}

/** The words of the first heading of a page, or else its name. */
export const subjectOf = (page: Page, language: string): string => {
  const first = visibleBlocks(page).find(({ block }) => block.kind === 'heading' && block.level === 1)?.block
  return (first && wordsOf(first, language)) || page.name
}

/**
 * What is said of a page for machines, each part as a type of schema.org: the organisation on the first page, the event or
 * product that the page is about, and its questions.
 * @param image where the picture of shared links is, if there is one
 */
export function structuredData(site: Site, page: Page, language: string, image: string | undefined): StructuredData[] {
  const url = pageAddress(site, page)
  const at = url === undefined ? {} : { url }
  const shown = image === undefined ? {} : { image }
  const description = page.description[language]
  const said = { name: subjectOf(page, language), ...(description ? { description } : {}), ...shown, ...at }
  const { owner } = site.launch ?? {}
  const found: StructuredData[] = []
  if (owner !== undefined && page === site.pages[0]) {
    found.push({ '@type': 'Organization', name: owner, ...at })
    found.push({ '@type': 'WebSite', name: site.name, inLanguage: language, ...at })
  }
  const { about } = page
  if (about?.kind === 'event')
    found.push({
      '@type': 'Event',
      ...said,
      startDate: about.starts,
      ...(about.ends === undefined ? {} : { endDate: about.ends }),
      location: { '@type': 'Place', name: about.place },
      ...(owner === undefined ? {} : { organizer: { '@type': 'Organization', name: owner } }),
    })
  if (about?.kind === 'product')
    found.push({
      '@type': 'Product',
      ...said,
      offers: { '@type': 'Offer', price: about.price, priceCurrency: about.currency, ...at },
    })
  const questions = questionsOf(page, language)
  if (questions.length > 0)
    found.push({
      '@type': 'FAQPage',
      mainEntity: questions.map(({ question, answer }) => ({
        '@type': 'Question',
        name: question,
        acceptedAnswer: { '@type': 'Answer', text: answer },
      })),
    })
  return found
}

/** Structured data as the text of a script element: nothing in it can end the element (HTML, 4.12.1.3). */
export const asJsonLd = (data: readonly StructuredData[]): string =>
  JSON.stringify({ '@context': 'https://schema.org', '@graph': data })
    .replace(/</g, '\\u003c')
    .replace(/\u2028/g, '\\u2028')
    .replace(/\u2029/g, '\\u2029')
