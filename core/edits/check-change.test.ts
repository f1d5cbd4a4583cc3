import { describe, expect, test } from 'vitest'
import { checkSite } from '#core/formats/site-json'
import { newPage, newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { testIds } from '#core/values/ids.fixture'
import { applyEdit, type Edit } from './index'

const site = newSite('Tallow & Twine', testIds())
const picture = (id: string) => ({ id, name: 'a.png', hash: 'a'.repeat(64), type: 'image/png' as const, width: 40, height: 30 })
const [page] = site.pages
const sectionId = page!.sections[0]?.id ?? page!.id

/** A site with so many of one thing that one more is too many. */
const full = (change: (draft: { -readonly [K in keyof Site]: Site[K] }) => void): Site => {
  const draft = structuredClone(site) as never
  change(draft)
  return checkSite(draft)
}

describe('nothing is taken that could not be opened again', () => {
  const makeId = testIds()
  const pages = full((draft) => {
    draft.pages = Array.from({ length: 200 }, (_, i) => newPage(makeId, `Page ${i}`, i === 0 ? '' : `page-${i}`))
  })
  const card = (id: string) => ({ id, kind: 'note' as const, x: 0, y: 0, width: 100, height: 100, caption: '', text: '' })
  const cards = full((draft) => void (draft.board = Array.from({ length: 500 }, (_, i) => card(`card${i}`))))
  const pictures = full((draft) => void (draft.pictures = Array.from({ length: 2000 }, (_, i) => picture(`p${i}`))))

  test.each<[string, Site, Edit, RegExp]>([
    ['a picture with the id of a page', site, { kind: 'picture-add', picture: picture(page!.id) }, /is taken/],
    ['a picture with the id of a section', site, { kind: 'picture-add', picture: picture(sectionId) }, /is taken/],
    [
      'a page with the id of a picture',
      applyEdit(site, { kind: 'picture-add', picture: picture('shared') }).site,
      { kind: 'page-add', index: 1, page: { ...newPage(makeId, 'B', 'b'), id: 'shared' } },
      /is taken/,
    ],
    ['a page too many', pages, { kind: 'page-add', index: 0, page: newPage(makeId, 'One more', 'one-more') }, /at "pages".*200/],
    ['a card too many', cards, { kind: 'list', list: 'board', drop: [], put: [{ item: card('more') }] }, /at "board".*500/],
    ['a picture too many', pictures, { kind: 'picture-add', picture: picture('more') }, /at "pictures".*2000/],
    [
      'two cards of one id in one edit, spread over a batch',
      cards,
      {
        kind: 'batch',
        label: 'both',
        edits: [
          { kind: 'list', list: 'board', drop: ['card1'], put: [] },
          { kind: 'list', list: 'board', drop: [], put: [{ item: card('x') }, { item: card('y') }] },
        ],
      },
      /at "board".*500/,
    ],
  ])('%s', (_, before, edit, sentence) => {
    expect(() => applyEdit(before, edit)).toThrow(sentence)
  })

  test('what is taken out makes room for what comes', () => {
    const edit: Edit = { kind: 'list', list: 'board', drop: ['card1'], put: [{ item: card('more') }] }
    expect(checkSite(JSON.parse(JSON.stringify(applyEdit(cards, edit).site))).board).toHaveLength(500)
  })
})
