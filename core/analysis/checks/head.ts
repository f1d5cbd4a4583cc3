import type { Check } from '#core/analysis/finding'

/** A page without a title or description of its own. */
export const head: Check = ({ page, site: { language } }) => [
  page.title[language] ? undefined : { sentence: 'The page has no title of its own.' },
  page.description[language] ? undefined : { sentence: 'The page has no description.' },
]
