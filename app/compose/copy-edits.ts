import { ownEdits, replaceEdits } from '#core/many/copies'
import { type Copy, sharedOf } from '#core/shared/copies'
import type { OwnValue } from '#core/shared/own'
import { editAll, makeId, type SessionStore } from '../session/store'

/** Puts copies of another shared block in the place of some. */
export function replaceCopies(store: SessionStore, copies: readonly Copy[], id: string): void {
  const shared = sharedOf(store.getState().session.site, id)
  if (shared) editAll(store, `replace by ${shared.name}`, replaceEdits(store.getState().session.site, copies, shared, makeId))
}

/** Makes what a copy has of its own what all copies have, or takes it away in favour of that. */
export const settleOwn = (store: SessionStore, copy: Copy, values: readonly OwnValue[], to: 'all' | 'shared'): boolean =>
  editAll(store, to === 'all' ? 'give to all copies' : 'as in the other copies', ownEdits(copy, values, to))
