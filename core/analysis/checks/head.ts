import { RESULT, resultWidth } from '#core/analysis/result-width'
import { titleOf } from '#core/render/site-address'
import type { Check } from '#core/analysis/finding'

/** A page without a title or description of its own, or with one that is cut in results or that another page has too. */
export const head: Check = ({ page, site, site: { language, pages } }) => {
  const [title, description] = [page.title[language], page.description[language]]
  const same = (field: 'title' | 'description', text: string) =>
    pages.find((one) => one !== page && one[field][language]?.trim() === text.trim())
  const cut = (what: 'title' | 'description', text: string) => {
    const { size, room } = RESULT[what]
    const width = Math.round(resultWidth(text, size))
    if (width <= room) return undefined
    return {
      beside: `${what}-width`,
      fault: false,
      sentence: `The ${what} is ${width} px wide; search results cut it after about ${room} px.`,
    }
  }
  const twice = (what: 'title' | 'description', text: string) => {
    const other = same(what, text)
    return (
      other && {
        beside: `same-${what}`,
        fault: false,
        sentence: `“${other.name}” has the same ${what}, so that results of both look alike.`,
      }
    )
  }
  return [
    title ? undefined : { beside: 'title', sentence: 'The page has no title of its own.' },
    description ? undefined : { beside: 'description', sentence: 'The page has no description.' },
    cut('title', titleOf(site, page, language)),
    description ? cut('description', description) : undefined,
    title ? twice('title', title) : undefined,
    description ? twice('description', description) : undefined,
  ]
}
