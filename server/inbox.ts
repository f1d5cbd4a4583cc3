import { and, count, desc, eq, inArray, sql } from 'drizzle-orm'
import { nanoid } from 'nanoid'
import Papa from 'papaparse'
import { FormatError } from '#core/formats/site-json'
import { fieldNames, labelOf } from '#core/render/field-names'
import { sectionClasses } from '#core/render/names'
import { isOwn, linkOfHref, pageFile } from '#core/render/own-links'
import { CHOICES } from '#core/blocks/field'
import { TRAP } from '#core/blocks/form'
import type { BlockOf } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import { isHref, urlOf } from '#core/values/href'
import type { Store } from './database'
import { rateLimit } from './rate'
import { entries, sites } from './schema'
import { getSite, MissingError } from './sites'

/** What a visitor sent with a form. */
export type InboxEntry = { id: string; form: string; page: string; fields: { name: string; value: string }[]; createdAt: Date }

/** A visitor who sends more than may be sent, for now. */
export class TooManyError extends Error {
  override name = 'TooManyError'
}

/** Most that one entry may weigh, bytes, and most entries that the inbox of a site holds. */
export const MAX_ENTRY = 64 * 1024
export const MAX_ENTRIES = 2000
/** Entries on one page of the inbox. */
export const PAGE_OF_ENTRIES = 50
/** Entries that the forms of a site take of one visitor in a minute. */
export const MOST_IN_A_MINUTE = 30
const isSeldom = rateLimit(MOST_IN_A_MINUTE, 60_000)

/** Most that one field may hold, characters. */
const MAX_VALUE = 10_000

function findForm(site: Site, id: string): { page: Page; form: BlockOf<'form'> } {
  for (const page of site.pages) {
    for (const block of walkPage(page)) if (block.id === id && block.kind === 'form') return { page, form: block }
  }
  throw new MissingError('This form is no longer on any page.')
}

/** The fields of a form, by the names under which they are sent. */
const fieldsOf = (form: BlockOf<'form'>) =>
  [...walk(form)].flatMap((block) =>
    block.kind === 'field' && !block.hidden ? [{ field: block, label: labelOf(block), name: fieldNames(form).get(block.id)! }] : [],
  )

type AskedField = ReturnType<typeof fieldsOf>[number]

/** True for a field that the visitor saw: what it is shown by was chosen, and was itself seen. */
function isSeen(field: BlockOf<'field'>, asked: readonly AskedField[], sent: URLSearchParams, depth = 0): boolean {
  const { shownBy } = field
  const by = shownBy && asked.find((one) => [one.field.id, one.field.sharedPart].includes(shownBy.field))
  // What is shown by a field that is gone, or by one another in a ring, is always seen.
  if (!shownBy || !by || depth > asked.length) return true
  return sent.getAll(by.name).includes(shownBy.is) && isSeen(by.field, asked, sent, depth + 1)
}

function check(field: BlockOf<'field'>, label: string, value: string): void {
  const name = label || 'The field'
  if (field.required && value.trim() === '') throw new FormatError(`“${name}” is wanted and was left empty.`)
  if (value.length > MAX_VALUE) throw new FormatError(`“${name}” holds more than ${MAX_VALUE.toLocaleString('en-GB')} characters.`)
  if (field.input === 'email' && value.trim() !== '' && !/^[^\s@]+@[^\s@]+$/.test(value.trim()))
    throw new FormatError(`“${value.slice(0, 80)}” is no mail address.`)
}

/** What was chosen of what is offered, in any of the site's languages. @throws FormatError for anything else */
function chosenOf(field: BlockOf<'field'>, label: string, values: readonly string[]): string {
  const given = values.filter((one) => one !== '')
  const known = new Set(Object.values(field.options ?? {}).flat())
  const other = given.find((one) => !known.has(one))
  if (other !== undefined) throw new FormatError(`“${other.slice(0, 80)}” is not among what “${label || 'the field'}” offers.`)
  if (field.input !== 'several' && given.length > 1) throw new FormatError(`Of “${label || 'the field'}” one can be chosen.`)
  return given.join(', ')
}

/** A URL as it may stand in a header: in ASCII, and without line breaks (RFC 9110, 10.2.2). */
function inAscii(url: string): string {
  const base = 'http://here'
  const whole = new URL(url, base)
  return whole.origin === base ? `${whole.pathname}${whole.search}${whole.hash}` : whole.href
}

/** Where a visitor goes after a form on a page: what it leads to, as the played pages have it; its own page, if that is nowhere. */
export function pageAfter(site: Site, page: Page, { link }: BlockOf<'form'>, root: string): string {
  const own = root + pageFile(page)
  if (!link) return inAscii(own)
  const found = 'href' in link ? (linkOfHref(site, link.href) ?? link) : link
  if ('page' in found) {
    const next = site.pages.find((one) => one.id === found.page)
    const anchor = found.section === undefined ? undefined : sectionClasses(site).get(found.section)
    return inAscii(next ? `${root}${pageFile(next)}${anchor === undefined ? '' : `#${anchor}`}` : own)
  }
  // A form is followed by a page, and a file is none.
  if ('file' in found) return inAscii(own)
  const { href } = found
  if (!isHref(href) || (!isOwn(href) && !urlOf(href))) return inAscii(own)
  if (!isOwn(href)) return inAscii(href)
  return inAscii(href.startsWith('#') ? own + href : root + href.replace(/^\//, ''))
}

/** Lets the oldest entries of a site leave when there are more than the inbox holds, and counts them. */
function makeRoom(store: Store, site: string): void {
  const beyond = store.db
    .select({ id: entries.id })
    .from(entries)
    .where(eq(entries.site, site))
    .orderBy(desc(entries.createdAt), desc(entries.id))
    .limit(1_000_000)
    .offset(MAX_ENTRIES)
    .all()
  if (beyond.length === 0) return
  const ids = beyond.map((one) => one.id)
  store.db.delete(entries).where(inArray(entries.id, ids)).run()
  store.db
    .update(sites)
    .set({ entriesLeft: sql`${sites.entriesLeft} + ${ids.length}` })
    .where(eq(sites.id, site))
    .run()
}

/**
 * Keeps what was sent with a form, and says where the visitor goes next.
 * @param visitor what tells visitors apart, of whom each may send so many entries in a minute
 * @returns the URL of the page that confirms it, or of the form's own page
 * @throws MissingError if the form is gone, FormatError if a field is not filled in as it should be, TooManyError
 */
export function receiveEntry(store: Store, siteId: string, formId: string, sent: URLSearchParams, visitor = ''): string {
  const { site } = getSite(store, siteId)
  const { page, form } = findForm(site, formId)
  // Found before anything is kept: an entry that is kept and not confirmed would be sent again.
  const next = pageAfter(site, page, form, `/visit/${siteId}/`)
  // Who fills in what nobody sees is told that all went well, and nothing is kept.
  if ((sent.get(TRAP) ?? '') !== '') return next
  const now = new Date()
  const asked = fieldsOf(form)
  const labels = asked.map((one) => one.label)
  const seen = asked.filter(({ field }) => isSeen(field, asked, sent))
  const fields = seen.map(({ field, label, name }) => {
    const value = CHOICES.has(field.input) ? chosenOf(field, label, sent.getAll(name)) : (sent.get(name) ?? '')
    check(field, label, value)
    return { name: labels.filter((one) => one === label).length > 1 || label === '' ? name : label, value: value.trim() }
  })
  if (!isSeldom(`${siteId} ${visitor}`, now.getTime()))
    throw new TooManyError('This form was sent very often just now. Wait a minute and send it again.')
  store.db
    .insert(entries)
    .values({ id: nanoid(10), site: siteId, form: formId, page: page.name, fields: JSON.stringify(fields), createdAt: now })
    .run()
  makeRoom(store, siteId)
  return next
}

/** A page of the inbox: some of its entries, how many there are, and how many have left it to make room. */
export type InboxPage = { entries: InboxEntry[]; page: number; pages: number; total: number; left: number }

/** The entries of a site, those alone in which some words stand; the case of letters of ASCII is passed over. */
const wanted = (siteId: string, words: string) => {
  const own = eq(entries.site, siteId)
  if (words === '') return own
  const like = `%${words.replace(/[\\%_]/g, '\\$&')}%`
  const inField = sql`EXISTS (SELECT 1 FROM json_each(${entries.fields}) AS field
    WHERE json_extract(field.value, '$.value') LIKE ${like} ESCAPE '\\' OR json_extract(field.value, '$.name') LIKE ${like} ESCAPE '\\')`
  return and(own, sql`(${inField} OR ${entries.page} LIKE ${like} ESCAPE '\\')`)
}

const read = ({ id, form, page, fields, createdAt }: typeof entries.$inferSelect): InboxEntry => ({
  id,
  form,
  page,
  createdAt,
  fields: JSON.parse(fields) as InboxEntry['fields'],
})

/**
 * One page of the entries of a site, the newest first.
 * @param asked which page, from 1; the last one, if there are fewer
 * @param words what must stand in an entry
 */
export function listEntries(store: Store, siteId: string, asked = 1, words = ''): InboxPage {
  getSite(store, siteId)
  const which = wanted(siteId, words)
  const [{ total }] = store.db.select({ total: count() }).from(entries).where(which).all() as [{ total: number }]
  const site = store.db.select({ left: sites.entriesLeft }).from(sites).where(eq(sites.id, siteId)).get()
  const pages = Math.max(1, Math.ceil(total / PAGE_OF_ENTRIES))
  const page = Math.min(Math.max(1, asked), pages)
  const rows = store.db
    .select()
    .from(entries)
    .where(which)
    .orderBy(desc(entries.createdAt), desc(entries.id))
    .limit(PAGE_OF_ENTRIES)
    .offset((page - 1) * PAGE_OF_ENTRIES)
    .all()
  return { entries: rows.map(read), page, pages, total, left: site?.left ?? 0 }
}

/**
 * What a spreadsheet takes for a formula, or may after it has cut off white space: the signs that begin one, in half and
 * full width, in cells of one line or several (OWASP, CSV Injection).
 */
const FORMULA = /^(?:\s*[=+\-@\uff1d\uff0b\uff0d\uff20]|[\t\r\n])/

/**
 * The entries of a site as a table (RFC 4180), the newest first: when and where each was sent, then every field that any
 * of them has. What a spreadsheet would take for a formula is kept from being one.
 */
export function entriesAsCsv(store: Store, siteId: string, words = ''): string {
  getSite(store, siteId)
  const rows = store.db
    .select()
    .from(entries)
    .where(wanted(siteId, words))
    .orderBy(desc(entries.createdAt), desc(entries.id))
    .all()
    .map(read)
  const names = [...new Set(rows.flatMap((one) => one.fields.map(({ name }) => name)))]
  return Papa.unparse(
    {
      fields: ['Sent', 'Page', ...names],
      data: rows.map(({ createdAt, page, fields }) => {
        const values = new Map(fields.map(({ name, value }) => [name, value]))
        return [createdAt.toISOString(), page, ...names.map((name) => values.get(name) ?? '')]
      }),
    },
    { escapeFormulae: FORMULA },
  )
}

/** @throws MissingError */
export function deleteEntry(store: Store, siteId: string, id: string): void {
  const result = store.db
    .delete(entries)
    .where(and(eq(entries.site, siteId), eq(entries.id, id)))
    .run()
  if (result.changes === 0) throw new MissingError('This entry is no longer in the inbox.')
}
