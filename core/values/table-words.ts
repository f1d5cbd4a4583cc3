import type { Span } from './words'

/** What stands between the cells of a row in words that are a table. */
const BAR = ' | '

/** A table as words: a line for each row, a bar between its cells. */
export function tableWords(rows: readonly (readonly string[])[], wordsOf: (cell: string) => Span[]): Span[] {
  const columns = Math.max(...rows.map((row) => row.length))
  // A bar inside a cell would part it.
  const plain = (spans: readonly Span[]): Span[] =>
    spans.map((span) =>
      typeof span === 'string'
        ? span.replaceAll('|', '/')
        : span.kind === 'break'
          ? ' '
          : { ...span, children: plain(span.children) },
    )
  const words = rows.flatMap((row, i): Span[] => {
    const cells = Array.from({ length: columns }, (_, at) => plain(wordsOf(row[at] ?? '')))
    const line = cells.flatMap((cell, at): Span[] => (at === 0 ? cell : [BAR, ...cell]))
    return i === 0 ? line : [{ kind: 'break' }, ...line]
  })
  return joined(words)
}

/** Neighbouring pieces of plain text as one. */
function joined(spans: readonly Span[]): Span[] {
  const out: Span[] = []
  for (const span of spans) {
    const last = out.at(-1)
    if (typeof span === 'string' && typeof last === 'string') out[out.length - 1] = last + span
    else out.push(span)
  }
  return out
}

/** The cells of words, row by row: a line is a row, a bar parts its cells. Short rows are filled up with empty cells. */
export function rowsOfWords(words: readonly Span[]): Span[][][] {
  const rows: Span[][][] = [[[]]]
  for (const span of words) {
    const row = rows.at(-1)!
    if (typeof span !== 'string') {
      if (span.kind === 'break') rows.push([[]])
      else row.at(-1)!.push(span)
      continue
    }
    span.split(BAR).forEach((text, i) => {
      if (i > 0) row.push([])
      if (text !== '') row.at(-1)!.push(text)
    })
  }
  const columns = Math.max(...rows.map((row) => row.length))
  return rows.map((row) => Array.from({ length: columns }, (_, at) => row[at] ?? []))
}

/** The cells of words that are a table, row by row; `undefined` for all other words. */
export function cellsOfWords(words: readonly Span[]): Span[][][] | undefined {
  const rows: Span[][] = [[]]
  for (const span of words) {
    if (typeof span !== 'string' && span.kind === 'break') rows.push([])
    else rows.at(-1)!.push(span)
  }
  const counts = rows.map((row) => row.reduce((sum, span) => sum + (typeof span === 'string' ? span.split(BAR).length - 1 : 0), 1))
  const isTable = rows.length > 1 && counts[0]! > 1 && counts.every((count) => count === counts[0])
  return isTable ? rowsOfWords(words) : undefined
}
