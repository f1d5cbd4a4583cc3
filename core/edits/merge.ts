import { batchOf } from './batch'
import { type Edit, settingOf } from './index'

/**
 * True if making `next` leaves nothing of `before`: both set the same values of the same thing. The one answer on
 * merging, for what is sent (an edit takes the place of an earlier one) and for what is undone (an inverse makes a
 * later one needless).
 */
export function replaces(next: Edit, before: Edit): boolean {
  if (next.kind !== before.kind) return false
  const [now, then] = [settingOf(next), settingOf(before)]
  return now !== undefined && then !== undefined && now.of === then.of && then.names.every((name) => now.names.includes(name))
}

/** True for edits that neither add, take out nor move anything, so that others may be made before or after them. */
const onlySets = (edit: Edit): boolean => settingOf(edit) !== undefined

const leaves = (edit: Edit): Edit[] => (edit.kind === 'batch' ? edit.edits.flatMap(leaves) : [edit])

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
