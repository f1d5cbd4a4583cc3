import { blockName } from '#core/blocks/block-name'
import { beforeEach, describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import type { Edit } from '#core/edits/index'
import { findBlock, walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import {
  type SessionStore,
  createSessionStore,
  edit,
  editAll,
  pageOf,
  redo,
  select,
  selected,
  settleSent,
  takeIn,
  undo,
} from './store'

const site = demoSite()
const page = site.pages[0]!
const blocks = [...walkPage(page)]
const text = blocks.find((block) => block.kind === 'text')!
const heading = blocks.find((block) => block.kind === 'heading')!

let store: SessionStore
beforeEach(() => {
  store = createSessionStore('site', page.id, site, 0)
})

const words = (value: string): Edit => ({ kind: 'words', block: text.id, words: { en: [value] } })
const span = (value: number): Edit => ({ kind: 'style', block: text.id, scope: 'base', values: { span: value } })
const wordsNow = () => {
  const found = findBlock(store.getState().session.site, text.id)?.block
  return found && 'words' in found ? plainText(found.words.en ?? []) : undefined
}
const spanNow = () => findBlock(store.getState().session.site, text.id)?.block.style.base?.span

describe('undo and redo', () => {
  test('take an edit back and make it again', () => {
    const before = wordsNow()
    edit(store, words('One'))
    expect(wordsNow()).toBe('One')
    undo(store)
    expect(wordsNow()).toBe(before)
    redo(store)
    expect(wordsNow()).toBe('One')
  })

  test('a stretch of typing is one step', () => {
    const before = wordsNow()
    for (const value of ['O', 'On', 'One']) edit(store, words(value), 'typing')
    expect(store.getState().undo).toHaveLength(1)
    undo(store)
    expect(wordsNow()).toBe(before)
    redo(store)
    expect(wordsNow()).toBe('One')
  })

  test('a drag that sets different values on its way is one step, and all of it is taken back', () => {
    const before = spanNow()
    edit(store, span(4), 'drag')
    edit(store, { kind: 'style', block: text.id, scope: 'base', values: { span: 5, start: 2 } }, 'drag')
    edit(store, { kind: 'style', block: text.id, scope: 'base', values: { order: 3 } }, 'drag')
    expect(store.getState().undo).toHaveLength(1)
    undo(store)
    const { style } = findBlock(store.getState().session.site, text.id)!.block
    expect([style.base?.span, style.base?.start, style.base?.order]).toEqual([before, undefined, undefined])
  })

  test('two gestures are two steps', () => {
    edit(store, span(4), 'first')
    edit(store, span(5), 'second')
    expect(store.getState().undo).toHaveLength(2)
    undo(store)
    expect(spanNow()).toBe(4)
  })

  test('a new edit ends what could be redone', () => {
    edit(store, words('One'))
    undo(store)
    edit(store, words('Two'))
    redo(store)
    expect(wordsNow()).toBe('Two')
  })

  test('with nothing to take back change nothing', () => {
    const { session } = store.getState()
    undo(store)
    redo(store)
    expect(store.getState().session).toBe(session)
  })

  test('forget a selection that they take away', () => {
    edit(store, { kind: 'insert', parent: page.id, index: 0, blocks: [{ ...page.sections[0]!, id: 'new', children: [] }] })
    select(store, 'new')
    undo(store)
    expect(store.getState().selection).toBeNull()
  })
})

describe('edits', () => {
  test('several at once are one step', () => {
    editAll(store, 'both', [words('One'), span(3)])
    expect(store.getState().undo).toHaveLength(1)
    undo(store)
    expect(spanNow()).not.toBe(3)
    expect(wordsNow()).not.toBe('One')
  })

  test('that are refused change nothing and leave nothing to undo', () => {
    const { session } = store.getState()
    expect(edit(store, { kind: 'remove', blocks: ['gone'] })).toBe(false)
    expect(store.getState().session).toBe(session)
    expect(store.getState().undo).toEqual([])
  })

  test('of none at all are no step', () => {
    expect(editAll(store, 'nothing', [])).toBe(true)
    expect(store.getState().undo).toEqual([])
  })

  test('are settled by the server, and those it refuses are taken back', () => {
    edit(store, words('One'))
    const [pending] = store.getState().session.pending
    settleSent(store, [pending!.key], 1, [])
    expect(store.getState().session).toMatchObject({ revision: 1, pending: [] })
    edit(store, words('Two'))
    const [next] = store.getState().session.pending
    settleSent(store, [next!.key], 1, [{ key: next!.key, reason: 'No.' }])
    expect(wordsNow()).toBe('One')
  })

  test('of another tab that delete the selection deselect it', () => {
    select(store, text.id)
    takeIn(store, [{ key: 'theirs', edit: { kind: 'remove', blocks: [text.id] } }], 1)
    expect(store.getState().selection).toBeNull()
  })
})

describe('what is looked at', () => {
  test('the selected place is the same object until the site or the selection changes', () => {
    select(store, heading.id)
    const place = selected(store.getState())
    expect(selected(store.getState())).toBe(place)
    edit(store, words('One'))
    expect(selected(store.getState())).not.toBe(place)
    expect(selected(store.getState())?.block.id).toBe(heading.id)
  })

  test('a page that was deleted gives way to the first', () => {
    store.setState({ pageId: 'gone' })
    expect(pageOf(store.getState()).id).toBe(page.id)
  })

  test('blocks are called by their names, sections by their jobs', () => {
    expect(blockName(heading)).toBe('Heading')
    expect(blockName({ ...heading, name: 'The claim' })).toBe('The claim')
    expect(blockName({ ...page.sections[0]!, name: undefined, job: 'sign-up' })).toBe('Sign up')
  })
})
