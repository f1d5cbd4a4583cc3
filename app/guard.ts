import type { MiddlewareFunction } from 'react-router'
import { refusalOf } from '#server/guard'
import { COMMON_HEADERS } from '#server/policy'

/** Stands before every loader and action: what may not be asked from where it is asked is refused before anything reads it. */
export const guard: MiddlewareFunction<Response> = async ({ request }, next) => {
  const refused = refusalOf(request)
  if (refused) return Response.json({ problem: refused.sentence }, { status: refused.status })
  const response = await next()
  const headers = new Headers(response.headers)
  for (const [name, value] of Object.entries(COMMON_HEADERS)) headers.set(name, value)
  return new Response(response.body, { status: response.status, statusText: response.statusText, headers })
}
