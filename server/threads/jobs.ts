import { zipSync, type Zippable } from 'fflate'
import { valuesPrintedOn } from '#core/analysis/values-printed'
import { namedBy } from '#core/formats/holdings'
import { readSite } from '#core/formats/site-json'
import { readSiteFile, writeSiteZip } from '#core/formats/site-zip'
import { webFiles, type WebFiles } from '#core/formats/web-files'
import type { WebChoices } from '#core/picture/measured'
import type { Layout } from '#core/render/rules'
import type { Engine } from '#core/render/site'
import type { Site } from '#core/site/schema'
import { keepEqual } from '#core/values/keep-equal'
import { hyphenated } from './hyphens'
import { unknownWords } from './spelling'

/** The files of an export as they come from another thread: functions do not travel. */
export type Printed = Omit<WebFiles, 'characters'> & { characters: string }

/** A site travels as text, which costs the one who sends it far less than its values do. */
type Printing = { document: string; style: Layout; forms: 'exported' | 'played'; choices: WebChoices; engine?: Engine | undefined }

/** Documents that this thread printed last, by their first page; the one that was printed longest ago is forgotten first. */
const printedLast = new Map<string, Site>()
const MOST_KNOWN = 6

/** Reads a document, with all that is as it was when it was last printed being what it was: that is not worked out again. */
function readAgain(document: string): Site {
  const read = JSON.parse(document) as Site
  const key = read.pages[0]?.id ?? ''
  const site = keepEqual(printedLast.get(key), read)
  printedLast.delete(key)
  printedLast.set(key, site)
  if (printedLast.size > MOST_KNOWN) printedLast.delete(printedLast.keys().next().value!)
  return site
}

function print({ document, style, forms, choices, engine }: Printing): Printed {
  const site = readAgain(document)
  // Forms of a played page reach the local inbox, wherever the export would send them.
  const files = webFiles(site, style, forms === 'played' ? (form) => `forms/${form.id}` : undefined, choices, engine)
  return { ...files, characters: files.characters() }
}

/** Reads a site file. Its document stays text, which travels faster than values do, and is what is kept. */
function readFile(bytes: Uint8Array) {
  const { site, ...held } = readSiteFile(bytes)
  return { document: JSON.stringify(site), named: namedBy(site), ...held }
}

/** A job whose readers are loaded once it is first asked for, so that a thread that prints is begun without them. */
const later =
  <G, M>(load: () => Promise<(given: G) => M>) =>
  async (given: G): Promise<Awaited<M>> =>
    await (
      await load()
    )(given)

/** What takes long, or is done with what others made: each is done in a thread of its own, from values that can be copied. */
export const JOBS = {
  'read-site': readFile,
  'check-document': (document: string): string => JSON.stringify(readSite(document)),
  'write-site': writeSiteZip,
  'clean-svg': later(async () => (await import('#core/formats/svg')).cleanSvg),
  'read-shape': later(async () => (await import('./shape-file')).readShapeFile),
  'read-icon': later(async () => (await import('./icon-file')).readIconFile),
  docx: later(async () => (await import('./docx')).markdownOfDocx),
  'read-font': later(async () => (await import('./font-file')).readFontFile),
  'read-film': later(async () => (await import('./film-file')).readFilmFile),
  'cut-font': later(async () => (await import('./font-file')).cutTo),
  print,
  'page-fonts': (site: Site): (readonly string[])[] => site.pages.map((page) => valuesPrintedOn(site, page).fonts),
  letter: later(async () => (await import('./letter')).outlineOf),
  spell: unknownWords,
  hyphens: hyphenated,
  zip: (files: Zippable): Uint8Array<ArrayBuffer> => zipSync(files, { mtime: new Date(1980, 0, 1) }),
}

export type Jobs = typeof JOBS
export type JobName = keyof Jobs
/** What a job is given, and what it makes. */
export type Given<J extends JobName> = Parameters<Jobs[J]>[0]
export type Made<J extends JobName> = Awaited<ReturnType<Jobs[J]>>
