import { type Edit } from './index'

/** Most edits that one batch holds; more are put into batches inside it. */
export const MOST_IN_BATCH = 500

const setsAll = (next: object, before: object): boolean => Object.keys(before).every((name) => Object.hasOwn(next, name))

/** Ids of the items that a change of a list only gives new values; `undefined` where it also puts in or takes out. */
function itemsSet(edit: Edit): string[] | undefined {
  if (edit.kind !== 'list' || edit.drop.length > 0 || edit.put.some((one) => one.at !== undefined)) return undefined
  return edit.put.map((one) => one.item.id)
}

/**
 * True if making `next` leaves nothing of `before`: both set the same values of the same thing. The one answer on
 * merging, for what is sent (an edit takes the place of an earlier one) and for what is undone (an inverse makes a
 * later one needless).
 */
export function replaces(next: Edit, before: Edit): boolean {
  switch (next.kind) {
    case 'words':
      return before.kind === 'words' && next.block === before.block && setsAll(next.words, before.words)
    case 'style':
      return (
        before.kind === 'style' &&
        next.block === before.block &&
        next.direction === before.direction &&
        JSON.stringify(next.scope) === JSON.stringify(before.scope) &&
        setsAll(next.values, before.values)
      )
    case 'guide':
      return before.kind === 'guide' && next.part === before.part && next.direction === before.direction
    case 'site':
      return before.kind === 'site' && next.field === before.field
    case 'field':
      return before.kind === 'field' && next.block === before.block && next.field === before.field
    case 'brief': {
      const pageIn = (edit: object) => ('page' in edit ? edit.page : undefined)
      return before.kind === 'brief' && pageIn(next) === pageIn(before) && setsAll(next.values, before.values)
    }
    case 'page-field':
      return before.kind === 'page-field' && next.page === before.page && setsAll(next.values, before.values)
    case 'direction-field':
      return before.kind === 'direction-field' && next.direction === before.direction && setsAll(next.values, before.values)
    case 'list': {
      if (before.kind !== 'list' || next.list !== before.list) return false
      const [now, then] = [itemsSet(next), itemsSet(before)]
      return now !== undefined && then !== undefined && then.every((id) => now.includes(id))
    }
    default:
      return false
  }
}

const SETTERS = new Set<Edit['kind']>(['words', 'style', 'guide', 'site', 'field', 'brief', 'page-field', 'direction-field'])
/** True for edits that neither add, take out nor move anything, so that others may be made before or after them. */
const onlySets = (edit: Edit): boolean => SETTERS.has(edit.kind) || itemsSet(edit) !== undefined

const leaves = (edit: Edit): Edit[] => (edit.kind === 'batch' ? edit.edits.flatMap(leaves) : [edit])

/** Several edits as one. A batch that would hold more than it may holds batches. */
export function batchOf(label: string, edits: readonly Edit[]): Edit {
  if (edits.length === 1) return edits[0]!
  const short = label.slice(0, 120)
  if (edits.length <= MOST_IN_BATCH) return { kind: 'batch', label: short, edits: [...edits] }
  const size = Math.ceil(edits.length / Math.ceil(edits.length / MOST_IN_BATCH))
  const parts = Array.from({ length: Math.ceil(edits.length / size) }, (_, i) => edits.slice(i * size, (i + 1) * size))
  return batchOf(
    short,
    parts.map((part) => batchOf(short, part)),
  )
}

/**
 * What takes a whole gesture back: its newest edit's inverse, then what took the gesture back before. Of inverses that
 * set the same values only the oldest is kept, so that a gesture of any length stays one short step.
 */
export function joinInverses(label: string, newest: Edit, earlier: Edit): Edit {
  const before = leaves(earlier)
  const needed: Edit[] = []
  const added = leaves(newest)
  for (let i = added.length - 1; i >= 0; i--) {
    const one = added[i]!
    const after = [...needed, ...before]
    const limit = after.findIndex((other) => !onlySets(other))
    const free = limit < 0 ? after : after.slice(0, limit)
    if (!free.some((other) => replaces(other, one))) needed.unshift(one)
  }
  return needed.length === 0 ? earlier : batchOf(label, [...needed, ...before])
}
