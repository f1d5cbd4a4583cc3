/** A plan out of a table: its name, price, term, and what else is said of it. Cells are Markdown. */
export type PlanRow = { name: string; price: string; term: string; items: string[] }

const MONEY = /[£$€¥₣]|\b(eur|gbp|usd|chf|dkk|sek|nok)\b|^\s*(free|gratis|on request)\s*$/i
const PRICE_HEAD = /\b(price|prices|cost|costs|fee|fees|fare|fares|rate|rates|tariff)\b/i
const TERM_HEAD = /\b(term|period|per|for|billing|duration|length)\b/i
const YES = /^(yes|✓|✔|x|•|included)$/i
const NO = /^(no|–|-|—|✗|)$/i

const mostly = (cells: readonly string[], test: (cell: string) => boolean) =>
  cells.length > 0 && cells.filter(test).length * 2 > cells.length

/** Plans whose names stand down the first column. */
function inRows(head: readonly string[], rows: readonly (readonly string[])[]): PlanRow[] | undefined {
  const columns = Math.max(...rows.map((row) => row.length))
  const indexes = Array.from({ length: columns - 1 }, (_, i) => i + 1)
  const price =
    indexes.find((i) => PRICE_HEAD.test(head[i] ?? '')) ??
    indexes.find((i) =>
      mostly(
        rows.map((row) => row[i] ?? ''),
        (cell) => MONEY.test(cell),
      ),
    )
  if (price === undefined) return undefined
  const term = indexes.find((i) => i !== price && TERM_HEAD.test(head[i] ?? '')) ?? (columns > 2 ? (price === 1 ? 2 : 1) : -1)
  return rows.map((row) => ({
    name: row[0] ?? '',
    price: row[price] ?? '',
    term: row[term] ?? '',
    items: row.filter((cell, i) => i > 0 && i !== price && i !== term && cell !== ''),
  }))
}

/** Plans whose names stand along the first row, each row saying one thing of all of them. */
function inColumns(head: readonly string[], rows: readonly (readonly string[])[]): PlanRow[] | undefined {
  const price = rows.find(
    (row) => PRICE_HEAD.test(row[0] ?? '') && mostly(row.slice(1), (cell) => MONEY.test(cell) || /\d/.test(cell)),
  )
  if (!price || head.length < 3) return undefined
  const term = rows.find((row) => row !== price && TERM_HEAD.test(row[0] ?? ''))
  return head.slice(1).map((name, i) => ({
    name,
    price: price[i + 1] ?? '',
    term: term?.[i + 1] ?? '',
    items: rows.flatMap((row) => {
      const [label = '', cell = ''] = [row[0], row[i + 1]]
      if (row === price || row === term || NO.test(cell)) return []
      return [YES.test(cell) || label === '' ? label || cell : `${label}: ${cell}`]
    }),
  }))
}

/** The plans of a table of prices; `undefined` for a table of other things. @param head its first row, if it names the columns */
export function plansIn(head: readonly string[] | undefined, rows: readonly (readonly string[])[]): PlanRow[] | undefined {
  if (rows.length === 0) return undefined
  return (head && inColumns(head, rows)) ?? inRows(head ?? [], rows)
}
