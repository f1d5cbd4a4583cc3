import { describe, expect, test } from 'vitest'
import { walkPage, findBlock } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { demoSite } from './edits.fixture'
import type { Edit } from './index'
import { replaces } from './merge'
import { catchUp, makeEdit, openSession, settle } from './session'

const site = demoSite()
const texts = [...walkPage(site.pages[0]!)].filter((block) => block.kind === 'text')
const [first, second] = [texts[0]!.id, texts[1]!.id]
const words = (block: string, text: string): Edit => ({ kind: 'words', block, words: { en: [text] } })
const textOf = (from: typeof site, block: string) => {
  const found = findBlock(from, block)!.block
  return 'words' in found ? plainText(found.words.en ?? []) : ''
}

describe('a session', () => {
  test('shows an edit at once and keeps it until the server has it', () => {
    const { session } = makeEdit(openSession(site, 4), { key: 'a', edit: words(first, 'One') })
    expect(textOf(session.site, first)).toBe('One')
    expect(textOf(session.confirmed, first)).not.toBe('One')
    const settled = settle(session, ['a'], 5, [])
    expect(settled.session.pending).toEqual([])
    expect(settled.session.revision).toBe(5)
    expect(textOf(settled.session.confirmed, first)).toBe('One')
  })

  test('a drag is one edit to send, but for what is on its way', () => {
    let { session } = makeEdit(openSession(site, 0), { key: 'a', edit: words(first, 'O'), gesture: 'g' })
    session = makeEdit(session, { key: 'b', edit: words(first, 'On'), gesture: 'g' }).session
    expect(session.pending.map((one) => one.key)).toEqual(['a'])
    session = makeEdit(session, { key: 'c', edit: words(first, 'One'), gesture: 'g' }, new Set(['a'])).session
    expect(session.pending.map((one) => one.key)).toEqual(['a', 'c'])
    expect(textOf(session.site, first)).toBe('One')
  })

  test('edits of two tabs on different blocks are both there', () => {
    const { session } = makeEdit(openSession(site, 0), { key: 'mine', edit: words(first, 'Mine') })
    const caught = catchUp(session, [{ key: 'theirs', edit: words(second, 'Theirs') }], 1)
    expect(caught.lost).toEqual([])
    expect([textOf(caught.session.site, first), textOf(caught.session.site, second)]).toEqual(['Mine', 'Theirs'])
    expect(caught.session.pending).toHaveLength(1)
  })

  test('an edit to a block that another tab deleted is named, not dropped in silence', () => {
    const { session } = makeEdit(openSession(site, 0), { key: 'mine', edit: words(first, 'Mine') })
    const caught = catchUp(session, [{ key: 'theirs', edit: { kind: 'remove', blocks: [first] } }], 1)
    expect(caught.lost).toEqual([
      { edit: words(first, 'Mine'), reason: expect.stringContaining('no longer on any page') as string },
    ])
    expect(caught.session.pending).toEqual([])
  })

  test('an edit whose answer was lost is known by its key and not made twice', () => {
    const { session } = makeEdit(openSession(site, 0), {
      key: 'mine',
      edit: { kind: 'remove', blocks: [first] },
    })
    const caught = catchUp(session, [{ key: 'mine', edit: { kind: 'remove', blocks: [first] } }], 1)
    expect(caught.lost).toEqual([])
    expect(caught.session.pending).toEqual([])
    expect(findBlock(caught.session.site, first)).toBeUndefined()
  })

  test('what the server refuses is taken back and named', () => {
    const made = makeEdit(openSession(site, 0), { key: 'a', edit: words(first, 'One') })
    const { session, lost } = settle(made.session, ['a'], 0, [{ key: 'a', reason: 'No.' }])
    expect(lost).toEqual([{ edit: words(first, 'One'), reason: 'No.' }])
    expect(session.site).toBe(site)
  })

  test('an edit takes the place of one before it only where nothing of that is left', () => {
    const style = (values: object): Edit => ({ kind: 'style', block: first, scope: 'base', values })
    expect(replaces(style({ span: 2 }), style({ span: 3 }))).toBe(true)
    expect(replaces(style({ span: 2 }), style({ span: 3, start: 1 }))).toBe(false)
    expect(replaces(style({ span: 2 }), { ...style({ span: 3 }), scope: { below: 'narrow' } } as Edit)).toBe(false)
    expect(replaces(words(first, 'a'), words(second, 'b'))).toBe(false)
  })
})
