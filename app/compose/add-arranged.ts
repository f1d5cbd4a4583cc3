import type { Arrangement } from '#core/arrangements/build'
import { newSection } from '#core/blocks/defaults'
import type { Edit } from '#core/edits/index'
import { editAll, makeId, select, type SessionStore } from '../session/store'
import { insertPlace } from './insert'

/** Puts a new section in an arrangement on the page, filled with the words that wait for it. */
export function addArranged(store: SessionStore, arrangement: Arrangement): void {
  const place = insertPlace(store.getState(), 'section')!
  const section = newSection(arrangement.job, makeId)
  const edits: Edit[] = [
    { kind: 'insert', ...place, blocks: [section] },
    { kind: 're-set', section: section.id, arrangement: arrangement.id, ids: makeId() },
  ]
  if (editAll(store, `add ${arrangement.name}`, edits)) select(store, section.id)
}
