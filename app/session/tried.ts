import { useMemo } from 'react'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { useSession } from './context'

/** A site as some edits would leave it; as it is, where one of them does not apply. */
export function asTried(site: Site, tried: readonly Edit[] | null): Site {
  if (!tried) return site
  try {
    return tried.reduce((before, edit) => applyEdit(before, edit).site, site)
  } catch {
    return site
  }
}

/** The site as the views show it: with the edits that are only looked at, and what it is put to. */
export function useShownSite(): Site {
  const site = useSession((state) => state.session.site)
  const tried = useSession((state) => state.tried)
  const stress = useSession((state) => state.stress)
  return useMemo(() => {
    const shown = asTried(site, tried)
    return stress?.change?.(shown) ?? shown
  }, [site, tried, stress])
}
