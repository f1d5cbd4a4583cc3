import { freeze } from 'immer'
import { z } from 'zod'
import { FILE_FORMAT, FILE_VERSION, type Site, siteSchema } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { checkLists } from '#core/edits/check-change'
import { conform } from '#core/shared/conform'
import { checkInside } from '#core/edits/structure'
import { nestingOf } from '#core/values/nesting'
import { placeIn } from './place'
import { upgrade } from './upgrade'

/** A file or value that is not a site. The message says what is wrong and where, for the person who opened it. */
export class FormatError extends Error {
  override name = 'FormatError'
}

/** Most that a site document may weigh, bytes. */
export const MAX_DOCUMENT = 20 * 1024 * 1024
/** Deepest nesting of objects and lists in a site file; one that is deeper is refused before it is walked. */
const MAX_NESTING = 120

/**
 * Reads the text of a `.site.json` file.
 * @throws FormatError if it is not JSON, not a site, of a newer version, or broken somewhere
 */
export function readSite(text: string): Site {
  if (text.length > MAX_DOCUMENT) throw new FormatError('The site document weighs more than 20 MB, so it is not opened.')
  if (nestingOf(text) > MAX_NESTING) throw new FormatError(`The file is nested more than ${MAX_NESTING} deep, so it is not a site.`)
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (error) {
    throw new FormatError(`The file is not JSON: ${(error as Error).message}.`)
  }
  return checkSite(value)
}

/**
 * Checks an unknown value as a site and brings it to the present version.
 * @throws FormatError
 */
export function checkSite(value: unknown): Site {
  const head = z.object({ format: z.literal(FILE_FORMAT), version: z.int().min(1) }).safeParse(value)
  if (!head.success) throw new FormatError(`The file is not a Yarrowfinch site: its "format" is not "${FILE_FORMAT}".`)
  if (head.data.version > FILE_VERSION) {
    throw new FormatError(
      `The file has version ${head.data.version}, from a newer Yarrowfinch. This one reads versions up to ${FILE_VERSION}.`,
    )
  }
  const upgraded = upgrade(value as Record<string, unknown>)
  const parsed = siteSchema.safeParse(upgraded)
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    throw new FormatError(`The site is broken ${placeIn(upgraded, issue!.path)}: ${issue!.message}`)
  }
  const site = freeze(parsed.data, true)
  checkTree(site)
  // Copies in a file that somebody else wrote may say otherwise than their shared blocks.
  return freeze(conform(site), true)
}

/** What a schema cannot say: that ids and addresses are unique, and that blocks stand where they may. */
function checkTree(site: Site): void {
  const seen = new Set<string>()
  const addresses = new Set<string>()
  const claim = (id: string, what: string) => {
    if (seen.has(id)) throw new FormatError(`The site has two things with the id "${id}", the second a ${what}.`)
    seen.add(id)
  }
  for (const picture of site.pictures) claim(picture.id, 'picture')
  for (const page of site.pages) {
    claim(page.id, 'page')
    if (addresses.has(page.address)) throw new FormatError(`Two pages of the site have the address "/${page.address}".`)
    addresses.add(page.address)
    for (const block of walkPage(page)) claim(block.id, block.kind)
  }
  try {
    checkLists(site)
  } catch (error) {
    throw new FormatError((error as Error).message)
  }
  for (const page of site.pages) {
    try {
      page.sections.forEach(checkInside)
    } catch (error) {
      throw new FormatError(`On the page "${page.name}": ${(error as Error).message}`)
    }
  }
}

/** A site as the text of a `.site.json` file. */
export function writeSite(site: Site): string {
  return `${JSON.stringify(site, null, 2)}\n`
}
