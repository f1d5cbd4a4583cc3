import { z } from 'zod'
import { idSchema } from '#core/values/ids'

/** Types of file that a site may hand out, by the ends of their names: open formats that run nothing in a page. */
export const FILE_TYPES = {
  pdf: 'application/pdf',
  epub: 'application/epub+zip',
  odt: 'application/vnd.oasis.opendocument.text',
  ods: 'application/vnd.oasis.opendocument.spreadsheet',
  ics: 'text/calendar',
  csv: 'text/csv',
  txt: 'text/plain',
  zip: 'application/zip',
  mp3: 'audio/mpeg',
  ogg: 'audio/ogg',
} as const
export type FileEnding = keyof typeof FILE_TYPES
export const FILE_ENDINGS = Object.keys(FILE_TYPES) as FileEnding[]

/** Most bytes of one file, and most files of a site. */
export const MAX_FILE = 30 * 1024 * 1024
export const MOST_FILES = 200

/** The end of a file's name, without its dot; nothing where no such file is handed out. */
export const endingOf = (name: string): FileEnding | undefined =>
  FILE_ENDINGS.find((one) => name.toLowerCase().endsWith(`.${one}`) && name.length > one.length + 1)

/** A file that links lead to, as it was uploaded. */
export const linkedFileSchema = z.strictObject({
  id: idSchema,
  name: z
    .string()
    .max(200)
    .refine((name) => endingOf(name) !== undefined, `A file that links lead to ends with ${FILE_ENDINGS.join(', ')}.`),
  /** SHA-256 of its bytes, in hex; the name that it is stored under. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  bytes: z.int().positive().max(MAX_FILE),
})
export type LinkedFile = z.infer<typeof linkedFileSchema>
