import type { Block, Page, Site } from '#core/site/schema'
import { isPlaceholder } from '#core/deck/filler'
import { sectionClasses } from '#core/render/names'
import { longWords } from '#core/render/long-words'
import { hasWords, walk, walkPage } from '#core/site/tree'
import { plainText } from '#core/site/words'
import { visibleBlocks, visibleIn } from '#core/brief/targets'
import { linkProblem } from './links'

/** Something to mend before a site is handed over: where, and what in one sentence. */
export type DeliverFinding = { page: string; block?: string; sentence: string }

type Check = (page: Page, blocks: readonly Block[], site: Site) => (Omit<DeliverFinding, 'page'> | undefined)[]

const nameOf = (block: Block) => block.name ?? block.kind

const emptySlots: Check = (_, blocks, { language }) => {
  const empty = blocks.filter((block) => hasWords(block) && plainText(block.words[language] ?? []).trim() === '')
  if (empty.length === 0) return []
  return [
    {
      block: empty[0]!.id,
      sentence: `${empty.length} ${empty.length === 1 ? 'slot has' : 'slots have'} no words and ${empty.length === 1 ? 'is' : 'are'} left out.`,
    },
  ]
}

const pictures: Check = (_, blocks, { language, pictures: known }) =>
  blocks.map((block) => {
    if (block.kind !== 'picture') return undefined
    const chosen = known.find((one) => one.id === block.picture)
    if (!chosen)
      return {
        block: block.id,
        sentence: `The block “${nameOf(block)}” has no picture: a crossed frame stands in its place.`,
      }
    if (block.link && !block.alt?.[language])
      return {
        block: block.id,
        sentence: `The picture “${chosen.name}” is a link and has no alternative text, so the link has no name.`,
      }
    return undefined
  })

const links: Check = (page, blocks, site) => {
  const anchors = sectionClasses(site)
  return blocks.map((block) => {
    if (block.kind !== 'button' && block.kind !== 'link') return undefined
    if (!block.link) {
      const sends = block.kind === 'button' && inForms(page).has(block.id)
      return sends ? undefined : { block: block.id, sentence: `The ${block.kind} “${nameOf(block)}” leads nowhere.` }
    }
    if ('href' in block.link && block.link.href === 'https://')
      return { block: block.id, sentence: `The ${block.kind} “${nameOf(block)}” leads to an unfinished address.` }
    const problem = linkProblem(block.link, page, site, anchors)
    return problem ? { block: block.id, sentence: `The ${block.kind} “${nameOf(block)}” ${problem}` } : undefined
  })
}

/** Ids of all that stands in a form, whose button sends it. */
const inForms = (page: Page): Set<string> =>
  new Set([...walkPage(page)].flatMap((block) => (block.kind === 'form' ? [...walk(block)].map((one) => one.id) : [])))

const forms: Check = (_, blocks) =>
  blocks.flatMap((block) => {
    if (block.kind !== 'form') return []
    const inside = visibleIn(block)
    return [
      block.sendTo
        ? undefined
        : { block: block.id, sentence: 'A form sends its entries to the local inbox alone. Give it an address that takes them.' },
      block.link ? undefined : { block: block.id, sentence: 'A form has no page that confirms it.' },
      inside.some((one) => one.kind === 'button')
        ? undefined
        : { block: block.id, sentence: 'A form has no button that sends it.' },
    ]
  })

const words: Check = (page, blocks, site) =>
  longWords(site, page).map(({ block, word, needs, has, at }) => ({
    block,
    sentence: `“${word.length > 40 ? `${word.slice(0, 39)}…` : word}” in “${nameOf(blocks.find((one) => one.id === block)!)}” is about ${needs} px wide and has ${has} px at ${at.at(-1)}. Set it smaller, or put a soft hyphen where it may be parted.`,
  }))

const placeholders: Check = (_, blocks, { language }) => {
  const found = blocks.filter((block) => hasWords(block) && isPlaceholder(plainText(block.words[language] ?? [])))
  if (found.length === 0) return []
  return [{ block: found[0]!.id, sentence: `${found.length} ${found.length === 1 ? 'slot has' : 'slots have'} placeholder words.` }]
}

const headings: Check = (_, blocks) => {
  const levels = blocks.flatMap((block) => (block.kind === 'heading' ? [block] : []))
  const first = levels.filter((block) => block.level === 1)
  const count =
    first.length === 1
      ? undefined
      : {
          block: first[1]?.id,
          sentence:
            first.length === 0
              ? 'The page has no first-level heading.'
              : `The page has ${first.length} first-level headings; one is wanted.`,
        }
  const jump = levels.find((block, i) => i > 0 && block.level > levels[i - 1]!.level + 1)
  return [
    count,
    jump && {
      block: jump.id,
      sentence: `A heading of level ${jump.level} follows one of level ${levels[levels.indexOf(jump) - 1]!.level}; no level should be skipped.`,
    },
  ]
}

const head: Check = (page, _, { language }) => [
  page.title[language] ? undefined : { sentence: 'The page has no title of its own.' },
  page.description[language] ? undefined : { sentence: 'The page has no description.' },
]

/** All that stands in the way of handing a site over, page by page. */
export function findings(site: Site): DeliverFinding[] {
  return site.pages.flatMap((page) => {
    const blocks = visibleBlocks(page).map((one) => one.block)
    return [head, headings, emptySlots, placeholders, words, pictures, links, forms].flatMap((check) =>
      check(page, blocks, site).flatMap((found) => (found ? [{ page: page.id, ...found }] : [])),
    )
  })
}
