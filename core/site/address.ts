import { z } from 'zod'

/**
 * Addresses whose file would be another one: that of the first page, and the names that Windows keeps for devices,
 * under which no file can be unpacked there.
 */
const RESERVED = /^(index|con|prn|aux|nul|com\d|lpt\d)$/

/** True for an address that stands for something else already. */
export const isReserved = (address: string): boolean => RESERVED.test(address)

/** The last part of a page's URL; empty for the site's first page. */
export const addressSchema = z
  .string()
  .max(80)
  .regex(/^([a-z0-9]+(-[a-z0-9]+)*)?$/, 'An address has lower case letters and figures, joined by hyphens.')
  .refine(
    (address) => !isReserved(address),
    'This address is kept for something else: “index” for the first page, the others for devices on Windows.',
  )

/** An address like the one that is wanted, of lower case letters, figures and hyphens, which no page of a site has. */
export function freeAddress(pages: readonly { address: string }[], wanted: string): string {
  const start = wanted.slice(0, 60).replace(/(?<!-)-+$/, '') || 'page'
  let address = start
  for (let n = 2; isReserved(address) || pages.some((page) => page.address === address); n++) address = `${start}-${n}`
  return address
}
