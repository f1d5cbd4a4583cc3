import type { Block, BlockOf } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { rangeScopes, valuesByRange } from '#core/style/cascade'
import { type PropertyName, type Scope, type StyleValues, valuesIn } from '#core/style/registry'
import { isSame } from '#core/values/equal'

/** What one property of a block has at one range of widths. */
export type Cell = {
  scope: Scope
  /** The value that is set there, if one is. */
  own: unknown
  /** The value that holds there. */
  holds: unknown
}

/**
 * One property of a block, or the picture that it shows, with its values at every range of widths, the widest, which is
 * the base, first.
 */
export type ExceptionRow = { block: Block; property: PropertyName | 'picture'; cells: Cell[] }

/** The properties of a block, and of all that it holds, that differ at some range of widths. */
export function exceptionRows(site: Site, root: Block): ExceptionRow[] {
  const scopes = rangeScopes(site.breakpoints)
  return [...walk(root)].flatMap((block) => {
    const { base, below } = block.style
    const names = new Set(Object.values(below ?? {}).flatMap((values) => Object.keys(values)) as PropertyName[])
    const ranges = valuesByRange(block.style, site.breakpoints)
    const rows = [...names].map((property) => ({
      block,
      property,
      cells: scopes.map((scope, n) => ({
        scope,
        own: scope === 'base' ? base?.[property] : valuesIn(block.style, scope)?.[property],
        holds: ranges[n]![property],
      })),
    }))
    return [...pictureRow(block, scopes), ...rows]
  })
}

/** Another picture below a breakpoint (art direction) is an exception as well. */
function pictureRow(block: Block, scopes: readonly Scope[]): ExceptionRow[] {
  if (block.kind !== 'picture' || block.instead === undefined) return []
  let holds: string | undefined
  const cells = scopes.map((scope): Cell => {
    const own = typeof scope === 'object' ? block.instead![scope.below] : block.picture
    return { scope, own, holds: (holds = own ?? holds) }
  })
  return [{ block, property: 'picture', cells }]
}

/** A value that is to be set at the range with this index; `undefined` takes it away. */
type Change = { at: number; value: unknown }

/** The edits that change the values of a row. */
function editsOf({ block, property, cells }: ExceptionRow, changes: readonly Change[]): Edit[] {
  if (property === 'picture') return pictureEdits(block as BlockOf<'picture'>, cells, changes)
  return changes.map(({ at, value }) => ({
    kind: 'style',
    block: block.id,
    scope: cells[at]!.scope,
    values: { [property]: value ?? null } as StyleValues,
  }))
}

/** The pictures of the narrower ranges are one field, so that it is set once. */
function pictureEdits(block: BlockOf<'picture'>, cells: readonly Cell[], changes: readonly Change[]): Edit[] {
  const edits: Edit[] = []
  const instead = { ...block.instead }
  for (const { at, value } of changes) {
    const { scope } = cells[at]!
    if (typeof scope !== 'object')
      edits.push({ kind: 'field', block: block.id, field: 'picture', value: (value as string | undefined) ?? null })
    else if (value === undefined) delete instead[scope.below]
    else instead[scope.below] = value as string
  }
  if (!isSame(instead, block.instead))
    edits.push({ kind: 'field', block: block.id, field: 'instead', value: Object.keys(instead).length > 0 ? instead : null })
  return edits
}

/** The edits that set the value of a row at one range of widths; `undefined` takes it away. */
export const setEdits = (row: ExceptionRow, at: number, value: unknown): Edit[] =>
  isSame(row.cells[at]!.own, value) ? [] : editsOf(row, [{ at, value }])

/** The edits that take exceptions away at a range of widths: what holds at the range before holds there. */
export const clearEdits = (rows: readonly ExceptionRow[], at: number): Edit[] =>
  rows.flatMap((row) => (row.cells[at]!.own === undefined ? [] : editsOf(row, [{ at, value: undefined }])))

/** The edits that give a range of widths what the base has, whatever holds at the ranges between. */
export const sameAsBaseEdits = (rows: readonly ExceptionRow[], at: number): Edit[] =>
  rows.flatMap((row) => {
    const { cells } = row
    const base = cells[0]!.own
    if (isSame(cells[at]!.holds, base)) return []
    // Without a value between, taking the exception away is enough, and leaves less behind.
    if (isSame(cells[at - 1]?.holds, base)) return editsOf(row, [{ at, value: undefined }])
    return base === undefined ? [] : editsOf(row, [{ at, value: base }])
  })

/**
 * The edits that make what holds at a range of widths the base. Exceptions that say no more than what holds before them
 * then go.
 */
export const makeBaseEdits = (rows: readonly ExceptionRow[], at: number): Edit[] =>
  rows.flatMap((row) => {
    const { cells } = row
    const value = cells[at]!.holds
    if (isSame(value, cells[0]!.own)) return []
    const changes: Change[] = [{ at: 0, value }]
    let before = value
    cells.forEach(({ own }, i) => {
      if (i === 0 || own === undefined) return
      if (isSame(own, before)) changes.push({ at: i, value: undefined })
      else before = own
    })
    return editsOf(row, changes)
  })

/** The edits that give one range of widths what holds at another. */
export const copyEdits = (rows: readonly ExceptionRow[], from: number, to: number): Edit[] =>
  rows.flatMap((row) => {
    const value = row.cells[from]!.holds
    return value === undefined || isSame(value, row.cells[to]!.holds) ? [] : editsOf(row, [{ at: to, value }])
  })
