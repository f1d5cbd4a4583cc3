import { eq } from 'drizzle-orm'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Papa from 'papaparse'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { makeId } from '#core/deck/deck.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { OUTLINES } from '#core/outlines/outlines'
import { takeOutline } from '#core/outlines/take'
import { newSite } from '#core/site/defaults'
import { newBlock } from '#core/blocks/defaults'
import type { Block, BlockOf, Section } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { openStore, type Store } from './database'
import { deleteEntry, entriesAsCsv, listEntries, MAX_ENTRIES, PAGE_OF_ENTRIES, pageAfter, receiveEntry } from './inbox'
import { removeFolder } from './remove-folder'
import { entries } from './schema'
import { createSite } from './sites'
import { visitFile } from './visit'

let folder: string
let store: Store
let id: string
const start = newSite('Chart', makeId)
const outline = OUTLINES.find((one) => one.id === 'sign-up')!
const made = takeOutline(start, start.pages[0]!.id, outline.rows, true, makeId).reduce(
  (now: Site, edit: Edit) => applyEdit(now, edit).site,
  start,
)
const field = [...walkPage(made.pages[0]!)].find((block) => block.kind === 'field')!
const site = applyEdit(made, { kind: 'words', block: field.id, words: { en: ['Mail address'] } }).site
const form = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'form')!
const send = (fields: Record<string, string>, to = form.id) => receiveEntry(store, id, to, new URLSearchParams(fields))

/** The section of a block, with that block in the place of the one that has its id. */
function withBlock(of: Site, block: Block): Section {
  const put = <B extends Block>(one: B): B =>
    one.id === block.id ? (block as B) : 'children' in one ? { ...one, children: one.children.map(put) } : one
  return put(of.pages[0]!.sections.find((section) => [...walk(section)].some((one) => one.id === block.id))!)
}

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
  id = createSite(store, site)
})
afterEach(() => {
  store.close()
  removeFolder(folder)
})

describe('choices', () => {
  const offering = (input: string) => {
    const chosen = { ...field, input, required: false, words: { en: ['Night'] }, options: { en: ['Friday', 'Saturday'] } }
    const given = applyEdit(site, { kind: 'swap', section: withBlock(site, chosen as never) }).site
    id = createSite(store, given)
  }
  const sent = (...nights: string[]) =>
    receiveEntry(store, id, form.id, new URLSearchParams(nights.map((night) => ['night', night])))
  const kept = () => listEntries(store, id).entries[0]!.fields

  test('are kept as they were made, several of them together', () => {
    offering('several')
    sent('Friday', 'Saturday')
    expect(kept()).toEqual([{ name: 'Night', value: 'Friday, Saturday' }])
  })

  test('are of what is offered, and of one where one can be made', () => {
    offering('one')
    expect(() => sent('Sunday')).toThrow('“Sunday” is not among what “Night” offers.')
    expect(() => sent('Friday', 'Saturday')).toThrow('Of “Night” one can be chosen.')
    sent('Friday')
    expect(kept()).toEqual([{ name: 'Night', value: 'Friday' }])
  })
})

describe('the form inbox', () => {
  test('keeps what is sent under the labels of the form, and goes on to the confirmation', () => {
    expect(send({ 'mail-address': ' ada@hollinridge.example ', other: 'x' })).toBe(`/visit/${id}/thank-you.html`)
    expect(listEntries(store, id).entries).toMatchObject([
      { form: form.id, page: 'Landing page', fields: [{ name: 'Mail address', value: 'ada@hollinridge.example' }] },
    ])
    deleteEntry(store, id, listEntries(store, id).entries[0]!.id)
    expect(listEntries(store, id).entries).toEqual([])
    expect(() => deleteEntry(store, id, 'gone')).toThrow(/no longer in the inbox/)
  })

  test('refuses what is not filled in as it should be, with a sentence, and keeps nothing', () => {
    expect(() => send({})).toThrow('“Mail address” is wanted and was left empty.')
    expect(() => send({ 'mail-address': 'nobody' })).toThrow('“nobody” is no mail address.')
    expect(() => send({ 'mail-address': `${'a'.repeat(10_001)}@b.example` })).toThrow(/more than 10,000/)
    expect(() => send({ 'mail-address': 'a@b.example' }, 'gone')).toThrow(/no longer on any page/)
    expect(listEntries(store, id).entries).toEqual([])
  })

  test('tells two fields of one label apart, and names one without a label as the page does', async () => {
    const twin = { ...field, id: 'twin' }
    const bare = { ...field, id: 'bare', words: {}, required: false } as typeof field
    const edit: Edit = { kind: 'insert', parent: form.id, index: 0, blocks: [twin, bare] }
    const fields = applyEdit(site, {
      kind: 'batch',
      label: 'more',
      edits: [edit, { kind: 'words', block: 'twin', words: { en: ['Mail address'] } }],
    })
    id = createSite(store, fields.site)
    const html = String((await visitFile(store, id, 'index.html'))!.bytes)
    const names = [...html.matchAll(/<input type="email" name="([^"]+)"/g)].map((one) => one[1]!)
    expect(names).toEqual(['mail-address', 'email', 'mail-address-2'])
    send({ [names[0]!]: 'a@b.example', [names[1]!]: 'c@d.example', [names[2]!]: 'e@f.example' })
    expect(listEntries(store, id).entries[0]!.fields).toEqual([
      { name: 'mail-address', value: 'a@b.example' },
      { name: 'email', value: 'c@d.example' },
      { name: 'mail-address-2', value: 'e@f.example' },
    ])
  })

  test('is where the forms of a visited page send their entries, under the names of their fields', async () => {
    const page = await visitFile(store, id, 'index.html')
    expect(page!.bytes).toMatch(new RegExp(`<form[^>]* action="forms/${form.id}"`))
    expect(page!.bytes).toMatch(/<input type="email" name="mail-address" required/)
  })

  test('leads where the form says, whatever letters are in it, and nowhere else', () => {
    const to = (link: unknown) => pageAfter(site, site.pages[0]!, { ...form, link } as typeof form, '/visit/s/')
    const [first, second] = site.pages
    expect(to(undefined)).toBe('/visit/s/index.html')
    expect(to({ page: second!.id })).toBe(`/visit/s/${second!.address}.html`)
    expect(to({ page: 'gone' })).toBe('/visit/s/index.html')
    expect(to({ page: first!.id, section: first!.sections[0]!.id })).toMatch(/^\/visit\/s\/index\.html#[\w-]+$/)
    expect(to({ href: '#visit' })).toBe('/visit/s/index.html#visit')
    expect(to({ href: '/' })).toBe('/visit/s/')
    expect(to({ href: second!.address })).toBe(`/visit/s/${second!.address}.html`)
    expect(to({ href: 'https://münchen.example/größe ä?x=ü' })).toBe(
      'https://xn--mnchen-3ya.example/gr%C3%B6%C3%9Fe%20%C3%A4?x=%C3%BC',
    )
    // What no document may hold any more, but one once could.
    for (const href of ['//evil.example', 'https://a.example/\r\nSet-Cookie: x', '/\\evil.example'])
      expect(to({ href })).toBe('/visit/s/index.html')
  })

  test('takes so many entries of a visitor in a minute, and of another still', () => {
    const as = (visitor: string) =>
      receiveEntry(store, id, form.id, new URLSearchParams({ 'mail-address': 'a@b.example' }), visitor)
    for (let i = 0; i < 30; i++) as('one')
    expect(() => as('one')).toThrow(/Wait a minute/)
    expect(() => as('another')).not.toThrow()
    expect(listEntries(store, id)).toMatchObject({ total: 31, page: 1, pages: 1, left: 0 })
  })

  test('lets the oldest entries leave when it is full, says so, and shows a page at a time', () => {
    const rows = Array.from({ length: MAX_ENTRIES + 20 }, (_, i) => ({
      id: `e${i}`,
      site: id,
      form: form.id,
      page: 'Landing page',
      fields: JSON.stringify([{ name: 'n', value: String(i) }]),
      createdAt: new Date(1000 + i),
    }))
    for (let i = 0; i < rows.length; i += 500)
      store.db
        .insert(entries)
        .values(rows.slice(i, i + 500))
        .run()
    send({ 'mail-address': 'newest@b.example' })
    const inbox = listEntries(store, id)
    expect(inbox).toMatchObject({ total: MAX_ENTRIES, left: 21, page: 1, pages: MAX_ENTRIES / PAGE_OF_ENTRIES })
    expect(inbox.entries).toHaveLength(PAGE_OF_ENTRIES)
    expect(inbox.entries[0]!.fields[0]!.value).toBe('newest@b.example')
    const last = listEntries(store, id, 999)
    expect(last.page).toBe(last.pages)
    expect(last.entries.at(-1)!.fields[0]!.value).toBe('21')
  })
})

describe('the inbox is searched and saved', () => {
  const mail = (address: string) => send({ 'mail-address': address })

  test('by words in any field, whatever their case, and signs of patterns are signs', () => {
    for (const address of ['ada@example.org', 'Bo_b@example.org', '100%@example.org']) mail(address)
    const found = (words: string) => listEntries(store, id, 1, words).entries.map((one) => one.fields[0]!.value)
    expect(found('ADA')).toEqual(['ada@example.org'])
    expect(found('_')).toEqual(['Bo_b@example.org'])
    expect(found('%')).toEqual(['100%@example.org'])
    expect(found('value')).toEqual([])
    expect(found('nobody')).toEqual([])
    expect(listEntries(store, id, 1, 'example').total).toBe(3)
  })

  test('as a table whose columns are all fields, in which nothing is a formula', () => {
    mail('a"b@example.org')
    mail('=1+1@example.org')
    const lines = entriesAsCsv(store, id).split('\r\n')
    expect(lines[0]).toBe('Sent,Page,Mail address')
    expect(lines).toHaveLength(3)
    const text = lines.slice(1).join('\n')
    expect(text).toContain(`"a""b@example.org"`)
    expect(text).toMatch(/,"?'=1\+1@example\.org/)
    expect(entriesAsCsv(store, id, 'nobody').trim()).toBe('Sent,Page')
  })

  test.each([
    '=1+1',
    '=HYPERLINK("x")\nsecond line',
    '-2\n3',
    ' =1',
    '\t=1',
    '\r=1',
    '\n+1',
    '＝1',
    '＋1',
    '－1',
    '＠x',
    '@sum(1)',
  ])('in which %j is no formula', (value) => {
    const before = store.db.select().from(entries).all()
    mail('ada@example.org')
    const added = store.db
      .select()
      .from(entries)
      .all()
      .find((one) => !before.some(({ id: known }) => known === one.id))!
    const fields = JSON.parse(added.fields) as { name: string; value: string }[]
    store.db
      .update(entries)
      .set({ fields: JSON.stringify(fields.map((one) => ({ ...one, value }))) })
      .where(eq(entries.id, added.id))
      .run()
    const { data } = Papa.parse<string[]>(entriesAsCsv(store, id), { newline: '\r\n' })
    expect(data.flat().filter((cell) => cell.endsWith(value))).toEqual([`'${value}`])
  })
})

test('who fills in what nobody sees is sent on, and nothing is kept', () => {
  const next = send({ 'mail-address': 'bot@example.org', 'leave-empty': 'cheap lamps' })
  expect(next).toBe(send({ 'mail-address': 'ada@example.org' }))
  expect(listEntries(store, id).entries.map((one) => one.fields[0]!.value)).toEqual(['ada@example.org'])
})

test('a field that the visitor did not see is neither wanted nor kept', () => {
  const field = (more: object) => ({ ...newBlock('field', makeId), required: true, ...more }) as BlockOf<'field'>
  const meal = field({ input: 'one', words: { en: ['Supper'] }, options: { en: ['Soup, hot', 'None'] } })
  const diet = field({
    input: 'list',
    words: { en: ['Diet'] },
    options: { en: ['Any', 'Other'] },
    shownBy: { field: meal.id, is: 'Soup, hot' },
  })
  const other = field({ input: 'text', words: { en: ['Which'] }, shownBy: { field: diet.id, is: 'Other' } })
  const section = withBlock(site, { ...form, children: [meal, diet, other, newBlock('button', makeId)] } as Block)
  const pages = site.pages.map((page, i) =>
    i === 0 ? { ...page, sections: page.sections.map((one) => (one.id === section.id ? section : one)) } : page,
  )
  id = createSite(store, { ...site, pages })
  const kept = () => listEntries(store, id).entries[0]!.fields
  send({ supper: 'None', diet: 'Other', which: 'not seen' })
  expect(kept()).toEqual([{ name: 'Supper', value: 'None' }])
  send({ supper: 'Soup, hot', diet: 'Any' })
  expect(kept().map((one) => one.name)).toEqual(['Supper', 'Diet'])
  expect(() => send({ supper: 'Soup, hot' })).toThrow('“Diet” is wanted')
  expect(() => send({ supper: 'Soup, hot', diet: 'Other' })).toThrow('“Which” is wanted')
})
