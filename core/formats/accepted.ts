import { FILE_ENDINGS } from '#core/site/linked-file'

/**
 * Every kind of file that is read, with its types as HTML lists them (HTML, `accept`). What chooses files takes its types from
 * here, and hostile files are made of each.
 */
export const ACCEPTED = {
  'site file': ['.json', '.zip'],
  picture: ['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/svg+xml'],
  film: ['video/mp4', 'video/webm'],
  captions: ['.vtt', 'text/vtt'],
  drawing: ['image/svg+xml'],
  icon: ['image/svg+xml'],
  'linked file': FILE_ENDINGS.map((one) => `.${one}` as const),
  font: ['.woff2', '.ttf', '.otf'],
  copy: ['.md', '.markdown', '.txt', '.docx'],
  guide: ['.json', '.css'],
  'board picture': ['image/*'],
} as const satisfies Record<string, readonly string[]>

export type FileKind = keyof typeof ACCEPTED
export const FILE_KINDS = Object.keys(ACCEPTED) as FileKind[]

/** The types of some kinds of file, as `accept` lists them. */
export const acceptOf = (kinds: readonly FileKind[]): string => [...new Set(kinds.flatMap((kind) => ACCEPTED[kind]))].join(',')
