import { useState } from 'react'
import { toast } from 'sonner'
import { useSessionStore } from '../session/context'
import { editAll } from '../session/store'
import { pictureCard } from './board-edits'
import { type ServicePicture, takeOfService, useService } from '../fields/picture-service'
import { ServicePictures } from '../fields/service-pictures'

/** The local picture library: pictures found by words, put on the board with a press. */
export function LibraryPanel() {
  const store = useSessionStore()
  const [query, setQuery] = useState('')
  const found = useService(query)
  const take = async (one: ServicePicture) => {
    const answer = await takeOfService(store.getState().siteId, one)
    if ('problem' in answer) toast.error(answer.problem)
    else editAll(store, `add ${one.title}`, pictureCard(store.getState().session.site, answer))
  }
  return (
    <section aria-label="Picture library" className="flex min-h-0 flex-1 flex-col border-t border-line-strong p-3">
      <h2 className="font-semibold">Picture library</h2>
      <p className="text-label text-ink-2">A stand-in on this machine for a picture service: painted by a script, free to use.</p>
      <input
        aria-label="Find pictures by words"
        placeholder="Find: texture, portrait, hands …"
        className="my-2 h-[28px] w-full shrink-0 rounded-2 border border-line-strong bg-field px-2"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
      />
      <ServicePictures
        found={found}
        className="relative min-h-0 flex-1 auto-rows-min grid-cols-2 gap-2 overflow-y-auto"
        onTake={(one) => void take(one)}
      />
      {found.length === 0 && query !== '' && <p className="text-label text-ink-2">No picture of the library has these words.</p>}
    </section>
  )
}
