import { z } from 'zod'
import type { Site } from '#core/site/schema'
import type { Applied, EditKind } from './edit'
import { type BriefEdit, briefEdit } from './brief'
import {
  type DirectionAddEdit,
  directionAddEdit,
  type DirectionCurrentEdit,
  directionCurrentEdit,
  type DirectionFieldEdit,
  directionFieldEdit,
  type DirectionRemoveEdit,
  directionRemoveEdit,
} from './directions'
import { type FieldEdit, fieldEdit } from './field'
import { type GuideEdit, guideEdit } from './guide'
import { MOST_IN_BATCH } from './merge'
import { type InsertEdit, insertEdit } from './insert'
import { type ListEdit, listEdit } from './list'
import { type MoveEdit, moveEdit } from './move'
import {
  type PageAddEdit,
  pageAddEdit,
  type PageFieldEdit,
  pageFieldEdit,
  type PageMoveEdit,
  pageMoveEdit,
  type PageRemoveEdit,
  pageRemoveEdit,
} from './pages'
import { type PictureAddEdit, pictureAddEdit, type PictureRemoveEdit, pictureRemoveEdit } from './pictures'
import { type RemoveEdit, removeEdit } from './remove'
import { type ReSetEdit, reSetEdit } from './re-set'
import { type SiteEdit, siteEdit } from './site'
import { type StyleEdit, styleEdit } from './style'
import { type SwapEdit, swapEdit } from './swap'
import { type WordsEdit, wordsEdit } from './words'

/** Several edits as one: all are applied, or none. */
export type BatchEdit = { kind: 'batch'; label: string; edits: Edit[] }

/** Every change that a site can undergo. */
export type Edit =
  | StyleEdit
  | WordsEdit
  | FieldEdit
  | InsertEdit
  | RemoveEdit
  | MoveEdit
  | SiteEdit
  | GuideEdit
  | DirectionAddEdit
  | DirectionRemoveEdit
  | DirectionFieldEdit
  | DirectionCurrentEdit
  | PageAddEdit
  | PageRemoveEdit
  | PageFieldEdit
  | PageMoveEdit
  | BriefEdit
  | ListEdit
  | SwapEdit
  | ReSetEdit
  | PictureAddEdit
  | PictureRemoveEdit
  | BatchEdit

const batchSchema: z.ZodType<BatchEdit> = z.strictObject({
  kind: z.literal('batch'),
  label: z.string().max(120),
  edits: z.lazy(() => z.array(editSchema).min(1).max(MOST_IN_BATCH)),
})

const batchEdit: EditKind<BatchEdit, Edit> = {
  kind: 'batch',
  schema: batchSchema,
  label: (edit) => edit.label,
  apply(site, edit) {
    const inverses: Edit[] = []
    let next = site
    for (const one of edit.edits) {
      const step = applyEdit(next, one)
      next = step.site
      inverses.unshift(step.inverse)
    }
    return { site: next, inverse: { kind: 'batch', label: edit.label, edits: inverses } }
  },
}

const kinds = [
  styleEdit,
  wordsEdit,
  fieldEdit,
  insertEdit,
  removeEdit,
  moveEdit,
  siteEdit,
  guideEdit,
  directionAddEdit,
  directionRemoveEdit,
  directionFieldEdit,
  directionCurrentEdit,
  pageAddEdit,
  pageRemoveEdit,
  pageFieldEdit,
  pageMoveEdit,
  briefEdit,
  listEdit,
  swapEdit,
  reSetEdit,
  pictureAddEdit,
  pictureRemoveEdit,
  batchEdit,
] as unknown as EditKind<Edit, Edit>[]

const byKind = new Map(kinds.map((kind) => [kind.kind, kind]))

export const editSchema: z.ZodType<Edit> = z.union(kinds.map((kind) => kind.schema)).meta({ id: 'Edit' })

/**
 * Checks an unknown value as an edit, by the schema of its kind alone, so that the message is about that kind.
 * @throws a ZodError
 */
export function parseEdit(value: unknown): Edit {
  const kind = byKind.get((value as { kind?: Edit['kind'] } | null)?.kind as Edit['kind'])
  return (kind?.schema ?? editSchema).parse(value)
}

/**
 * Applies an edit to a site.
 * @returns the changed site, and the edit that takes the change back
 * @throws EditError if it does not apply; nothing is changed then
 */
export function applyEdit(site: Site, edit: Edit): Applied<Edit> {
  return byKind.get(edit.kind)!.apply(site, edit)
}

/** What an edit does, in a few words, for undo and for messages. */
export function editLabel(edit: Edit): string {
  return byKind.get(edit.kind)!.label(edit)
}
