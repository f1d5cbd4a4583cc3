import { toHtml } from 'hast-util-to-html'
import { arrange } from '#core/arrangements/arrange'
import type { Arrangement } from '#core/arrangements/build'
import { reSet } from '#core/edits/re-set'
import { newSection } from '#core/blocks/defaults'
import { slotsOf } from '#core/deck/slots'
import { rulesAtViewport, type Viewport } from '#core/render/without-media-queries'
import { pageNonce } from '../../nonce'
import { createRenderer } from '#core/render/page'
import { printRules, type Rule } from '#core/render/rules'
import { WIRE_CSS } from '#core/render/wire'
import { idMaker } from '#core/values/ids'
import type { Page, Site } from '#core/site/schema'
import type { Section } from '#core/blocks/index'
import { plainText } from '#core/values/words'
import { sharedViewRules, viewAddresses } from '../../live/rendering'

/** What becomes of a section's words in an arrangement: how many words it takes, and what finds no slot. */
export type Fit = { section: Section; words: number; left: number; empty: number }

const makeId = idMaker(Math.random)
const wordCount = (text: string) => text.split(/\s+/).filter((word) => word !== '').length

/** A section as it would be in an arrangement, with the words that it has or that wait for it. */
export function fitOf(site: Site, page: Page, section: Section | Section['job'], arrangement: Arrangement): Fit {
  const from = typeof section === 'string' ? newSection(section, makeId) : section
  const made = reSet(site, page, from, arrangement.id, makeId)
  const slots = slotsOf(made.section)
  const texts = slots.map(({ block }) => plainText(block.words[site.language] ?? []).trim())
  return {
    section: made.section,
    words: texts.reduce((sum, text) => sum + wordCount(text), 0),
    left: made.left.length,
    empty: texts.filter((text) => text === '').length,
  }
}

/** Words that a slot of each kind holds with ease. */
const HOLDS: Partial<Record<string, number>> = {
  eyebrow: 4,
  heading: 8,
  text: 32,
  quote: 24,
  item: 8,
  call: 3,
  link: 3,
  source: 4,
  price: 1,
  term: 3,
  label: 3,
}

/** About how many words an arrangement holds, at the number of entries that it usually has. */
export function capacityOf(arrangement: Arrangement): number {
  const bare = arrange(arrangement, 0, [{ id: 'wide', below: null, columns: 12, gutter: 24, margin: 32, container: 1120 }], makeId)
  return slotsOf(bare).reduce((sum, { role }) => sum + (HOLDS[role] ?? 0), 0)
}

/** Sizes that an arrangement is filtered by: words that it holds. */
export const SIZES = { few: 'Up to 60 words', some: '60 to 160 words', many: 'More than 160' } as const
export const sizeOf = (words: number): keyof typeof SIZES => (words <= 60 ? 'few' : words <= 160 ? 'some' : 'many')

/** Draws sections of a site in the wire look as the markup of a shadow tree. What sections share is printed once. */
export function createPreviews(site: Site) {
  const render = createRenderer({ language: site.language, editing: true, viewportUnit: 'unit', addresses: viewAddresses('wire') })
  const shared = sharedViewRules(site, 'wire')
  const sharedAt = new Map<number, string>()
  const cssOf = (rules: readonly Rule[], viewport: Viewport) => printRules(rulesAtViewport(rules, viewport), 'minified')
  return (section: Section, viewport: Viewport): string => {
    const page: Page = { ...site.pages[0]!, id: 'preview', sections: [section] }
    const [printed] = render({ ...site, pages: [page] }, page)
    let base = sharedAt.get(viewport.width)
    if (base === undefined) sharedAt.set(viewport.width, (base = cssOf(shared, viewport) + WIRE_CSS))
    return `<style nonce="${pageNonce()}">${base}${cssOf(printed!.rules, viewport)}${EMPTY}</style><div class="page">${toHtml(printed!.element)}</div>`
  }
}

/** Slots without words show what they are for. */
const EMPTY = `:host{display:block}.page{width:100%}[data-empty]::before{content:attr(data-empty);opacity:.5;text-transform:capitalize}[data-empty]{outline:1px dashed currentcolor;min-width:2em}`
