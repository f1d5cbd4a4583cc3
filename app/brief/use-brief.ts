import type { PageBrief, SiteBrief } from '#core/site/brief'
import { useSessionStore, useSession } from '../session/context'
import { edit, pageOf } from '../session/store'

/** Setters of the site's brief and of the page's. */
export function useBrief() {
  const store = useSessionStore()
  const page = useSession(pageOf)
  const site = useSession((state) => state.session.site)
  return {
    site,
    page,
    setSite: (values: Partial<SiteBrief>, gesture?: string) => edit(store, { kind: 'brief', values }, gesture),
    setPage: (values: Partial<PageBrief>, gesture?: string) => edit(store, { kind: 'brief', page: page.id, values }, gesture),
  }
}
