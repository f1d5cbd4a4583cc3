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

/** A generated site of 12 pages with 32 sections on each, about 3,500 blocks: the demo's sections, cut to twelve blocks. */
export function largeSite(): Site {
  const base = observatory()
  const known = new Set<string>()
  const copyOf = (block: Block, mark: string, budget: { left: number }): Block | undefined => {
    if (budget.left <= 0) return undefined
    budget.left--
    const id = `${block.id.slice(0, 14)}-${mark}`
    known.add(id)
    const one = { ...block, id }
    if ('children' in one)
      one.children = one.children.map((child) => copyOf(child, mark, budget)).filter((child) => child !== undefined)
    return one
  }
  const pages = Array.from({ length: 12 }, (_, n): Site['pages'][number] => {
    const { sections } = base.pages[0]!
    const many = Array.from({ length: 32 }, (_one, i) => {
      const section = sections[i % sections.length]!
      return copyOf(section, `${n}x${i}`, { left: 12 }) as (typeof sections)[number]
    })
    return { ...base.pages[0]!, id: `page${n}`, name: `Page ${n + 1}`, address: n === 0 ? '' : `page-${n + 1}`, sections: many }
  })
  const json = JSON.stringify({ ...base, breakpoints: DEFAULT_BREAKPOINTS, pages }, (key, value: unknown) =>
    key === 'link' && typeof value === 'object' && value !== null && 'page' in value ? { page: 'page0' } : value,
  )
  return checkSite(JSON.parse(json))
}
