import { toast } from 'sonner'
import { placeAtHome, placeOn } from '#core/reconcile/place'
import type { Edit } from '#core/edits/index'
import { useSessionStore } from '../session/context'
import { type SessionStore, editAll, makeId } from '../session/store'

/** The unplaced words that are being dragged; a drag within one window has one source. */
let dragged: string | null = null

function perform(
  store: SessionStore,
  id: string,
  make: (one: ReturnType<SessionStore['getState']>['session']['site']['unplaced'][number]) => Edit[] | undefined,
) {
  const one = store.getState().session.site.unplaced.find((other) => other.id === id)
  if (!one) return
  const edits = make(one)
  if (edits) editAll(store, 'place words', edits)
  else toast.error(`These words are of the kind “${one.role}”, which cannot stand there. Drop them on a section or a group.`)
}

/** Placing of unplaced words: by drag onto the page, or into the first slot that suits them. */
export function usePlacing() {
  const store = useSessionStore()
  const siteOf = () => store.getState().session.site
  return {
    begin: (id: string) => (dragged = id),
    dropOn: (block: string) => {
      if (dragged !== null) perform(store, dragged, (one) => placeOn(siteOf(), one, block, makeId))
      dragged = null
    },
    place: (id: string) => perform(store, id, (one) => placeAtHome(siteOf(), one, makeId)),
  }
}
