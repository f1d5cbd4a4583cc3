import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { walkPage } from '#core/site/tree'
import { demoSite } from './edits.fixture'
import { applyEdit, type Edit, editSchema } from './index'
import { batchOf, MOST_IN_BATCH } from './batch'
import { joinInverses, replaces } from './merge'

const site = demoSite()
const page = site.pages[0]!
const [text, other] = [...walkPage(page)].filter((block) => block.kind === 'text')
const brief = (reasons: string): Edit => ({ kind: 'brief', values: { reasons } })
const words = (language: string, value: string): Edit => ({ kind: 'words', block: text!.id, words: { [language]: [value] } })

/** Makes edits one after the other, and joins what takes them back. */
function make(edits: readonly Edit[]) {
  let now = site
  let back: Edit | undefined
  for (const edit of edits) {
    const { site: next, inverse } = applyEdit(now, edit)
    back = back ? joinInverses('gesture', inverse, back) : inverse
    now = next
  }
  return { now, back: back! }
}

describe('merging', () => {
  test('501 letters typed into a brief field are one inverse, and the edit that is sent is the last', () => {
    const edits = Array.from({ length: 501 }, (_, i) => brief('x'.repeat(i + 1)))
    const { now, back } = make(edits)
    expect(back.kind).toBe('brief')
    expect(applyEdit(now, back).site).toEqual(site)
    expect(replaces(edits[500]!, edits[499]!)).toBe(true)
  })

  test('brief fields, pages and languages are told apart', () => {
    expect(replaces({ kind: 'brief', values: { tone: 'dry' } }, brief('a'))).toBe(false)
    expect(replaces({ kind: 'brief', page: page.id, values: { what: '' } }, { kind: 'brief', values: { tone: '' } })).toBe(false)
    expect(replaces(words('cy', 'a'), words('en', 'a'))).toBe(false)
    const { now, back } = make([words('en', 'One'), words('cy', 'Un'), words('en', 'Two')])
    expect(applyEdit(now, back).site).toEqual(site)
  })

  test('a long drag on the board is one inverse; one that puts a card in is kept', () => {
    const card = { id: 'card', kind: 'note' as const, x: 0, y: 0, width: 200, height: 100, caption: '', text: 'Hm.' }
    const put = (x: number, at?: number): Edit => ({
      kind: 'list',
      list: 'board',
      drop: [],
      put: [{ item: { ...card, x } as never, ...(at === undefined ? {} : { at }) }],
    })
    const there = applyEdit(site, put(0)).site
    let now = there
    let back: Edit | undefined
    for (let x = 1; x <= 600; x++) {
      const made = applyEdit(now, put(x))
      back = back ? joinInverses('drag', made.inverse, back) : made.inverse
      now = made.site
    }
    expect(back!.kind).toBe('list')
    expect(applyEdit(now, back!).site).toEqual(there)
    expect(replaces(put(3), put(2, 0))).toBe(false)
  })

  test('any number of edits makes a batch that the schema takes', () => {
    for (const count of [1, 2, MOST_IN_BATCH, MOST_IN_BATCH + 1, 1700]) {
      const batch = batchOf(
        'many',
        Array.from({ length: count }, (_, i) => brief(String(i))),
      )
      expect(editSchema.safeParse(batch).success).toBe(true)
      expect(applyEdit(site, batch).site.brief.reasons).toBe(String(count - 1))
    }
  })

  test('a gesture of any edits is taken back whole, however its inverses are joined', () => {
    const one = fc.oneof(
      fc.constantFrom('en', 'cy').chain((language) => fc.string({ maxLength: 4 }).map((value) => words(language, value))),
      fc.string({ maxLength: 4 }).map(brief),
      fc.integer({ min: 1, max: 4 }).map((span): Edit => ({ kind: 'style', block: other!.id, scope: 'base', values: { span } })),
      fc.integer({ min: 0, max: 3 }).map((index): Edit => ({ kind: 'move', block: page.sections[0]!.id, parent: page.id, index })),
      fc.constant<Edit>({ kind: 'field', block: text!.id, field: 'hidden', value: true }),
    )
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 12 }), (edits) => {
        const { now, back } = make(edits)
        expect(applyEdit(now, back).site).toEqual(site)
      }),
    )
  })
})
