import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { allWords } from '#core/deck/deck.fixture'
import type { BoardCard } from '#core/site/board'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { demoSite } from './edits.fixture'
import { EditError } from './edit'
import { applyEdit, type Edit, editLabel, parseEdit } from './index'

const site = demoSite()
const [page, winter, thanks] = site.pages as [Site['pages'][0], Site['pages'][0], Site['pages'][0]]
const there = (edit: Edit, from = site) => applyEdit(from, parseEdit(JSON.parse(JSON.stringify(edit)))).site
const andBack = (edit: Edit, from = site) => {
  const { site: next, inverse } = applyEdit(from, edit)
  return applyEdit(next, parseEdit(JSON.parse(JSON.stringify(inverse)))).site
}
const card = (id: string, x = 0): BoardCard => ({ id, kind: 'note', text: id, caption: '', x, y: 0, width: 100, height: 100 })
const board = (...cards: BoardCard[]): Edit => ({ kind: 'list', list: 'board', drop: [], put: cards.map((item) => ({ item })) })

describe('deleting', () => {
  const heading = [...walkPage(page)].find((block) => block.kind === 'heading')!
  test('a block keeps its words, with where they belong and what had them', () => {
    const next = there({ kind: 'remove', blocks: [heading.id] })
    expect(next.unplaced).toMatchObject([
      { id: heading.id, from: heading.id, page: page.id, sectionName: 'Opening', role: 'heading', entry: 0 },
    ])
    expect(allWords(next)).toEqual(allWords(site))
    expect(andBack({ kind: 'remove', blocks: [heading.id] })).toEqual(site)
  })

  test('a section and a page keep theirs, entry by entry', () => {
    const reasons = page.sections.find((one) => one.job === 'reasons')!
    const next = there({ kind: 'remove', blocks: [reasons.id] })
    expect(next.unplaced.map((one) => one.entry)).toEqual([0, 1, 1, 2, 2, 3, 3])
    const without = there({ kind: 'page-remove', page: winter.id })
    expect(without.pages).toHaveLength(site.pages.length - 1)
    expect(allWords(without)).toEqual(allWords(site))
    expect(without.unplaced.every((one) => one.pageName === 'Winter sky chart')).toBe(true)
    expect(andBack({ kind: 'page-remove', page: winter.id })).toEqual(site)
  })

  test('taking an insertion back takes its words along', () => {
    const copy = { ...heading, id: 'copy' }
    const { site: next, inverse } = applyEdit(site, { kind: 'insert', parent: page.sections[1]!.id, index: 0, blocks: [copy] })
    expect(applyEdit(next, inverse).site).toEqual(site)
  })

  test('the words of a block that is deleted twice are both kept', () => {
    const once = there({ kind: 'remove', blocks: [heading.id] })
    const again = there(
      {
        kind: 'insert',
        parent: page.sections[1]!.id,
        index: 0,
        blocks: [{ ...heading, words: { en: ['Other words'] } } as typeof heading],
      },
      once,
    )
    const twice = there({ kind: 'remove', blocks: [heading.id] }, again)
    expect(new Set(twice.unplaced.map((one) => one.id)).size).toBe(2)
    expect(allWords(twice)).toContain('Other words')
  })
})

describe('lists of the site', () => {
  const start = { ...site, board: [card('a'), card('b'), card('c')] }
  test('items are put in the place of their earlier selves, at an index, or last; others are taken out', () => {
    const edit: Edit = {
      kind: 'list',
      list: 'board',
      drop: ['b'],
      put: [{ item: card('c', 50) }, { at: 0, item: card('d') }, { item: card('e') }],
    }
    expect(there(edit, start).board.map((one) => `${one.id}${one.x}`)).toEqual(['d0', 'a0', 'c50', 'e0'])
    expect(andBack(edit, start)).toEqual(start)
  })

  test('two tabs that change different items both keep their change', () => {
    expect(there(board(card('b', 9)), there(board(card('a', 9)), start)).board.map((one) => one.x)).toEqual([9, 9, 0])
  })

  test('what is gone, or taken out and put in at once, is refused by name', () => {
    expect(() => there({ kind: 'list', list: 'board', drop: ['x'], put: [] })).toThrow('“x” is no longer among the references.')
    expect(() => there({ kind: 'list', list: 'board', drop: ['a'], put: [{ item: card('a') }] }, start)).toThrow(EditError)
  })

  test('undone, any change of a list gives the list as it was', () => {
    const ids = fc.constantFrom('a', 'b', 'c', 'd', 'e')
    fc.assert(
      fc.property(
        fc.uniqueArray(ids),
        fc.uniqueArray(fc.tuple(ids, fc.option(fc.nat(5), { nil: undefined })), { selector: ([id]) => id }),
        (drop, put) => {
          const edit: Edit = {
            kind: 'list',
            list: 'board',
            drop: drop.filter((id) => 'abc'.includes(id)),
            put: put
              .filter(([id]) => !drop.includes(id))
              .map(([id, at]) => (at === undefined ? { item: card(id, 7) } : { at, item: card(id, 7) })),
          }
          expect(andBack(edit, start)).toEqual(start)
        },
      ),
    )
  })
})

describe('brief, pages and sections', () => {
  test('parts of the brief are set, of the site or of a page, and taken back', () => {
    expect(there({ kind: 'brief', values: { tone: 'Dry' } }).brief.tone).toBe('Dry')
    expect(there({ kind: 'brief', page: winter.id, values: { aim: null } }).pages[1]!.brief.aim).toBeNull()
    expect(andBack({ kind: 'brief', page: winter.id, values: { what: 'x', constraints: [] } })).toEqual(site)
    expect(() => there({ kind: 'brief', page: 'gone', values: { what: 'x' } })).toThrow(/no longer in this site/)
    expect(() => parseEdit({ kind: 'brief', values: { aim: 'fly' } })).toThrow()
  })

  test('pages change their order, and may be left out of navigation', () => {
    const move: Edit = { kind: 'page-move', page: thanks.id, index: 0 }
    expect(there(move).pages.map((one) => one.id)).toEqual([
      thanks.id,
      page.id,
      winter.id,
      ...site.pages.slice(3).map((one) => one.id),
    ])
    expect(andBack(move)).toEqual(site)
    const hide: Edit = { kind: 'page-field', page: winter.id, values: { unlisted: true } }
    expect(there(hide).pages[1]!.unlisted).toBe(true)
    expect(andBack(hide)).toEqual(site)
  })

  test('a section is swapped for another with its id, and nothing else is', () => {
    const opening = page.sections[1]!
    const bare = { ...opening, children: [] }
    expect(there({ kind: 'swap', section: bare }).pages[0]!.sections[1]!.children).toEqual([])
    expect(andBack({ kind: 'swap', section: bare })).toEqual(site)
    expect(() => there({ kind: 'swap', section: { ...opening, id: 'gone' } })).toThrow(EditError)
    expect(() => there({ kind: 'swap', section: { ...bare, children: [page.sections[2]!.children[0]!] } })).toThrow(/taken/)
  })

  test('a form cannot stand in a form', () => {
    const form = [...walkPage(winter)].find((block) => block.kind === 'form')!
    expect(() => there({ kind: 'insert', parent: form.id, index: 0, blocks: [{ ...form, id: 'inner', children: [] }] })).toThrow(
      'A form cannot stand in a form.',
    )
  })

  test.each<[Edit, string]>([
    [{ kind: 're-set', section: 'x', arrangement: 'y', ids: 'abcdef' }, 're-set'],
    [{ kind: 'brief', values: { tone: 'Dry' } }, 'brief: tone'],
    [board(card('a')), 'references'],
    [{ kind: 'page-move', page: 'x', index: 0 }, 'order of the pages'],
  ])('the edit %j is called “%s”', (edit, label) => expect(editLabel(edit)).toBe(label))
})
