import type { PageBrief, SiteBrief } from '#core/site/brief'
import { useCompose, useComposeState } from '../compose/context'
import { edit, pageOf } from '../compose/store'

/** Setters of the site's brief and of the page's. */
export function useBrief() {
  const store = useCompose()
  const page = useComposeState(pageOf)
  const site = useComposeState((state) => state.session.site)
  return {
    site,
    page,
    setSite: (values: Partial<SiteBrief>, gesture?: string) => edit(store, { kind: 'brief', values }, gesture),
    setPage: (values: Partial<PageBrief>, gesture?: string) => edit(store, { kind: 'brief', page: page.id, values }, gesture),
  }
}
