import { data } from 'react-router'
import { ZodError } from 'zod'
import { EditError } from '#core/edits/edit'
import { FormatError } from '#core/formats/site-json'
import type { Page, Site } from '#core/site/schema'
import { store } from '#server/database'
import { getSite, MissingError } from '#server/sites'

const problem = (status: number, sentence: string) => Response.json({ problem: sentence }, { status })

/** A failure that is the caller's, as status and sentence; `undefined` for one that is ours. */
function verdict(error: unknown): { status: number; sentence: string } | undefined {
  if (error instanceof MissingError) return { status: 404, sentence: error.message }
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

/** What a screen that edits a site begins with. */
export function openedSite(siteId: string) {
  const { id, site, revision, exportedRevision } = loading(() => getSite(store(), siteId))
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

/** Most that the body of an edit request may weigh, bytes. */
const MAX_JSON = 8 * 1024 * 1024

/** Reads a JSON body. @throws FormatError if it is too large or not JSON */
export async function readJson(request: Request): Promise<unknown> {
  const text = await request.text()
  if (text.length > MAX_JSON) throw new FormatError('The request weighs more than 8 MB.')
  try {
    return JSON.parse(text)
  } catch {
    throw new FormatError('The request is not JSON.')
  }
}

/** Headers of a file that never changes under its address. */
export const FOREVER = {
  'Cache-Control': 'public, max-age=31536000, immutable',
  'Access-Control-Allow-Origin': '*',
}
