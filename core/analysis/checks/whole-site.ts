import type { Check } from '#core/analysis/finding'
import { NOT_FOUND } from '#core/render/site-address'
import { iconOf } from '#core/render/site-icons'
import { visibleBlocks } from '#core/site/visible'
import { hasWords } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import type { Page } from '#core/site/schema'

/** Words of a page's last section, where who owns it and since when is said. */
const footOf = (page: Page, language: string) =>
  page.sections
    .filter((one) => one.job === 'footer')
    .flatMap((section) => visibleBlocks({ ...page, sections: [section] }))
    .map(({ block }) => ({ block, text: hasWords(block) ? plainText(block.words[language] ?? []) : '' }))

/** What a site lacks as a whole; said once, of its first page. */
export const wholeSite: Check = ({ page, site, today }) => {
  if (page !== site.pages[0]) return []
  const { launch, pages, language } = site
  const say = (beside: string, sentence: string, block?: string) => ({
    fault: false,
    beside,
    sentence,
    ...(block === undefined ? {} : { block }),
  })
  const foot = footOf(page, language)
  const marked = foot.find(({ text }) => text.includes('©'))
  const years = [...(marked?.text.matchAll(/\b(19|20)\d\d\b/g) ?? [])].map(([year]) => Number(year))
  const year = Number(today.slice(0, 4))
  return [
    launch?.address === undefined
      ? say('address', 'The site has no address yet: it is exported without canonical addresses, a site map and rules for robots.')
      : undefined,
    iconOf(site) ? undefined : say('icon', 'The site has no icon for tabs and home screens.'),
    pages.some((one) => one.address === NOT_FOUND)
      ? undefined
      : say('not-found', 'The site has no page for addresses that are not found. Add one with the address 404.'),
    foot.length === 0 || marked ? undefined : say('owner', 'The footer does not say whose the site is: there is no © in it.'),
    years.length > 0 && Math.max(...years) < year
      ? say('year', `The footer says ${Math.max(...years)}, and it is ${year}.`, marked!.block.id)
      : undefined,
  ]
}
