import { and, desc, eq } from 'drizzle-orm'
import { nanoid } from 'nanoid'
import { FormatError } from '#core/formats/site-json'
import { fieldNames, labelOf } from '#core/render/field-names'
import { pageFile } from '#core/render/own-links'
import type { BlockOf } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import type { Store } from './database'
import { entries } from './schema'
import { getSite, MissingError } from './sites'

/** What a visitor sent with a form. */
export type InboxEntry = { id: string; form: string; page: string; fields: { name: string; value: string }[]; createdAt: Date }

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

function check(field: BlockOf<'field'>, label: string, value: string): void {
  const name = label || 'The field'
  if (field.required && value.trim() === '') throw new FormatError(`“${name}” is wanted and was left empty.`)
  if (value.length > MAX_VALUE) throw new FormatError(`“${name}” holds more than ${MAX_VALUE.toLocaleString('en-GB')} characters.`)
  if (field.input === 'email' && value.trim() !== '' && !/^[^\s@]+@[^\s@]+$/.test(value.trim()))
    throw new FormatError(`“${value.slice(0, 80)}” is no mail address.`)
}

/**
 * Keeps what was sent with a form, and says where the visitor goes next.
 * @returns the file of the page that confirms it, or of the form's own page
 * @throws MissingError if the form is gone, FormatError if a field is not filled in as it should be
 */
export function receiveEntry(store: Store, siteId: string, formId: string, sent: URLSearchParams): string {
  const { site } = getSite(store, siteId)
  const { page, form } = findForm(site, formId)
  const asked = fieldsOf(form)
  const labels = asked.map((one) => one.label)
  const fields = asked.map(({ field, label, name }) => {
    const value = sent.get(name) ?? ''
    check(field, label, value)
    return { name: labels.filter((one) => one === label).length > 1 || label === '' ? name : label, value: value.trim() }
  })
  store.db
    .insert(entries)
    .values({ id: nanoid(10), site: siteId, form: formId, page: page.name, fields: JSON.stringify(fields), createdAt: new Date() })
    .run()
  const { link } = form
  if (link && 'href' in link) return link.href
  const next = link && 'page' in link ? site.pages.find((one) => one.id === link.page) : undefined
  return pageFile(next ?? page)
}

/** The entries of a site, the newest first. */
export function listEntries(store: Store, siteId: string): InboxEntry[] {
  getSite(store, siteId)
  const rows = store.db.select().from(entries).where(eq(entries.site, siteId)).orderBy(desc(entries.createdAt)).all()
  return rows.map(({ id, form, page, fields, createdAt }) => ({
    id,
    form,
    page,
    createdAt,
    fields: JSON.parse(fields) as InboxEntry['fields'],
  }))
}

/** @throws MissingError */
export function deleteEntry(store: Store, siteId: string, id: string): void {
  const result = store.db
    .delete(entries)
    .where(and(eq(entries.site, siteId), eq(entries.id, id)))
    .run()
  if (result.changes === 0) throw new MissingError('This entry is no longer in the inbox.')
}
