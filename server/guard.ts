import { urlOf } from '#core/values/href'

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

/** True for a request that comes from a page of the application, or from no page at all, as a command. */
function isOwnOrigin(request: Request, host: string): boolean {
  const origin = request.headers.get('Origin')
  const site = request.headers.get('Sec-Fetch-Site')
  if (origin === null) return site === null || site === 'same-origin' || site === 'none'
  return urlOf(origin)?.host === host.toLowerCase()
}

/** True for a played page: it stands in a sandbox, so its origin is nobody's. */
const isSandboxed = (request: Request): boolean => request.headers.get('Origin') === 'null'

export type Refusal = { status: number; sentence: string }

/**
 * Why a request is not answered; `undefined` for one that is. The server answers under the names of this machine and
 * those that are configured, so that no other name can be turned to it; and what changes anything must come from its
 * own pages, so that no page of another origin, nor a script in a played one, can write.
 */
export function refusalOf(request: Request): Refusal | undefined {
  const url = new URL(request.url)
  const host = request.headers.get('Host') ?? url.host
  if (!isKnownHost(host))
    return {
      status: 421,
      sentence: `This Yarrowfinch does not answer for “${host.slice(0, 80)}”. Name it in YARROWFINCH_HOST if it should.`,
    }
  if (READS.has(request.method) || isOwnOrigin(request, host)) return undefined
  if (PLAYED_FORM.test(url.pathname) && isSandboxed(request)) return undefined
  return { status: 403, sentence: 'Another page may not change anything here.' }
}
