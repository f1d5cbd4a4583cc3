import { oneLine } from '#core/values/one-line'
import type { Blockquote, Heading, Link as LinkNode, List, Paragraph, PhrasingContent, RootContent } from 'mdast'
import { fromMarkdown } from 'mdast-util-from-markdown'
import { gfmStrikethroughFromMarkdown } from 'mdast-util-gfm-strikethrough'
import { gfmStrikethrough } from 'micromark-extension-gfm-strikethrough'
import type { Role } from '#core/values/passage-role'
import { plainText, type Span } from '#core/values/words'
import { entryNumbers, type Seen } from './entries'
import { fromPhrasing, withoutEndBreaks } from './inline'
import type { DeckLinks } from './links'
import type { Deck, DeckPage, DeckSection } from './passage'
import { tableWords } from '#core/values/table-words'
import { plansIn } from './tables'

/** Most that a deck may weigh, characters. */
export const MAX_DECK = 1_000_000

const blank = (node: PhrasingContent) => node.type === 'text' && node.value.trim() === ''

/** The links of a paragraph that holds nothing else. */
function linksOnly(nodes: readonly PhrasingContent[]): LinkNode[] | undefined {
  const rest = nodes.filter((node) => !blank(node) && node.type !== 'break')
  return rest.length > 0 && rest.every((node) => node.type === 'link') ? rest : undefined
}

/** The cells of a line that stands between bars, as a row of a table, in Markdown; `undefined` for one that does not. */
function cellsOf(line: string): string[] | undefined {
  const trimmed = line.trim()
  if (trimmed.length < 3 || !trimmed.startsWith('|') || !/[^\\]\|$/.test(trimmed)) return undefined
  return trimmed
    .slice(1, -1)
    .split(/(?<!\\)\|/)
    .map((cell) => cell.trim())
}

/** A tree of Markdown. */
export const treeOf = (text: string) =>
  fromMarkdown(text, {
    extensions: [gfmStrikethrough({ singleTilde: false })],
    mdastExtensions: [gfmStrikethroughFromMarkdown()],
  })

/** The words of a cell. */
function wordsOf(cell: string): Span[] {
  const [first] = treeOf(cell).children
  return first?.type === 'paragraph' ? fromPhrasing(first.children) : cell === '' ? [] : [cell]
}

const SOURCE = /^(—|–|--)\s+/

/** The rest of a paragraph after its last line break: the line that may name a quote's source. */
function lastLine(nodes: readonly PhrasingContent[]): { before: PhrasingContent[]; line: PhrasingContent[] } {
  for (let i = nodes.length - 1; i >= 0; i--) {
    const node = nodes[i]!
    if (node.type === 'break') return { before: nodes.slice(0, i), line: nodes.slice(i + 1) }
    if (node.type !== 'text' || !node.value.includes('\n')) continue
    const at = node.value.lastIndexOf('\n')
    return {
      before: [...nodes.slice(0, i), { type: 'text', value: node.value.slice(0, at) }],
      line: [{ type: 'text', value: node.value.slice(at + 1) }, ...nodes.slice(i + 1)],
    }
  }
  return { before: [], line: [...nodes] }
}

/** Reads the blocks of a deck one after the other. */
function reader(text: string, links: DeckLinks) {
  const pages: DeckPage[] = []
  let page: DeckPage | undefined
  let section: DeckSection | undefined
  // What is known of the section's passages until it is whole and their entries can be told.
  let seen: Seen[] = []
  let sign: Seen['sign']

  const closeSection = () => {
    const numbers = entryNumbers(seen)
    section?.passages.forEach((passage, i) => (passage.entry = numbers[i]!))
    seen = []
    sign = undefined
  }
  const openPage = (name: string) => {
    closeSection()
    pages.push((page = { name, sections: [] }))
    section = undefined
  }
  const openSection = (name: string) => {
    if (!page) openPage('')
    closeSection()
    page!.sections.push((section = { name, passages: [] }))
  }
  type More = { link?: ReturnType<DeckLinks['read']>; deep?: boolean; ordered?: boolean; beside?: boolean }
  const add = (role: Role, given: Span[], { link, deep = false, ordered, beside }: More = {}) => {
    const words = withoutEndBreaks(given)
    if (plainText(words).trim() === '') return
    if (!section) openSection('')
    // Frozen, so that their Markdown can be remembered for them.
    Object.freeze(words)
    section!.passages.push({
      role,
      entry: 0,
      words,
      ...(link ? { link } : {}),
      ...(ordered ? { ordered } : {}),
      ...(beside ? { beside } : {}),
    })
    seen.push(sign ? { role, deep, sign } : { role, deep })
    sign = undefined
  }

  function heading({ depth, children }: Heading) {
    const words = fromPhrasing(children)
    if (depth === 1) return openPage(plainText(words).trim().slice(0, 120))
    if (depth === 2) return openSection(plainText(words).trim().slice(0, 120))
    add('heading', words, { deep: depth > 3 })
  }
  function rows(cells: string[][]) {
    const separator = cells.findIndex((row) => row.length > 1 && row.every((cell) => /^:?-+:?$/.test(cell)))
    const head = separator > 0 ? cells[separator - 1] : undefined
    const body = cells.filter((_, i) => i > separator)
    const wide = Math.max(...cells.map((row) => row.length)) > 2
    // Rows of one or two cells without a head are the price and term of the heading above them.
    if (!head && !wide) {
      for (const [price = '', term = ''] of body) {
        add('price', wordsOf(price))
        add('term', wordsOf(term))
      }
      return
    }
    const plans = wide ? plansIn(head, body) : undefined
    for (const { name, price, term, items } of plans ?? []) {
      add('heading', wordsOf(name), { deep: true })
      add('price', wordsOf(price))
      add('term', wordsOf(term))
      for (const item of items) add('item', wordsOf(item))
    }
    // Any other table keeps its rows and columns, as lines with bars between the cells.
    if (!plans) add('text', tableWords(head ? [head, ...body] : body, wordsOf))
  }
  function paragraph({ children, position }: Paragraph) {
    const [first] = children
    const cells = text.slice(position!.start.offset, position!.end.offset).split('\n').map(cellsOf)
    if (cells.every((row) => row !== undefined)) return rows(cells)
    const only = linksOnly(children)
    if (only) only.forEach((one, i) => add('call', fromPhrasing(one.children), { link: links.read(one.url), beside: i > 0 }))
    else if (children.length === 1 && first!.type === 'emphasis') add('eyebrow', fromPhrasing(first!.children))
    else add('text', fromPhrasing(children))
  }
  function quote({ children }: Blockquote) {
    const paragraphs = children.filter((child) => child.type === 'paragraph')
    const last = paragraphs.at(-1)
    if (!last) return
    const { before, line } = lastLine(last.children)
    // A dash on the only line of a quote is the quote's own.
    const named = (paragraphs.length > 1 || before.length > 0) && SOURCE.test(plainText(fromPhrasing(line)))
    const bodies = [...paragraphs.slice(0, -1).map((one) => one.children), named ? before : last.children]
    const words = bodies.filter((body) => body.length > 0).map(fromPhrasing)
    add(
      'quote',
      words.flatMap((one, i): Span[] => (i === 0 ? one : [{ kind: 'break' }, ...one])),
    )
    if (!named) return
    const [first, ...rest] = fromPhrasing(line)
    add('source', typeof first === 'string' ? [first.replace(SOURCE, ''), ...rest] : [])
  }
  function list({ children, ordered }: List) {
    for (const item of children) {
      for (const child of item.children) {
        if (child.type !== 'paragraph') {
          block(child)
          continue
        }
        const only = linksOnly(child.children)
        const words = fromPhrasing(child.children)
        const [first, ...rest] = words
        if (only?.length === 1) add('link', fromPhrasing(only[0]!.children), { link: links.read(only[0]!.url) })
        else if (typeof first === 'string' && first.startsWith('[ ] ')) add('label', [first.slice(4), ...rest])
        else add('item', words, { ordered: ordered === true })
      }
    }
  }
  function block(node: RootContent) {
    switch (node.type) {
      case 'heading':
        return heading(node)
      case 'paragraph':
        return paragraph(node)
      case 'blockquote':
        return quote(node)
      case 'list':
        return list(node)
      case 'thematicBreak':
        // Stars begin the next entry; hyphens go back to the section's own words.
        sign = text[node.position!.start.offset!] === '*' ? 'next' : 'own'
        return
      case 'code':
        return add('text', [oneLine(node.value)])
      default:
        return
    }
  }
  const deck = (): Deck => {
    closeSection()
    return { pages }
  }
  return { block, deck }
}

/** Where a page or a section begins: its heading's line is the first of a part of the text. */
const PART = /^(?=#{1,2}\s)/m

/** A section that has no words yet but an eyebrow, and a heading of the first level with words under it. */
const BARE_SECTION = /^##\s[^\n]*\n\s*(\*[^*\n]+\*\s*)?$/
const TITLE = /^#[^\S\n]+(\S[^\n]*)\n\s*\S/

/**
 * The parts of a text. A heading of the first level at the beginning of a section, with words under it, is that section's
 * heading, as other programs write the one `h1` of a page; unless a page of the site is called so.
 */
function partsOf(text: string, links: DeckLinks): string[] {
  const parts: string[] = []
  for (const part of text.split(PART)) {
    const title = TITLE.exec(part)?.[1]
    const before = parts.at(-1) ?? ''
    if (title !== undefined && BARE_SECTION.test(before) && !links.isPage(title.trim()))
      parts[parts.length - 1] = `${before}##${part}`
    else parts.push(part)
  }
  return parts
}

const known = new WeakMap<DeckLinks, Map<string, readonly DeckPage[]>>()
/** Parts that are remembered; a deck has one for each section. */
const MOST_PARTS = 2000

/** A part of a deck, read once for as long as it and the pages' addresses are the same. */
function readPart(text: string, links: DeckLinks): readonly DeckPage[] {
  let parts = known.get(links)
  if (!parts || parts.size > MOST_PARTS) known.set(links, (parts = new Map()))
  let pages = parts.get(text)
  if (!pages) {
    const { block, deck } = reader(text, links)
    for (const node of treeOf(text).children) block(node)
    parts.set(text, (pages = deck().pages))
  }
  return pages
}

/**
 * Reads Markdown as a copy deck. Every text is some deck: what has no heading above it has no page or section. Each
 * page's and section's part of the text stands for itself, so that a key press reads one of them.
 */
export function parseDeck(text: string, links: DeckLinks): Deck {
  const pages: DeckPage[] = []
  for (const part of partsOf(text, links)) {
    for (const { name, sections } of readPart(part, links)) {
      const last = pages.at(-1)
      if (name === '' && last) last.sections.push(...sections)
      else pages.push({ name, sections: [...sections] })
    }
  }
  return { pages }
}
