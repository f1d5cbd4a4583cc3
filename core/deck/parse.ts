import type { Blockquote, Heading, Link as LinkNode, List, Paragraph, PhrasingContent, RootContent } from 'mdast'
import { fromMarkdown } from 'mdast-util-from-markdown'
import { gfmStrikethroughFromMarkdown } from 'mdast-util-gfm-strikethrough'
import { gfmStrikethrough } from 'micromark-extension-gfm-strikethrough'
import type { Role } from '#core/site/passage'
import { plainText, type Span } from '#core/site/words'
import { fromPhrasing } from './inline'
import type { DeckLinks } from './links'
import type { Deck, DeckPage, DeckSection, Passage } from './passage'

/** Most that a deck may weigh, characters. */
export const MAX_DECK = 1_000_000

const blank = (node: PhrasingContent) => node.type === 'text' && node.value.trim() === ''

/** The links of a paragraph that holds nothing else. */
function linksOnly(nodes: readonly PhrasingContent[]): LinkNode[] | undefined {
  const rest = nodes.filter((node) => !blank(node) && node.type !== 'break')
  return rest.length > 0 && rest.every((node) => node.type === 'link') ? rest : undefined
}

/** The cells of a line that stands between bars, as a row of a table; `undefined` for one that does not. */
function cellsOf(line: string): string[] | undefined {
  const trimmed = line.trim()
  if (trimmed.length < 3 || !trimmed.startsWith('|') || !trimmed.endsWith('|')) return undefined
  return trimmed
    .slice(1, -1)
    .split('|')
    .map((cell) => cell.trim())
}

const SOURCE = /^(—|–|--)\s*/

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
function reader(links: DeckLinks) {
  const pages: DeckPage[] = []
  let page: DeckPage | undefined
  let section: DeckSection | undefined
  let entry = 0
  let entries = 0
  // An eyebrow directly over a heading belongs to the entry that the heading begins.
  let waiting: Passage | undefined

  const openPage = (name: string) => {
    pages.push((page = { name, sections: [] }))
    section = undefined
  }
  const openSection = (name: string) => {
    if (!page) openPage('')
    page!.sections.push((section = { name, passages: [] }))
    entry = 0
    entries = 0
  }
  const add = (role: Role, words: Span[], link?: ReturnType<DeckLinks['read']>) => {
    if (plainText(words).trim() === '') return
    if (!section) openSection('')
    const passage: Passage = link ? { role, entry, words, link } : { role, entry, words }
    section!.passages.push(passage)
    waiting = role === 'eyebrow' ? passage : undefined
  }
  const beginEntry = () => {
    entry = ++entries
    if (waiting) waiting.entry = entry
  }

  function heading({ depth, children }: Heading) {
    const words = fromPhrasing(children)
    if (depth === 1) return openPage(plainText(words).trim().slice(0, 120))
    if (depth === 2) return openSection(plainText(words).trim().slice(0, 120))
    if (depth > 3) beginEntry()
    add('heading', words)
  }
  function rows(lines: string[]) {
    const cells = lines.map(cellsOf) as string[][]
    const separator = cells.findIndex((row) => row.every((cell) => /^:?-+:?$/.test(cell)))
    for (const [name = '', ...rest] of cells.slice(separator + 1)) {
      // A row of three names a plan; one of two belongs to the heading above it.
      const [price = '', term = ''] = rest.length >= 2 ? rest : [name, ...rest]
      if (rest.length >= 2) {
        beginEntry()
        add('heading', [name])
      }
      add('price', price === '' ? [] : [price])
      add('term', term === '' ? [] : [term])
    }
  }
  function paragraph({ children }: Paragraph) {
    const [first] = children
    const only = linksOnly(children)
    if (only) for (const one of only) add('call', fromPhrasing(one.children), links.read(one.url))
    else if (children.length === 1 && first!.type === 'emphasis') add('eyebrow', fromPhrasing(first!.children))
    else if (first!.type === 'text' && children.length === 1 && first!.value.split('\n').every(cellsOf))
      rows(first!.value.split('\n'))
    else add('text', fromPhrasing(children))
  }
  function quote({ children }: Blockquote) {
    const paragraphs = children.filter((child) => child.type === 'paragraph')
    const last = paragraphs.at(-1)
    if (!last) return
    const { before, line } = lastLine(last.children)
    const named = SOURCE.test(plainText(fromPhrasing(line)))
    const held = section?.passages.filter((one) => one.entry === entry) ?? []
    const alone = paragraphs.length === 1 && named && before.length === 0
    if (!alone && (entry === 0 || held.some((one) => one.role === 'quote'))) beginEntry()
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
  function list({ children }: List) {
    for (const item of children) {
      for (const child of item.children) {
        if (child.type !== 'paragraph') {
          block(child)
          continue
        }
        const only = linksOnly(child.children)
        const words = fromPhrasing(child.children)
        const [first, ...rest] = words
        if (only?.length === 1) add('link', fromPhrasing(only[0]!.children), links.read(only[0]!.url))
        else if (typeof first === 'string' && first.startsWith('[ ] ')) add('label', [first.slice(4), ...rest])
        else add('item', words)
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
        entry = 0
        waiting = undefined
        return
      case 'code':
        return add('text', [node.value.replace(/\s*\n\s*/g, ' ')])
      default:
        return
    }
  }
  return { block, deck: (): Deck => ({ pages }) }
}

/** Reads Markdown as a copy deck. Every text is some deck: what has no heading above it has no page or section. */
export function parseDeck(text: string, links: DeckLinks): Deck {
  const tree = fromMarkdown(text, {
    extensions: [gfmStrikethrough({ singleTilde: false })],
    mdastExtensions: [gfmStrikethroughFromMarkdown()],
  })
  const { block, deck } = reader(links)
  for (const node of tree.children) block(node)
  return deck()
}
