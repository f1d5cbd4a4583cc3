import type { PhrasingContent } from 'mdast'
import { gfmStrikethroughToMarkdown } from 'mdast-util-gfm-strikethrough'
import { type Options, toMarkdown } from 'mdast-util-to-markdown'
import type { Span } from '#core/values/words'
import { signsFor } from './entries'
import { toPhrasing, withoutEndBreaks } from './inline'
import type { DeckLinks } from './links'
import type { Deck, Passage } from './passage'
import { cellsOfWords } from '#core/values/table-words'

const options: Options = { extensions: [gfmStrikethroughToMarkdown()], emphasis: '*', strong: '*' }

/** The words of a passage as one line of Markdown, or two where they break. */
function inline(words: readonly Span[], wrap?: (nodes: PhrasingContent[]) => PhrasingContent): string {
  const nodes = toPhrasing(withoutEndBreaks(words))
  return toMarkdown({ type: 'paragraph', children: wrap ? [wrap(nodes)] : nodes }, options).trimEnd()
}

const headed = (words: readonly Span[], depth: 1 | 2 | 3 | 4) =>
  oneLine(toMarkdown({ type: 'heading', depth, children: toPhrasing(words) }, options).trimEnd())

const oneLine = (text: string) => text.replace(/\\?\n/g, ' ')

const cell = (words: readonly Span[]) => oneLine(inline(words)).replaceAll('|', '\\|')

/** Rows as a table in Markdown, the first as its head. */
function tableMarkdown([head, ...rows]: Span[][][]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  return [line(head!.map(cell)), line(head!.map(() => '---')), ...rows.map((row) => line(row.map(cell)))].join('\n')
}

const known = new WeakMap<readonly Span[], Map<string, string>>()

/** A passage as Markdown by the conventions of the deck, without what stands around it. Remembered for frozen words. */
export function passageMarkdown(passage: Passage, links: DeckLinks): string {
  const { role, entry, words, link, ordered = false } = passage
  if (!Object.isFrozen(words)) return print(passage, links)
  let texts = known.get(words)
  if (!texts) known.set(words, (texts = new Map()))
  const key = `${role} ${entry > 0} ${ordered} ${links.write(link)}`
  let text = texts.get(key)
  if (text === undefined) texts.set(key, (text = print(passage, links)))
  return text
}

function print({ role, entry, words, link, ordered }: Passage, links: DeckLinks): string {
  const asLink = () => oneLine(inline(words, (children) => ({ type: 'link', url: links.write(link), children }) as PhrasingContent))
  switch (role) {
    case 'eyebrow':
      return inline(words, (children) => ({ type: 'emphasis', children }) as PhrasingContent)
    case 'heading':
      return headed(words, entry > 0 ? 4 : 3)
    case 'item':
      return ordered ? `1. ${inline(words).replace(/\n/g, '\n   ')}` : `- ${inline(words).replace(/\n/g, '\n  ')}`
    case 'link':
      return `- ${asLink()}`
    case 'label':
      return `- [ ] ${oneLine(inline(words))}`
    case 'call':
      return asLink()
    case 'quote':
      return inline(words)
        .split('\n')
        .map((line) => `> ${line}`)
        .join('\n')
    case 'source':
      return `> — ${oneLine(inline(words))}`
    case 'price':
      return `| ${cell(words)} |`
    case 'term':
      return `|  | ${cell(words)} |`
    case 'text': {
      const table = cellsOfWords(words)
      if (table) return tableMarkdown(table)
      // A bar at the beginning would make it a row.
      return inline(words).replace(/^\|/, '\\|')
    }
  }
}

/** A line that begins the next entry, and one that goes back to the section's own words. */
const SIGNS = { next: '***', own: '---' }
const LISTED = new Set(['item', 'link', 'label'])

/** A numbered item with the number that it has in its list, under which its further lines stand. */
const numbered = (text: string, number: number): string =>
  text.replace(/^1\./, `${number}.`).replaceAll('\n   ', `\n${' '.repeat(String(number).length + 2)}`)

/** A deck as text, and the line (from 0) on which each of its passages begins. */
export type PrintedDeck<P extends Passage> = { text: string; lines: { passage: P; line: number }[] }

/** Prints a deck as Markdown: pages at the first level, sections at the second, their words below. */
export function printDeck<P extends Passage>(deck: Deck<P>, links: DeckLinks): PrintedDeck<P> {
  const out: string[] = []
  const lines: PrintedDeck<P>['lines'] = []
  const block = (text: string) => {
    if (out.length > 0) out.push('')
    out.push(...text.split('\n'))
  }
  for (const page of deck.pages) {
    block(headed([page.name], 1))
    for (const section of page.sections) {
      if (section.name !== '') block(headed([section.name], 2))
      const list = section.passages
      const signs = signsFor(list)
      // The number of the item in its list.
      let number = 0
      list.forEach((passage, at) => {
        const before = list[at - 1]
        const joins = before?.entry === passage.entry && !signs[at]
        number = passage.ordered ? (joins && before.ordered ? number + 1 : 1) : 0
        const plain = passageMarkdown(passage, links)
        const text = number > 1 ? numbered(plain, number) : plain
        const sign = signs[at]
        if (sign) block(SIGNS[sign])
        const listed = joins && before && LISTED.has(before.role) && LISTED.has(passage.role)
        if (listed) out.push(...text.split('\n'))
        else if (joins && before?.role === 'quote' && passage.role === 'source') out.push('>', text)
        else if (joins && before?.role === 'call' && passage.beside) out[out.length - 1] += ` ${text}`
        else if (joins && before?.role === 'price' && passage.role === 'term') out[out.length - 1] += text.slice(4)
        else block(text)
        lines.push({ passage, line: out.length - text.split('\n').length })
      })
    }
  }
  return { text: out.length === 0 ? '' : `${out.join('\n')}\n`, lines }
}
