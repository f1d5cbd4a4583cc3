import { data } from 'react-router'
import { ZodError } from 'zod'
import { EditError } from '#core/edits/edit'
import { FormatError } from '#core/formats/site-json'
import type { Page, Site } from '#core/site/schema'
import { BackupError } from '#server/backup'
import { MediaTypeError, TooLargeError } from '#server/body'
import { store } from '#server/database'
import { TooManyError } from '#server/inbox'
import { getSite, MissingError, UnreadableError } from '#server/sites'

const problem = (status: number, sentence: string) => Response.json({ problem: sentence }, { status })

const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error
    ? String(error.code).replace(/^(SQLITE_(FULL|BUSY|LOCKED)).*/, '$1')
    : ''

/** A failure that is the caller's, or the disk's, as status and sentence; `undefined` for one that is ours. */
function verdict(error: unknown): { status: number; sentence: string } | undefined {
  if (error instanceof MissingError) return { status: 404, sentence: error.message }
  const code = codeOf(error)
  if (code === 'SQLITE_FULL' || code === 'ENOSPC')
    return { status: 507, sentence: 'The disk is full, so nothing could be kept. Make room, and it is tried again.' }
  if (code === 'SQLITE_BUSY' || code === 'SQLITE_LOCKED')
    return { status: 503, sentence: 'Another process holds the database, so nothing could be kept. It is tried again.' }
  if (error instanceof BackupError) return { status: 503, sentence: error.message }
  if (error instanceof UnreadableError) return { status: 503, sentence: error.message }
  if (error instanceof TooLargeError) return { status: 413, sentence: error.message }
  if (error instanceof MediaTypeError) return { status: 415, sentence: error.message }
  if (error instanceof TooManyError) return { status: 429, sentence: error.message }
  if (error instanceof FormatError) return { status: 422, sentence: error.message }
  if (error instanceof EditError) return { status: 409, sentence: error.message }
  if (error instanceof ZodError) {
    const [issue] = error.issues
    const place = issue && issue.path.length > 0 ? ` (at "${issue.path.map(String).join('.')}")` : ''
    return {
      status: 422,
      sentence: `The request has the wrong shape${place}: ${issue?.message ?? 'unknown value'}`,
    }
  }
  return undefined
}

/** Runs a resource route; errors of the caller become JSON with a sentence and a status of 4xx. */
export async function answering(work: () => Promise<Response> | Response): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    const found = verdict(error)
    if (found) return problem(found.status, found.sentence)
    throw error
  }
}

/** Runs a loader of a screen; a missing site becomes the error page with its sentence. */
export function loading<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    const found = verdict(error)

    if (found) throw data(found.sentence, { status: found.status })
    throw error
  }
}

/**
 * What a screen that edits a site begins with. An address of a page that the site has not got becomes the error page; going
 * there inside the application does not, since a page that was just added may be on its way still.
 */
export function openedSite(request: Request, { siteId, pageId }: { siteId: string; pageId: string }) {
  const { id, site, revision, exportedRevision } = loading(() => getSite(store(), siteId))
  if (request.headers.get('sec-fetch-dest') === 'document') pageOfSite(site, pageId)
  return { siteId: id, site, revision, exportedRevision }
}

/** A page of a site by its id; a missing one becomes the error page. */
export function pageOfSite(site: Site, id: string): Page {
  const page = site.pages.find((one) => one.id === id)
  if (!page) throw data('This page does not exist, or it was deleted.', { status: 404 })
  return page
}

/** The sentence for an error of the caller's, for actions that show it in their screen. */
export function sentenceOf(error: unknown): { status: number; sentence: string } {
  const found = verdict(error)
  if (!found) throw error
  return found
}

/** Headers of a file that never changes under its address. */
export const FOREVER = { 'Cache-Control': 'public, max-age=31536000, immutable' }

/**
 * Headers that let a page in a sandbox, whose origin is nobody's, set words in a font; browsers fetch fonts as another
 * page's script would fetch anything. What a script asks for is not a font by its own word, so it gets no leave.
 */
export const forFonts = (request: Request): Record<string, string> =>
  request.headers.get('Sec-Fetch-Dest') === 'font'
    ? { 'Access-Control-Allow-Origin': '*', Vary: 'Sec-Fetch-Dest' }
    : { Vary: 'Sec-Fetch-Dest' }

/**
 * Bytes as they are asked for: all of them, or one range, as players ask for parts of a video (RFC 9110, 14.2). A range
 * that is past the end is refused with what there is.
 */
export function ranged(request: Request, body: Uint8Array | string, headers: Record<string, string>): Response {
  if (typeof body === 'string') return new Response(body, { headers })
  const asked = /^bytes=(\d*)-(\d*)$/.exec(request.headers.get('Range') ?? '')
  if (!asked || (asked[1] === '' && asked[2] === ''))
    return new Response(body as BodyInit, { headers: { ...headers, 'Accept-Ranges': 'bytes' } })
  const { length } = body
  const from = asked[1] === '' ? Math.max(0, length - Number(asked[2])) : Number(asked[1])
  const to = asked[1] === '' || asked[2] === '' ? length - 1 : Math.min(length - 1, Number(asked[2]))
  if (from > to) return new Response(null, { status: 416, headers: { 'Content-Range': `bytes */${length}` } })
  return new Response(body.subarray(from, to + 1) as BodyInit, {
    status: 206,
    headers: { ...headers, 'Accept-Ranges': 'bytes', 'Content-Range': `bytes ${from}-${to}/${length}` },
  })
}
