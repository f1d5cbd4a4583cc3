import { endingOf, type LinkedFile, MAX_FILE } from '#core/site/linked-file'
import { MAX_PICTURE, type Picture } from '#core/picture/picture'
import type { Site } from '#core/site/schema'
import { MAX_FONT, type OwnFont } from '#core/type/own-font'

const EXTENSIONS: Record<Picture['type'], string> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/avif': 'avif',
  'image/svg+xml': 'svg',
  'video/mp4': 'mp4',
  'video/webm': 'webm',
}

/** The file of a picture beside a site: its hash, and the extension of its type. */
export const pictureFile = (picture: Pick<Picture, 'hash' | 'type'>): string => `${picture.hash}.${EXTENSIONS[picture.type]}`

/** What a site names by the SHA-256 of its bytes. */
export type Named = { hash: string; name: string }

type Holding<T extends Named> = {
  /** What it is called in a sentence. */
  what: string
  /** Those that a site names. */
  of: (site: Site) => readonly T[]
  /** The name of its file in a site file, in the folder of its kind. */
  inFile: (one: T) => string
  /** The name of its file where the server keeps it, in the folder of its kind. */
  kept: (hash: string) => string
  /** Most that one may weigh, bytes. */
  most: number
}
const holding = <T extends Named>(one: Holding<T>): Holding<T> => one

/**
 * All that a site consists of beside its document, by the folder that each kind stands in. Site files, backups, upkeep,
 * limits and commands read this one list, so that none of them forgets a kind.
 */
export const HOLDINGS = {
  pictures: holding<Picture>({
    what: 'picture',
    of: ({ pictures }) => pictures,
    inFile: pictureFile,
    kept: (hash) => hash,
    most: MAX_PICTURE,
  }),
  fonts: holding<OwnFont>({
    what: 'font',
    of: ({ fonts }) => fonts,
    inFile: ({ hash }) => `${hash}.woff2`,
    kept: (hash) => `${hash}.woff2`,
    most: MAX_FONT,
  }),
  files: holding<LinkedFile>({
    what: 'file',
    of: ({ files }) => files ?? [],
    inFile: ({ hash, name }) => `${hash}.${endingOf(name)}`,
    kept: (hash) => hash,
    most: MAX_FILE,
  }),
}

export type HoldingKind = keyof typeof HOLDINGS
export const HOLDING_KINDS = Object.keys(HOLDINGS) as HoldingKind[]

/** The same of each kind, got from its name. */
export const ofEachHolding = <T>(make: (kind: HoldingKind) => T): Record<HoldingKind, T> =>
  Object.fromEntries(HOLDING_KINDS.map((kind) => [kind, make(kind)])) as Record<HoldingKind, T>

/** What a site names of each kind, with the names of their files in a site file. */
export const namedBy = (site: Site): Record<HoldingKind, (Named & { file: string })[]> =>
  ofEachHolding((kind) => {
    // Which of the kinds it is, the compiler cannot follow.
    const { of, inFile } = HOLDINGS[kind] as unknown as Holding<Named>
    return of(site).map((one) => ({ hash: one.hash, name: one.name, file: `${kind}/${inFile(one)}` }))
  })
