import type { Element, ElementContent, Properties } from 'hast'
import { z } from 'zod'
import { byLanguage } from '#core/values/language'
import { token } from '#core/values/length'
import { rowsOfWords } from '#core/values/table-words'
import { plainText, type Span } from '#core/values/words'
import { attributes, spansIn } from './element'
import { words } from './fields'
import { element } from './html'
import type { BlockBase, Kind } from './kind'
import { renderWords } from './words-html'

/** Which cells of a table head the others. */
export const HEADS = ['row', 'column', 'both', 'none'] as const

const fields = z.strictObject({
  /** A line for each row, a bar between its cells. */
  ...words,
  head: z.enum(HEADS),
  /** What the table is about, above it. */
  caption: byLanguage(z.string().max(300)).optional(),
})
export type Table = BlockBase<'table', typeof fields>

/** A figure, with its currency, unit or sign: what is lined up at its end. */
const FIGURE = /^[£$€¥~<>≈±+−–-]?\s?\d[\d\s.,:'’×/–-]*\s?(%|°|[A-Za-zµ°²³″′]{1,4}\.?)?$/

/** Columns, from 1, that hold figures: every cell below the head that is not empty. The first names its row. */
export function figureColumns(rows: readonly (readonly (readonly Span[])[])[], headed: boolean): Set<number> {
  const body = headed ? rows.slice(1) : rows
  const columns = body[0]?.length ?? 0
  const texts = (at: number) => body.map((row) => plainText(row[at] ?? []).trim()).filter((text) => text !== '')
  return new Set(
    Array.from({ length: Math.max(0, columns - 1) }, (_, n) => n + 1).filter((at) => {
      const cells = texts(at)
      return cells.length > 0 && cells.every((text) => FIGURE.test(text))
    }),
  )
}

/** Rows and columns of facts, with the cells that head them. */
export const table: Kind<Table> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'ink', 'box', 'underline', 'rows'],
  passage: () => 'text',
  sharedClass: () => 'rows',
  typeRole: () => 'body',
  colours: (_, { looks }) => ({ others: [{ colour: looks.table.line, use: 'edges', what: 'lines of the table' }] }),
  defaults: () => ({ words: {}, head: 'row' }),
  style: { spaceAfter: token('space-5') },
  element(block, context) {
    const spans = spansIn(block, context)
    const empty = plainText(spans).trim() === ''
    if (empty && !context.editing) return undefined
    const rows = rowsOfWords(spans)
    const [rowHead, columnHead] = [block.head === 'row' || block.head === 'both', block.head === 'column' || block.head === 'both']
    const figures = figureColumns(rows, rowHead)
    const cell = (words: readonly Span[], row: number, column: number): Element => {
      const head = (rowHead && row === 0) || (columnHead && column === 0)
      const label = rowHead && row > 0 ? plainText(rows[0]![column] ?? []) : ''
      const properties: Properties = {
        ...(head ? { scope: rowHead && row === 0 ? 'col' : 'row' } : {}),
        ...(figures.has(column) && !(columnHead && column === 0) ? { className: ['figures'] } : {}),
        ...(label === '' || head ? {} : { dataLabel: label }),
      }
      return element(
        head ? 'th' : 'td',
        properties,
        renderWords(words, (href) => context.href({ href })),
      )
    }
    const line = (row: readonly (readonly Span[])[], at: number) =>
      element(
        'tr',
        {},
        row.map((words, column) => cell(words, at, column)),
      )
    const lines = rows.map(line)
    const parts: ElementContent[] = rowHead
      ? [element('thead', {}, lines.slice(0, 1)), element('tbody', {}, lines.slice(1))]
      : [element('tbody', {}, lines)]
    const caption = block.caption?.[context.language] ?? ''
    if (caption !== '') parts.unshift(element('caption', {}, [{ type: 'text', value: caption }]))
    return element(
      'div',
      { ...attributes(block, context, scrolling(block, caption)), ...(empty ? { dataEmpty: block.name ?? 'table' } : {}) },
      [element('table', {}, parts)],
    )
  },
}

/** What is scrolled must be reached by the keyboard, and have a name (WCAG 2.2, 2.1.1; ARIA, region). */
function scrolling({ style: { base, below } }: Table, caption: string): Properties {
  const scrolls = base?.rows === 'scroll' || Object.values(below ?? {}).some((values) => values.rows === 'scroll')
  return scrolls ? { tabIndex: 0, role: 'region', ariaLabel: caption === '' ? 'Table' : caption } : {}
}
