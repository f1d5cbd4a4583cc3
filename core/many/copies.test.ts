import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block, BlockKind } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { applyEdit, type Edit } from '#core/edits/index'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { copiesOf, sharedOf } from '#core/shared/copies'
import { newCopy } from '#core/shared/make'
import { ownValues } from '#core/shared/own'
import { testIds } from '#core/values/ids.fixture'
import { ownEdits, replaceEdits } from './copies'

const makeId = testIds()
const made = <K extends BlockKind>(kind: K, changes: object = {}) => ({ ...newBlock(kind, makeId), ...changes }) as Block
const childrenOf = (block: Block): Block[] => (isContainer(block) ? block.children : [])
const make = (site: Site, edits: readonly Edit[]) => edits.reduce((now, edit) => applyEdit(now, edit).site, site)

/** A section with two copies of a card of a heading and a text, and one of a note that has a heading alone. */
function scene() {
  const card = made('group', {
    children: [made('heading', { words: { en: ['Title'] } }), made('text', { words: { en: ['Words'] } })],
  })
  const note = made('group', { children: [made('heading')] })
  const section = { ...newSection('reasons', makeId), children: [card, note] }
  const start = newSite('Test', makeId)
  const site = make({ ...start, pages: [{ ...start.pages[0]!, sections: [section] }] }, [
    { kind: 'share', block: card.id, shared: 'card', name: 'Card' },
    { kind: 'share', block: note.id, shared: 'note', name: 'Note' },
  ])
  return make(site, [{ kind: 'insert', parent: section.id, index: 1, blocks: [newCopy(sharedOf(site, 'card')!, makeId)] }])
}
const copies = (site: Site, shared = 'card') => copiesOf(site, shared).map(({ copy }) => copy)
const words = (site: Site, n: number) => copies(site).map((copy) => (childrenOf(copy)[n] as { words?: object }).words)

describe('what a copy has of its own', () => {
  const own = () => {
    const site = scene()
    const heading = childrenOf(copies(site)[0]!)[0]!
    return make(site, [{ kind: 'words', block: heading.id, words: { en: [], cy: ['Teitl'] } }])
  }

  test('is given to all copies', () => {
    const site = own()
    const [copy] = copies(site)
    const values = ownValues(sharedOf(site, 'card')!, copy!)
    expect(values.map((one) => one.field)).toEqual(['words'])
    const after = make(site, ownEdits(copy!, values, 'all'))
    expect(words(after, 0)).toEqual([{ cy: ['Teitl'] }, { cy: ['Teitl'] }])
    expect(ownValues(sharedOf(after, 'card')!, copies(after)[0]!)).toEqual([])
  })

  test('is taken away for what all have', () => {
    const site = own()
    const [copy] = copies(site)
    const after = make(site, ownEdits(copy!, ownValues(sharedOf(site, 'card')!, copy!), 'shared'))
    expect(words(after, 0)).toEqual([{ en: ['Title'] }, { en: ['Title'] }])
  })
})

describe('copies that are replaced by those of another', () => {
  test('keep their places, columns and words, and words without a place there are kept unplaced', () => {
    const site = scene()
    const spanned = make(site, [{ kind: 'style', block: copies(site)[1]!.id, scope: 'base', values: { span: 5 } }])
    const after = make(spanned, replaceEdits(spanned, copies(spanned), sharedOf(spanned, 'note')!, makeId))
    expect(copies(after)).toEqual([])
    const notes = copies(after, 'note')
    expect(notes.map((one) => (childrenOf(one)[0] as { words?: object }).words)).toEqual([{ en: ['Title'] }, { en: ['Title'] }, {}])
    expect(notes[1]!.style.base?.span).toBe(5)
    expect(after.unplaced.map((one) => one.words.en)).toEqual([['Words'], ['Words']])
  })

  test('by one that has room for all words leave none over', () => {
    const site = scene()
    const after = make(site, replaceEdits(site, copies(site, 'note'), sharedOf(site, 'card')!, makeId))
    expect([copies(after).length, after.unplaced.length]).toEqual([3, 0])
  })
})
