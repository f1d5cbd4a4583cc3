/** Headers of all that is answered: nothing is taken for what it does not say it is, and other servers are not told where one was. */
export const COMMON_HEADERS = { 'X-Content-Type-Options': 'nosniff', 'Referrer-Policy': 'same-origin' }

/**
 * Headers of the application's own pages. Scripts and style elements are those that carry the page's word; nothing is
 * fetched from another server, and no other page may frame ours or keep a hand on its window (CSP Level 3).
 * @param nonce made anew for each answer
 * @param developing true while modules are changed as they run: their styles come without the word then
 */
export function pageHeaders(nonce: string, developing = false): Record<string, string> {
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    `style-src-elem 'self' 'nonce-${nonce}'`,
    // React writes styles of single elements; they can load nothing that the lines below do not allow.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "frame-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
  return {
    ...(developing ? {} : { 'Content-Security-Policy': policy }),
    'Cross-Origin-Opener-Policy': 'same-origin',
  }
}

/** The policy of a page that is shown inside another on a device: nothing in it works, so whoever frames it gains nothing. */
export const INSIDE_POLICY = 'sandbox'

/** The policy of pages that visitors see: a sandbox keeps them out of the application, and only it may frame them. */
export const PLAYED_POLICY = "sandbox allow-scripts allow-forms allow-downloads; frame-ancestors 'self'"

/** The policy of a page that is played as it is without scripts. */
export const SCRIPTLESS_POLICY = "sandbox allow-forms allow-downloads; frame-ancestors 'self'"
