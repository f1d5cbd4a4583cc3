import { z } from 'zod'

// oxlint-disable-next-line no-control-regex -- these are the characters that an address must not have
const UNPRINTABLE = /[\u0000-\u001f\u007f-\u009f\u2028\u2029\ufffe\uffff]/
/** A page of the site with or without a section of it; `/` and `#` alone stand for the first page and the top of one. */
const OWN = /^(\/(?![/\\])|#|[\w-]+(\.html)?(#|$))/

/**
 * A text as an absolute URL; `undefined` for one that is none. `URL.canParse` would say it in a word, but Node 20 answers
 * false for letters beyond ASCII once it has been asked some thousand times.
 */
export function urlOf(text: string): URL | undefined {
  try {
    return new URL(text)
  } catch {
    return undefined
  }
}

/**
 * True for an address that a link may have: of the web, of mail or telephone, or within the site. Scripts, and what
 * browsers would read as another address than people do, are none: `//` leads to another server, and line breaks are
 * left out before an address is read (URL Standard, 4.4).
 */
export function isHref(address: string): boolean {
  if (address !== address.trim() || UNPRINTABLE.test(address) || address.includes('\\')) return false
  // One that is only begun is kept as it is typed; the checks name it.
  if (/^(https?:\/\/|mailto:|tel:)$/i.test(address)) return true
  if (/^https?:\/\//i.test(address)) return (urlOf(address)?.hostname ?? '') !== ''
  if (/^(mailto|tel):./i.test(address)) return true
  return OWN.test(address)
}

/** Where words, blocks and forms may lead. */
export const hrefSchema = z
  .string()
  .max(2000)
  .refine(isHref, 'A link starts with https://, http://, mailto:, tel:, / or #, or is the address of a page.')

/** An address that was once allowed, as one that is: what cannot be meant otherwise is kept, all else leads nowhere. */
export function mendedHref(address: string): string {
  const plain = address.trim().replace(new RegExp(UNPRINTABLE, 'g'), '').replaceAll('\\', '/').slice(0, 2000)
  const whole = /^\/\/[^/]/.test(plain) ? `https:${plain}` : plain
  return isHref(whole) ? whole : '#'
}
