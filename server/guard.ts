import type { IncomingMessage, ServerResponse } from 'node:http'
import { urlOf } from '#core/values/href'
import { COMMON_HEADERS } from './policy.ts'

/** Hosts of this machine itself, and those that `YARROWFINCH_HOST` names, parted by commas, each as in an address. */
function isKnownHost(host: string, configured = process.env.YARROWFINCH_HOST ?? ''): boolean {
  const name = host.toLowerCase().replace(/:\d+$/, '')
  if (['localhost', '127.0.0.1', '[::1]'].includes(name)) return true
  return configured
    .toLowerCase()
    .split(',')
    .map((one) => one.trim())
    .some((one) => one !== '' && (one === name || one === host.toLowerCase()))
}

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Where the forms of played pages send what is filled in: the one thing that another page than ours may post to. */
const PLAYED_FORM = /^\/visit\/[\w-]+\/forms\/[\w-]+(\.data)?$/

/** What the guard looks at of a request. */
type Asked = Pick<IncomingMessage, 'method' | 'url' | 'headers'>

/** True for a request that comes from a page of the application, or from no page at all, as a command. */
function isOwnOrigin({ headers }: Asked, host: string): boolean {
  const site = headers['sec-fetch-site']
  if (headers.origin === undefined) return site === undefined || site === 'same-origin' || site === 'none'
  return urlOf(headers.origin)?.host === host.toLowerCase()
}

/** True for a played page: it stands in a sandbox, so its origin is nobody's. */
const isSandboxed = ({ headers }: Asked): boolean => headers.origin === 'null'

export type Refusal = { status: number; sentence: string }

/**
 * Why a request is not answered; `undefined` for one that is. The server answers under the names of this machine and
 * those that are configured, so that no other name can be turned to it; and what changes anything must come from its
 * own pages, so that no page of another origin, nor a script in a played one, can write.
 */
export function refusalOf(asked: Asked): Refusal | undefined {
  const { method = 'GET', url = '', headers } = asked
  const { host } = headers
  if (host === undefined) return { status: 400, sentence: 'The request does not say which host it asks.' }
  if (!isKnownHost(host))
    return {
      status: 421,
      sentence: `This Yarrowfinch does not answer for “${host.slice(0, 80)}”. Name it in YARROWFINCH_HOST if it should.`,
    }
  // As a proxy is asked (RFC 9112, 3.2.2), or for the server as a whole.
  if (!url.startsWith('/')) return { status: 400, sentence: 'An address here begins with a slash.' }
  if (READS.has(method) || isOwnOrigin(asked, host)) return undefined
  if (PLAYED_FORM.test(url.split('?')[0]!) && isSandboxed(asked)) return undefined
  return { status: 403, sentence: 'Another page may not change anything here.' }
}

/**
 * Stands before all that is answered, files as well: what may not be asked from where it is asked is refused before
 * anything reads it, and every answer carries the headers that all have.
 */
export function guard(request: IncomingMessage, response: ServerResponse, next: () => void): void {
  for (const [name, value] of Object.entries(COMMON_HEADERS)) response.setHeader(name, value)
  const refused = refusalOf(request)
  if (!refused) return next()
  response.writeHead(refused.status, { 'Content-Type': 'application/json' })
  response.end(JSON.stringify({ problem: refused.sentence }))
}
