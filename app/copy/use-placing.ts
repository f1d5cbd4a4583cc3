import { toast } from 'sonner'
import { placeAtHome, placeOn } from '#core/deck/place'
import type { Edit } from '#core/edits/index'
import { useCompose } from '../compose/context'
import { type ComposeStore, editAll, makeId } from '../compose/store'

/** The unplaced words that are being dragged; a drag within one window has one source. */
let dragged: string | null = null

function perform(
  store: ComposeStore,
  id: string,
  make: (one: ReturnType<ComposeStore['getState']>['session']['site']['unplaced'][number]) => Edit[] | undefined,
) {
  const one = store.getState().session.site.unplaced.find((other) => other.id === id)
  if (!one) return
  const edits = make(one)
  if (edits) editAll(store, 'place words', edits)
  else toast.error(`These words are of the kind “${one.role}”, which cannot stand there. Drop them on a section or a group.`)
}

/** Placing of unplaced words: by drag onto the page, or into the first slot that suits them. */
export function usePlacing() {
  const store = useCompose()
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
