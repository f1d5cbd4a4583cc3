import { createHash } from 'node:crypto'
import { FormatError } from '#core/formats/site-json'

/** The SHA-256 of bytes, in hex: the name that what sites hold is kept under. */
export const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/** Checks that something of a site file is what the site was saved with. @throws FormatError */
export function checkHash(bytes: Uint8Array, hash: string, what: string, name: string): void {
  if (hashOf(bytes) !== hash)
    throw new FormatError(`The ${what} "${name}" in the file is not the one that the site was saved with.`)
}
