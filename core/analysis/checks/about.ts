import type { Check } from '#core/analysis/finding'
import { hasWords } from '#core/blocks/tree'
import { plainText } from '#core/values/words'

/** What machines are told of an event or a product, and readers are not: search engines leave out such a page. */
export const about: Check = ({ page, blocks, site: { language } }) => {
  if (!page.about) return []
  const text = blocks
    .flatMap((one) => (hasWords(one) ? [plainText(one.words[language] ?? [])] : []))
    .join(' ')
    .toLowerCase()
  if (page.about.kind === 'event') {
    const { place, starts, ends } = page.about
    return [
      text.includes(place.toLowerCase())
        ? undefined
        : { beside: 'place', fault: false, sentence: `The place of the event, “${place}”, stands nowhere on the page.` },
      ends !== undefined && ends < starts ? { beside: 'ends', sentence: 'The event ends before it starts.' } : undefined,
    ]
  }
  const { price } = page.about
  const isSaid = [price, price.replace('.', ','), price.replace(/\.00?$/, '')].some((one) => text.includes(one))
  return [isSaid ? undefined : { fault: false, sentence: `The price, ${price}, stands nowhere on the page.` }]
}
