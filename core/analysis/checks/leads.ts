import { isWordless, walk } from '#core/blocks/tree'
import { sectionClasses } from '#core/render/names'
import { pressesOn } from '#core/render/panels'
import type { Page } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { type Check, nameOf } from '#core/analysis/finding'
import { linkProblem } from '#core/analysis/links'

/** Ids of all that stands in a form, whose button sends it. */
const inForms = (page: Page): Set<string> =>
  new Set([...walkPage(page)].flatMap((block) => (block.kind === 'form' ? [...walk(block)].map((one) => one.id) : [])))

/** Addresses that are only begun. */
const BEGUN: ReadonlySet<string> = new Set(['https://', 'http://', 'mailto:', 'tel:'])

/** Buttons and links that lead nowhere, to an unfinished address, or to what is gone; those without words are not printed. */
export const leads: Check = ({ page, blocks, site }) => {
  const anchors = sectionClasses(site)
  const sending = inForms(page)
  const presses = pressesOn(page)
  return blocks.map((block) => {
    if ((block.kind !== 'button' && block.kind !== 'link') || isWordless(block, site.language)) return undefined
    if (presses.has(block.id)) {
      if (presses.get(block.id) !== undefined) return undefined
      return { block: block.id, sentence: `The button “${nameOf(block)}” opens, shows or closes what is not there.` }
    }
    if (!block.link) {
      const sends = block.kind === 'button' && sending.has(block.id)
      return sends ? undefined : { block: block.id, sentence: `The ${block.kind} “${nameOf(block)}” leads nowhere.` }
    }
    if ('href' in block.link && BEGUN.has(block.link.href))
      return { block: block.id, sentence: `The ${block.kind} “${nameOf(block)}” leads to an unfinished address.` }
    const problem = linkProblem(block.link, page, site, anchors)
    return problem ? { block: block.id, sentence: `The ${block.kind} “${nameOf(block)}” ${problem}` } : undefined
  })
}
