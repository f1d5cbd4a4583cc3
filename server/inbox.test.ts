import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { makeId } from '#core/deck/deck.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { OUTLINES } from '#core/outlines/outlines'
import { takeOutline } from '#core/outlines/take'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { openStore, type Store } from './database'
import { deleteEntry, listEntries, receiveEntry } from './inbox'
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

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
  id = createSite(store, site)
})
afterEach(() => {
  store.close()
  rmSync(folder, { recursive: true })
})

describe('the form inbox', () => {
  test('keeps what is sent under the labels of the form, and goes on to the confirmation', () => {
    expect(send({ 'mail-address': ' ada@hollinridge.example ', other: 'x' })).toBe('thank-you.html')
    expect(listEntries(store, id)).toMatchObject([
      { form: form.id, page: 'Landing page', fields: [{ name: 'Mail address', value: 'ada@hollinridge.example' }] },
    ])
    deleteEntry(store, id, listEntries(store, id)[0]!.id)
    expect(listEntries(store, id)).toEqual([])
    expect(() => deleteEntry(store, id, 'gone')).toThrow(/no longer in the inbox/)
  })

  test('refuses what is not filled in as it should be, with a sentence, and keeps nothing', () => {
    expect(() => send({})).toThrow('“Mail address” is wanted and was left empty.')
    expect(() => send({ 'mail-address': 'nobody' })).toThrow('“nobody” is no mail address.')
    expect(() => send({ 'mail-address': `${'a'.repeat(10_001)}@b.example` })).toThrow(/more than 10,000/)
    expect(() => send({ 'mail-address': 'a@b.example' }, 'gone')).toThrow(/no longer on any page/)
    expect(listEntries(store, id)).toEqual([])
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
    expect(listEntries(store, id)[0]!.fields).toEqual([
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
})
