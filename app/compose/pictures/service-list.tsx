import { toast } from 'sonner'
import { useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { type ServicePicture, takeOfService, useService } from '../../fields/picture-service'
import { ServicePictures } from '../../fields/service-pictures'

/** What the picture service has for some words; a press takes one into the site. */
export function ServiceList({ query, onTaken }: { query: string; onTaken: (id: string) => void }) {
  const store = useSessionStore()
  const found = useService(query)
  const take = async (one: ServicePicture) => {
    const { siteId, session } = store.getState()
    const answer = await takeOfService(siteId, one)
    if ('problem' in answer) return void toast.error(answer.problem)
    const known = session.site.pictures.find((each) => each.hash === answer.hash)
    const picture = known ?? { ...answer, tags: one.words.slice(0, 6) }
    if (!known) edit(store, { kind: 'picture-add', picture })
    toast.success(known ? `“${one.title}” is in the site already.` : `“${one.title}” is in the site.`)
    onTaken(picture.id)
  }
  return (
    <>
      <p className="mb-2 text-label text-ink-2">
        A stand-in on this machine for a picture service: painted by a script, free to use.
      </p>
      <ServicePictures
        found={found}
        className="grid-cols-[repeat(auto-fill,minmax(148px,1fr))] gap-3"
        onTake={(one) => void take(one)}
      />
      {found.length === 0 && query !== '' && (
        <p className="text-label text-ink-2">The picture service has nothing with these words.</p>
      )}
    </>
  )
}
