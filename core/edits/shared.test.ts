import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block, BlockKind } from '#core/blocks/index'
import { isContainer, walk } from '#core/blocks/tree'
import { deckOf } from '#core/deck/deck'
import { deckLinks } from '#core/deck/links'
import { parseDeck } from '#core/deck/parse'
import { printDeck } from '#core/deck/print'
import { checkSite } from '#core/formats/site-json'
import { reconcile } from '#core/reconcile/reconcile'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { findBlock, withNewIds } from '#core/site/tree'
import { conform } from '#core/shared/conform'
import { type Copy, copiesOf, sharedOf } from '#core/shared/copies'
import { newCopy, replacedBy } from '#core/shared/make'
import { pixels } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'
import { choices, demoSite, editOf } from './edits.fixture'
import { expectSame } from './same.fixture'
import { EditError } from './edit'
import { applyEdit, type Edit } from './index'
import { forAllCopies } from './through-shared'
import { runs } from '#core/values/runs.fixture'

const makeId = testIds()
const made = <K extends BlockKind>(kind: K, changes: object = {}) => ({ ...newBlock(kind, makeId), ...changes }) as Block

/** A page with a section, and in it a card that is shared and stands there a number of times. */
function cards(count: number): { site: Site; section: string; copies: () => Copy[]; make: (edit: Edit) => Edit } {
  const card = {
    ...made('group'),
    name: 'Card',
    children: [made('heading', { words: { en: ['Title'] } }), made('text', { words: { en: ['Words'] } }), made('button')],
  } as Block
  const section = { ...newSection('reasons', makeId), children: [card] }
  const start = newSite('Test', makeId)
  let site: Site = { ...start, pages: [{ ...start.pages[0]!, sections: [section] }] }
  site = applyEdit(site, { kind: 'share', block: card.id, shared: 'card', name: 'Card' }).site
  for (let n = 1; n < count; n++) {
    const copy = newCopy(sharedOf(site, 'card')!, makeId)
    site = applyEdit(site, { kind: 'insert', parent: section.id, index: n, blocks: [copy] }).site
  }
  const state = {
    site,
    section: section.id,
    copies: () => copiesOf(state.site, 'card').map(({ copy }) => copy),
    make(edit: Edit) {
      const applied = applyEdit(state.site, edit)
      state.site = applied.site
      checkSite(JSON.parse(JSON.stringify(state.site)))
      return applied.inverse
    },
  }
  return state
}
const childrenOf = (block: Block): Block[] => (isContainer(block) ? block.children : [])
const inside = (copy: Copy, n: number) => childrenOf(copy)[n]!
const spans = (blocks: Block[]) => blocks.map((one) => one.style.base?.span)

describe('a block that is made shared', () => {
  test('is its own first copy, and looks as before', () => {
    const { copies, site } = cards(1)
    const [copy] = copies()
    expect(copy).toMatchObject({ kind: 'group', name: 'Card', copyOf: { shared: 'card' } })
    expect([...walk(copy!)].map((one) => one.kind)).toEqual(['group', 'heading', 'text', 'button'])
    expect(sharedOf(site, 'card')!.block.copyOf).toBeUndefined()
  })

  test('is taken back in one step', () => {
    const { site, copies } = cards(1)
    const card = copies()[0]!
    const plain = applyEdit(site, { kind: 'copies', id: 'card', shared: null, blocks: [] })
    expect(findBlock(plain.site, card.id)!.block.copyOf).toBeUndefined()
    expect(applyEdit(plain.site, plain.inverse).site).toEqual(site)
  })

  test('cannot hold a copy of another, stand in one, or be in itself', () => {
    const { site, copies, section } = cards(2)
    const [copy, other] = copies()
    const refused = (edit: Edit, why: RegExp) => expect(() => applyEdit(site, edit)).toThrow(why)
    refused({ kind: 'share', block: section, shared: 'band', name: 'Band' }, /cannot stand in another/)
    refused({ kind: 'share', block: inside(copy!, 0).id, shared: 'title', name: 'Title' }, /stands in a shared block already/)
    refused({ kind: 'move', block: other!.id, parent: copy!.id, index: 0 }, /cannot stand in another/)
    refused(
      { kind: 'insert', parent: copy!.id, index: 0, blocks: [newCopy(sharedOf(site, 'card')!, makeId)] },
      /cannot stand in another/,
    )
    refused({ kind: 'move', block: copy!.id, parent: copy!.id, index: 0 }, /cannot stand in another|into itself/)
  })
})

describe('a change of one copy', () => {
  test('of style, of a field, or of what it holds reaches all', () => {
    const state = cards(6)
    const [copy] = state.copies()
    state.make({ kind: 'style', block: copy!.id, scope: 'base', values: { paddingTop: pixels(32) } })
    state.make({ kind: 'field', block: inside(copy!, 0).id, field: 'level', value: 4 })
    state.make({ kind: 'insert', parent: copy!.id, index: 1, blocks: [made('divider', { id: 'line' })] })
    state.make({ kind: 'move', block: inside(state.copies()[0]!, 0).id, parent: copy!.id, index: 3 })
    for (const one of state.copies()) {
      expect(one.style.base?.paddingTop).toEqual(pixels(32))
      expect(childrenOf(one).map((block) => block.kind)).toEqual(['divider', 'text', 'button', 'heading'])
      expect(childrenOf(one)[3]).toMatchObject({ level: 4 })
    }
    // What was put into one copy keeps its id there.
    expect(findBlock(state.site, 'line')).toBeDefined()
    state.make({ kind: 'remove', blocks: [inside(state.copies()[3]!, 0).id] })
    expect(state.copies().map((one) => childrenOf(one).length)).toEqual([3, 3, 3, 3, 3, 3])
  })

  test('of where it stands, of its words, picture and link is its own', () => {
    const state = cards(3)
    const [copy, other] = state.copies()
    state.make({ kind: 'style', block: copy!.id, scope: 'base', values: { span: 4, start: 2, paddingTop: pixels(8) } })
    state.make({ kind: 'words', block: inside(copy!, 0).id, words: { en: ['Mine'] } })
    state.make({ kind: 'field', block: inside(copy!, 2).id, field: 'link', value: { href: 'https://hollin.example' } })
    expect(spans(state.copies())).toEqual([4, other!.style.base?.span, other!.style.base?.span])
    expect(state.copies().map((one) => one.style.base?.paddingTop)).toEqual([pixels(8), pixels(8), pixels(8)])
    const words = () => state.copies().map((one) => (inside(one, 0) as { words?: object }).words)
    expect(words()).toEqual([{ en: ['Mine'] }, { en: ['Title'] }, { en: ['Title'] }])
    const part = sharedOf(state.site, 'card')!.block
    const heading = childrenOf(part)[0]!
    const inverse = state.make({
      kind: 'shared',
      shared: 'card',
      edit: { kind: 'words', block: heading.id, words: { en: ['All'] } },
    })
    expect(words()).toEqual([{ en: ['Mine'] }, { en: ['All'] }, { en: ['All'] }])
    state.make(inverse)
    expect(words()).toEqual([{ en: ['Mine'] }, { en: ['Title'] }, { en: ['Title'] }])
  })

  test('is named in the shared block when the copy is renamed', () => {
    const state = cards(2)
    state.make({ kind: 'field', block: state.copies()[0]!.id, field: 'name', value: 'Reason' })
    expect([sharedOf(state.site, 'card')!.name, ...state.copies().map((one) => one.name)]).toEqual(['Reason', 'Reason', 'Reason'])
  })

  test('that takes a part out keeps the words of all that have their own, once those that are the same', () => {
    const state = cards(3)
    state.make({ kind: 'words', block: inside(state.copies()[1]!, 1).id, words: { en: ['Of the second'] } })
    const before = state.site
    const inverse = state.make({ kind: 'remove', blocks: [inside(state.copies()[0]!, 1).id] })
    expect(state.site.unplaced.map((one) => one.words.en)).toEqual([['Words'], ['Of the second']])
    state.make(inverse)
    expect(state.site).toEqual(before)
  })

  test('cannot take a part out of it, but can put a block in', () => {
    const state = cards(2)
    const [copy, other] = state.copies()
    expect(() => applyEdit(state.site, { kind: 'move', block: inside(copy!, 0).id, parent: state.section, index: 0 })).toThrow(
      /part of “Card”, which is shared/,
    )
    const quote = made('quote', { words: { en: ['Clear all night'] } })
    state.make({ kind: 'insert', parent: state.section, index: 0, blocks: [quote] })
    state.make({ kind: 'move', block: quote.id, parent: other!.id, index: 0 })
    expect(state.copies().map((one) => childrenOf(one)[0])).toMatchObject([{ kind: 'quote' }, { kind: 'quote', id: quote.id }])
  })
})

describe('a guise', () => {
  const dressed = () => {
    const state = cards(3)
    const { block } = sharedOf(state.site, 'card')!
    const guise = { id: 'night', name: 'Night', parts: { [block.id]: { style: { base: { paddingTop: pixels(48) } } } } }
    state.make({ kind: 'guises', shared: 'card', guises: [guise] })
    state.make({ kind: 'guise', block: state.copies()[1]!.id, guise: 'night' })
    return state
  }
  const tops = (state: ReturnType<typeof cards>) => state.copies().map((one) => one.style.base?.paddingTop)

  test('is worn by some copies, and what is set in one of them is the guise’s', () => {
    const state = dressed()
    const plain = tops(state)[0]
    expect(tops(state)).toEqual([plain, pixels(48), plain])
    const inverse = state.make({ kind: 'style', block: state.copies()[1]!.id, scope: 'base', values: { paddingTop: pixels(64) } })
    expect(tops(state)).toEqual([plain, pixels(64), plain])
    state.make(inverse)
    expect(tops(state)).toEqual([plain, pixels(48), plain])
    state.make({ kind: 'field', block: inside(state.copies()[1]!, 0).id, field: 'level', value: 5 })
    expect(state.copies().map((one) => (inside(one, 0) as { level?: number }).level === 5)).toEqual([false, true, false])
  })

  test('leaves what it does not set to the shared block, and a value that it takes away comes back from there', () => {
    const state = dressed()
    const [, copy] = state.copies()
    state.make(forAllCopies(state.site, { kind: 'style', block: copy!.id, scope: 'base', values: { paddingBottom: pixels(20) } }))
    expect(state.copies().map((one) => one.style.base?.paddingBottom)).toEqual([pixels(20), pixels(20), pixels(20)])
    state.make({ kind: 'style', block: copy!.id, scope: 'base', values: { paddingTop: null } })
    expect(new Set(tops(state).map((one) => JSON.stringify(one))).size).toBe(1)
  })

  test('that goes leaves its copies plain, and comes back with them', () => {
    const state = dressed()
    const before = state.site
    const inverse = state.make({ kind: 'guises', shared: 'card', guises: [] })
    expect(state.copies().map((one) => one.copyOf.guise)).toEqual([undefined, undefined, undefined])
    state.make(inverse)
    expect(state.site).toEqual(before)
  })
})

describe('what is put into a page by hand', () => {
  test('is made as its shared block says, and is no copy where that is gone', () => {
    const state = cards(2)
    const [copy] = state.copies()
    const bent = {
      ...withNewIds(copy!, makeId),
      style: { base: { paddingTop: pixels(999) } },
      children: childrenOf(copy!)
        .slice(1)
        .map((one) => withNewIds(one, makeId)),
    }
    state.make({ kind: 'insert', parent: state.section, index: 0, blocks: [bent as Block] })
    expect(childrenOf(state.copies()[0]!)).toHaveLength(3)
    expect(state.copies()[0]!.style.base?.paddingTop).not.toEqual(pixels(999))
    const stray = { ...withNewIds(copy!, makeId), copyOf: { shared: 'unknown' } }
    state.make({ kind: 'insert', parent: state.section, index: 0, blocks: [stray as Block] })
    const found = findBlock(state.site, stray.id)!.block
    expect([...walk(found)].every((one) => one.copyOf === undefined && one.sharedPart === undefined)).toBe(true)
  })

  test('a copy made independent keeps what it has, and follows no more', () => {
    const state = cards(3)
    const [copy] = state.copies()
    const before = state.site
    const plain = structuredClone(copy!) as Block
    for (const one of walk(plain)) {
      delete one.copyOf
      delete one.sharedPart
    }
    const inverse = state.make({ kind: 'copies', id: 'card', blocks: [plain] })
    state.make({ kind: 'style', block: state.copies()[0]!.id, scope: 'base', values: { paddingTop: pixels(7) } })
    expect(findBlock(state.site, copy!.id)!.block.style.base?.paddingTop).not.toEqual(pixels(7))
    expect(state.copies()).toHaveLength(2)
    // Taken back later, it is as the others are by then.
    state.make(inverse)
    expect(state.copies().map((one) => one.style.base?.paddingTop)).toEqual([pixels(7), pixels(7), pixels(7)])
    expect(before.shared).toHaveLength(1)
  })

  test('a copy of another takes the words of the one it replaces, kind by kind, and names those that are left', () => {
    const state = cards(1)
    const note = { ...made('group'), children: [made('heading')] } as Block
    state.make({ kind: 'insert', parent: state.section, index: 0, blocks: [note] })
    state.make({ kind: 'share', block: note.id, shared: 'note', name: 'Note' })
    const { copy, left } = replacedBy(state.copies()[0]!, sharedOf(state.site, 'note')!, makeId)
    expect(copy).toMatchObject({ copyOf: { shared: 'note' }, children: [{ kind: 'heading', words: { en: ['Title'] } }] })
    expect(left.map((one) => one.kind)).toEqual(['text'])
  })
})

test('the deck has words that all copies share once, and each copy’s own beside them', () => {
  const state = cards(4)
  const said = () =>
    deckOf(state.site, 'en').pages.flatMap((page) => page.sections.flatMap((one) => one.passages.map(({ words }) => words[0])))
  expect(said()).toEqual(['Title', 'Words'])
  state.make({ kind: 'words', block: inside(state.copies()[2]!, 0).id, words: { en: ['Another'] } })
  expect(said()).toEqual(['Title', 'Words', 'Another'])
})

test('words that are changed in the deck change in every copy that has them, and those of one copy in that alone', () => {
  const state = cards(4)
  state.make({ kind: 'words', block: inside(state.copies()[2]!, 0).id, words: { en: ['Another'] } })
  const links = deckLinks(state.site)
  const { text } = printDeck(deckOf(state.site, 'en'), links)
  const next = parseDeck(text.replace('Title', 'Heading').replace('Another', 'Other'), links)
  const edits = reconcile(state.site, next, { language: 'en', links, makeId, missing: 'go', home: state.site.pages[0]!.id })
  for (const edit of edits) state.make(edit)
  expect(state.copies().map((one) => (inside(one, 0) as { words?: object }).words)).toEqual(
    ['Heading', 'Heading', 'Other', 'Heading'].map((word) => ({ en: [word] })),
  )
})

describe('property: on a site with shared blocks and guises', () => {
  /** The demo with a few of its groups and sections shared, some copied, some in a guise. */
  const start = (() => {
    let site = demoSite()
    const make = (edit: Edit) => (site = applyEdit(site, edit).site)
    const sections = site.pages[0]!.sections
    const groups = sections.flatMap((one) => one.children).filter((one) => one.kind === 'group')
    for (const [n, block] of [groups[0]!, groups[1]!, site.pages[0]!.sections.at(-1)!].entries()) {
      if ([...walk(block)].some((one) => one.copyOf)) continue
      try {
        make({ kind: 'share', block: block.id, shared: `shared-${n}`, name: `Shared ${n}` })
      } catch (error) {
        if (!(error instanceof EditError)) throw error
      }
    }
    for (const shared of site.shared) {
      const parent = shared.block.kind === 'section' ? site.pages[1]!.id : sections[2]!.id
      make({ kind: 'insert', parent, index: 0, blocks: [newCopy(shared, makeId)] })
      const parts = { [shared.block.id]: { style: { base: { opacity: 0.5 } } } }
      make({ kind: 'guises', shared: shared.id, guises: [{ id: `${shared.id}-g`, name: 'Faint', parts }] })
      make({ kind: 'guise', block: copiesOf(site, shared.id)[0]!.copy.id, guise: `${shared.id}-g` })
    }
    return site
  })()

  test('every copy is as its shared block says after any edits, and undone in turn they leave nothing', () => {
    expect(start.shared.length).toBeGreaterThan(1)
    fc.assert(
      fc.property(choices, (list) => {
        let now = start
        const inverses: Edit[] = []
        for (const choice of list) {
          try {
            const step = applyEdit(now, editOf(choice, now))
            now = step.site
            inverses.unshift(step.inverse)
            expect(conform(now)).toBe(now)
          } catch (error) {
            if (!(error instanceof EditError)) throw error
          }
        }
        checkSite(JSON.parse(JSON.stringify(now)))
        for (const inverse of inverses) now = applyEdit(now, inverse).site
        expectSame(now, start)
      }),
      { numRuns: runs(60, 200) },
    )
  })
})
