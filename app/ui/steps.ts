import type { Page, Site } from '#core/site/schema'
import { hasWords, walkPage } from '#core/site/tree'
import { plainText } from '#core/site/words'
import type { Step } from './top-bar'

/** True when every slot of a page has words and every picture is chosen. */
export function isComposed(page: Page, language: string): boolean {
  const blocks = [...walkPage(page)]
  if (blocks.length === 0) return false
  return blocks.every((block) =>
    hasWords(block)
      ? plainText(block.words[language] ?? []).trim() !== ''
      : block.kind !== 'picture' || block.picture !== undefined,
  )
}

/** The steps of the work on a page, and which are complete. */
export function stepsOf({ siteId, site, page, exported }: { siteId: string; site: Site; page: Page; exported: boolean }): Step[] {
  const to = (name: string) => `/sites/${siteId}/pages/${page.id}/${name}`
  const composed = isComposed(page, site.language)
  return [
    {
      name: 'Compose',
      to: to('compose'),
      complete: composed,
      what: composed
        ? 'Every slot has words and every picture is chosen'
        : 'Complete when every slot has words and every picture is chosen',
    },
    {
      name: 'Deliver',
      to: to('deliver'),
      complete: exported,
      what: exported ? 'The last export is of this very revision' : 'Complete when the newest revision has been exported',
    },
  ]
}
