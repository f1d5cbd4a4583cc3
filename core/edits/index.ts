import { z } from 'zod'
import type { Site } from '#core/site/schema'
import { conform } from '#core/shared/conform'
import { type Batch, batchKind, batchOf } from './batch'
import { briefEdit } from './brief'
import { checkChange } from './check-change'
import { copiesEdit } from './copies'
import { directionAddEdit } from './direction-add'
import { directionCurrentEdit } from './direction-current'
import { directionFieldEdit } from './direction-field'
import { directionRemoveEdit } from './direction-remove'
import { fieldEdit } from './field'
import { guideEdit } from './guide'
import { guiseEdit } from './guise'
import { guisesEdit } from './guises'
import { insertEdit } from './insert'
import { listEdit } from './list'
import { moveEdit } from './move'
import { pageAddEdit } from './page-add'
import { pageFieldEdit } from './page-field'
import { pageMoveEdit } from './page-move'
import { pageRemoveEdit } from './page-remove'
import { pictureAddEdit } from './picture-add'
import { pictureChangeEdit } from './picture-change'
import { pictureRemoveEdit } from './picture-remove'
import { reSetEdit } from './re-set'
import { removeEdit } from './remove'
import { shareEdit } from './share'
import { sharedEdit } from './shared'
import { siteEdit } from './site'
import { styleEdit } from './style'
import { swapEdit } from './swap'
import { throughShared } from './through-shared'
import { wordsEdit } from './words'
import type { AnyEdit, Applied, Chooser, EditKind, Setting } from './edit'

/** Holds each kind under its own name. */
const named = <T extends { [K in keyof T]: { kind: K } }>(kinds: T): T => kinds

/** Every change that a site can undergo, but for several as one. */
const KINDS = named({
  style: styleEdit,
  words: wordsEdit,
  field: fieldEdit,
  insert: insertEdit,
  remove: removeEdit,
  move: moveEdit,
  site: siteEdit,
  guide: guideEdit,
  'direction-add': directionAddEdit,
  'direction-remove': directionRemoveEdit,
  'direction-field': directionFieldEdit,
  'direction-current': directionCurrentEdit,
  'page-add': pageAddEdit,
  'page-remove': pageRemoveEdit,
  'page-field': pageFieldEdit,
  'page-move': pageMoveEdit,
  brief: briefEdit,
  list: listEdit,
  swap: swapEdit,
  're-set': reSetEdit,
  share: shareEdit,
  shared: sharedEdit,
  copies: copiesEdit,
  guise: guiseEdit,
  guises: guisesEdit,
  'picture-add': pictureAddEdit,
  'picture-remove': pictureRemoveEdit,
  'picture-change': pictureChangeEdit,
})

type EditOf<K> = K extends EditKind<infer E, infer I> ? E | I : never
type Single = Exclude<EditOf<(typeof KINDS)[keyof typeof KINDS]>, { kind: 'batch' }>
/** Every change that a site can undergo. */
export type Edit = Single | Batch<Edit>

const byKind = KINDS as unknown as Record<string, EditKind<Edit>>
const kindOf = (edit: AnyEdit): EditKind<Edit> =>
  Object.hasOwn(byKind, edit.kind) ? byKind[edit.kind]! : (batch as unknown as EditKind<Edit>)

const batch: EditKind<Batch<Edit>> = batchKind<Edit>(
  () => editSchema,
  (site, edit) => applyOne(site, edit),
  (site, choose) => sampleEdit(choose.one(Object.keys(KINDS)), site, choose),
)

/** Names of all kinds of edit. */
export const EDIT_KINDS: readonly string[] = [...Object.keys(KINDS), 'batch']

export const editSchema: z.ZodType<Edit> = z
  .union([...Object.values(KINDS).map((kind) => kind.schema as unknown as z.ZodType<Edit>), batch.schema as z.ZodType<Edit>])
  .meta({ id: 'Edit' })

/**
 * Checks an unknown value as an edit, by the schema of its kind alone, so that the message is about that kind.
 * @throws a ZodError
 */
export function parseEdit(value: unknown): Edit {
  const name = (value as { kind?: unknown } | null)?.kind
  const known = typeof name === 'string' && EDIT_KINDS.includes(name)
  return known ? kindOf({ kind: name }).schema.parse(value) : editSchema.parse(value)
}

/** Applies an edit, or what it comes to in a copy of a shared block, and brings copies that came with it up to date. */
function applyOne(site: Site, edit: Edit): Applied<Edit> {
  const meant = throughShared(site, edit)
  const parts = meant.kind === 'batch' && meant !== edit ? meant.edits : [meant]
  // What an edit comes to is not looked at again.
  const { site: next, inverse } =
    parts.length === 1 ? kindOf(parts[0]!).apply(site, parts[0]!) : applyParts(site, meant.kind, parts)
  return { site: edit.kind === 'batch' ? next : conform(next, site), inverse }
}

function applyParts(site: Site, label: string, parts: readonly Edit[]): Applied<Edit> {
  const inverses: Edit[] = []
  let next = site
  for (const part of parts) {
    const step = kindOf(part).apply(next, part)
    next = step.site
    inverses.unshift(step.inverse)
  }
  return { site: next, inverse: batchOf(label, inverses) }
}

/**
 * Applies an edit to a site.
 * @returns the changed site, and the edit that takes the change back
 * @throws EditError if it does not apply, or would leave a site that cannot be opened again; nothing is changed then
 */
export function applyEdit(site: Site, edit: Edit): Applied<Edit> {
  const applied = applyOne(site, edit)
  checkChange(site, applied.site)
  return applied
}

/** What an edit does, in a few words, for undo and for messages. */
export const editLabel = (edit: Edit): string => kindOf(edit).label(edit)

/** What an edit only gives new values to; `undefined` if it adds, takes out or moves something. */
export const settingOf = (edit: Edit): Setting | undefined => kindOf(edit).sets?.(edit)

/** An edit of one kind on a site, for tests. */
export const sampleEdit = (kind: string, site: Site, choose: Chooser): Edit => kindOf({ kind }).sample(site, choose)
