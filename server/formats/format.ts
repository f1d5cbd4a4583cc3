import type { WebChoices } from '#core/picture/measured'
import type { SiteRecord } from '../sites'
import type { Store } from '../database'

/** What a format is written out of: a site as it is kept, and what was asked for in the address. */
export type Written = { store: Store; record: SiteRecord; query: URLSearchParams; choices?: WebChoices | undefined }

/** One format that a site is written to: what it is called, how it is served, and how it is made. */
export type Format = {
  /** In a sentence: “the site with its pictures”. */
  what: string
  /** What its file's name ends in. */
  extension: string
  /** Media type (RFC 6838). */
  type: string
  /** What is noted when somebody takes the file, which only looking at it does not. */
  taken?: (given: Pick<Written, 'store' | 'record'>) => void
  write: (given: Written) => Promise<string | Uint8Array<ArrayBuffer>>
  /** For a format that sites are read from: whether a file is of it, and what makes a site of it and gives its id. */
  read?: { isOf: (bytes: Uint8Array) => boolean; open: (store: Store, bytes: Uint8Array) => Promise<string> }
}
