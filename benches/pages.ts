import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { checkSite } from '#core/formats/site-json'
import type { Block } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { observatory } from '../demo/observatory'

/** The demo site with its sections repeated until its page has at least `blocks` blocks, a few of them cut to fit. */
export function siteOf(blocks: number): Site {
  const base = observatory()
  const sections: Site['pages'][number]['sections'] = []
  let left = blocks
  let copy = 0
  const number = (block: Block): Block | undefined => {
    if (left <= 0) return undefined
    left--
    const one = { ...block, id: `${block.id}-${copy}` }
    if ('children' in one) one.children = one.children.map(number).filter((child) => child !== undefined)
    return one as Block
  }
  for (; left > 0; copy++) {
    for (const section of base.pages[0]!.sections) {
      const numbered = number(section)
      if (numbered) sections.push(numbered as (typeof sections)[number])
    }
  }
  const known = new Set(sections.map((one) => one.id))
  const pages = [{ ...base.pages[0]!, sections }]
  const json = JSON.stringify({ ...base, breakpoints: DEFAULT_BREAKPOINTS, pages }, (key, value: unknown) =>
    key === 'section' && typeof value === 'string' ? (known.has(`${value}-0`) ? `${value}-0` : undefined) : value,
  )
  return checkSite(JSON.parse(json))
}
