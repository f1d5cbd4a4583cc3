import { useEffect, useState } from 'react'
import type { Picture } from '#core/picture/picture'
import { makeId } from '../session/store'
import { type Asked, ask } from '../ui/ask'

/** A picture of the local library, which stands in for a picture service. */
export type ServicePicture = { name: string; title: string; words: string[] }

/** What the picture service has for some words. */
export function useService(query: string): ServicePicture[] {
  const [found, setFound] = useState<ServicePicture[]>([])
  useEffect(() => {
    const request = new AbortController()
    fetch(`/library?q=${encodeURIComponent(query)}`, { signal: request.signal })
      .then((response) => response.json() as Promise<ServicePicture[]>)
      .then(setFound)
      .catch(() => undefined)
    return () => request.abort()
  }, [query])
  return found
}

/** Takes a picture of the service, as one that a site may have. */
export async function takeOfService(siteId: string, one: ServicePicture): Promise<Asked<Picture>> {
  const answer = await ask<Omit<Picture, 'id'>>(`“${one.title}” was not taken`, `/sites/${siteId}/library`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: one.name }),
  })
  return 'problem' in answer ? answer : { ...answer, id: makeId() }
}
