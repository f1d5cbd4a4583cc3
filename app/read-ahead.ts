import type { MiddlewareFunction } from 'react-router'
import { store } from '#server/database'
import { readAhead } from '#server/read-ahead'

/** Whatever asks for a site has it read first, in a thread, so that nobody else waits. */
export const readsAhead: MiddlewareFunction<Response> = async ({ params: { siteId } }) => {
  if (siteId !== undefined) await readAhead(store(), siteId)
}
