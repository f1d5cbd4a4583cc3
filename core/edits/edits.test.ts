import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { checkSite } from '#core/formats/site-json'
import { testIds } from '#core/values/ids.fixture'
import { excuseOf } from '#core/site/excuse'
import type { Site } from '#core/site/schema'
import { findBlock, walkPage } from '#core/site/tree'
import { valuesIn } from '#core/style/registry'
import { chooserOf, choices, demoSite, editOf } from './edits.fixture'
import { expectSame } from './same.fixture'
import { EditError } from './edit'
import { applyEdit, type Edit, EDIT_KINDS, editLabel, parseEdit, sampleEdit, settingOf } from './index'
import { replaces } from './merge'
import { runs } from '#core/values/runs.fixture'

const site = demoSite()
const page = site.pages[0]!
const makeId = testIds()
const blockOf = (kind: string, among: Site = site) => [...walkPage(among.pages[0]!)].find((block) => block.kind === kind)!

/** Applies edits, and gives the site with the inverses of those that were taken. */
function applyAll(start: Site, made: readonly ((now: Site) => Edit)[]): { site: Site; inverses: Edit[] } {
  let now = start
  const inverses: Edit[] = []
  for (const one of made) {
    try {
      const step = applyEdit(now, one(now))
      now = step.site
      inverses.unshift(step.inverse)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
    }
  }
  return { site: now, inverses }
}

describe('edits', () => {
  test('undone in turn, any edits give the same document, and every document on the way is valid', () => {
    fc.assert(
      fc.property(choices, (list) => {
        const { site: changed, inverses } = applyAll(
          site,
          list.map((choice) => (now) => editOf(choice, now)),
        )
        checkSite(JSON.parse(JSON.stringify(changed)))
        const back = applyAll(
          changed,
          inverses.map((inverse) => () => inverse),
        )
        expect(back.inverses).toHaveLength(inverses.length)
        expectSame(back.site, site)
      }),
      { numRuns: runs(60, 150) },
    )
  })

  test('survive a trip through JSON', () => {
    fc.assert(
      fc.property(choices, (list) => {
        for (const choice of list) {
          const made = editOf(choice, site)
          expect(parseEdit(JSON.parse(JSON.stringify(made)))).toEqual(made)
        }
      }),
      { numRuns: runs(30, 60) },
    )
  })

  test('leave the site that they are applied to alone, and share what they do not touch', () => {
    const text = blockOf('text')
    const next = applyEdit(site, { kind: 'style', block: text.id, scope: 'base', values: { span: 3 } }).site
    const [index] = findBlock(site, text.id)!.path
    expect(findBlock(site, text.id)!.block.style.base?.span).not.toBe(3)
    next.pages[0]!.sections.forEach((section, i) => expect(section === page.sections[i]).toBe(i !== index))
  })

  test('an exception is set and taken away without a trace', () => {
    const divider = blockOf('divider')
    const set = applyEdit(site, {
      kind: 'style',
      block: divider.id,
      scope: { below: 'narrow' },
      values: { span: 2 },
    })
    expect(valuesIn(findBlock(set.site, divider.id)!.block.style, { below: 'narrow' })).toEqual({ span: 2 })
    const back = applyEdit(set.site, set.inverse).site
    expect(findBlock(back, divider.id)!.block.style).toEqual(divider.style)
  })

  test('several as one are all made, or none', () => {
    const text = blockOf('text')
    const edits: Edit[] = [
      { kind: 'words', block: text.id, words: { en: ['New'] } },
      { kind: 'remove', blocks: ['not-there'] },
    ]
    expect(() => applyEdit(site, { kind: 'batch', label: 'both', edits })).toThrow(EditError)
    expect(findBlock(site, text.id)!.block).toBe(text)
  })

  test('a move to an index within its own parent counts without the block itself', () => {
    const [first, second] = page.sections
    const moved = applyEdit(site, { kind: 'move', block: first!.id, parent: page.id, index: 1 }).site
    expect(moved.pages[0]!.sections.slice(0, 2).map((one) => one.id)).toEqual([second!.id, first!.id])
  })

  test('are named for undo', () => {
    expect(editLabel({ kind: 'style', block: 'x', scope: 'base', values: { span: 2 } })).toBe('columns')
    expect(editLabel({ kind: 'batch', label: 'new line', edits: [] })).toBe('new line')
    expect(editLabel({ kind: 'insert', parent: 'x', index: 0, blocks: [newBlock('text', makeId)] })).toBe('add text')
  })
})

describe('an edit is refused with a sentence when', () => {
  const text = blockOf('text')
  const group = blockOf('group')
  const cases: [string, Edit, RegExp][] = [
    ['its block is gone', { kind: 'words', block: 'gone', words: {} }, /"gone" is no longer on any page/],
    ['the block takes no words', { kind: 'words', block: group.id, words: { en: ['x'] } }, /A group takes no words/],
    [
      'the block lacks the property',
      { kind: 'style', block: text.id, scope: 'base', values: { fit: 'cover' } },
      /A text has no fit/,
    ],
    [
      'the breakpoint is gone',
      { kind: 'style', block: text.id, scope: { below: 'gone' }, values: { span: 2 } },
      /breakpoint "gone"/,
    ],
    [
      'a section would stand in a group',
      { kind: 'insert', parent: group.id, index: 0, blocks: [newSection('story', makeId)] },
      /A group cannot hold a section/,
    ],
    [
      'a text would stand on a page',
      { kind: 'insert', parent: page.id, index: 0, blocks: [newBlock('text', makeId)] },
      /A page holds sections/,
    ],
    [
      'an id is taken',
      { kind: 'insert', parent: group.id, index: 0, blocks: [{ ...newBlock('text', makeId), id: text.id }] },
      /is taken/,
    ],
    ['a block would go into itself', { kind: 'move', block: group.id, parent: group.id, index: 0 }, /into itself/],
    ['a text would hold blocks', { kind: 'move', block: group.id, parent: text.id, index: 0 }, /holds no other blocks/],
    [
      'a field has the wrong shape',
      { kind: 'field', block: blockOf('heading').id, field: 'level', value: 9 },
      /cannot take this level/,
    ],
    ['a kind has no such field', { kind: 'field', block: text.id, field: 'level', value: 2 }, /cannot take this level/],
    ['the last page would go', { kind: 'page-remove', page: page.id }, /at least one page/],
    ['an address is taken', { kind: 'page-add', index: 1, page: { ...page, id: 'p2', sections: [] } }, /already has the address/],
  ]
  const alone = { ...site, pages: [page] }
  test.each(cases)('%s', (_, edit, sentence) => {
    expect(() => applyEdit(alone, edit)).toThrow(sentence)
  })

  test('blocks would stand too deep', () => {
    let now = site
    let parent = page.sections[2]!.id
    const deepen = () => {
      for (let i = 0; i < 40; i++) {
        const group = newBlock('group', makeId)
        now = applyEdit(now, { kind: 'insert', parent, index: 0, blocks: [group] }).site
        parent = group.id
      }
    }
    expect(deepen).toThrow(/24 deep/)
  })
})

describe('every kind of edit', () => {
  test.each(EDIT_KINDS)('%s: its sample is valid, is named, is made on the demo, and is taken back', (kind) => {
    let made = 0
    for (let seed = 0; seed < 40; seed++) {
      const edit = sampleEdit(kind, site, chooserOf(seed))
      expect(parseEdit(JSON.parse(JSON.stringify(edit)))).toEqual(edit)
      expect(editLabel(edit)).not.toBe('')
      try {
        const step = applyEdit(site, edit)
        expectSame(applyEdit(step.site, step.inverse).site, site)
        if (settingOf(edit)) expect(replaces(edit, edit)).toBe(true)
        made++
      } catch (error) {
        if (!(error instanceof EditError)) throw error
      }
    }
    expect(made).toBeGreaterThan(0)
  })
})

test('a file joins the site and leaves it, and the last leaves no list behind', () => {
  const site = demoSite()
  const item = { id: 'tides', name: 'Tide tables.pdf', hash: 'a'.repeat(64), bytes: 10 }
  const added = applyEdit(site, { kind: 'list', list: 'files', drop: [], put: [{ item }] })
  expect(added.site.files).toEqual([item])
  expect(applyEdit(added.site, added.inverse).site).toEqual(site)
})

test('a finding is excused with its reason, and is a finding again', () => {
  const site = demoSite()
  const item = { id: 'meant', page: site.pages[0]!.id, kind: 'loneWord', block: 'heading', reason: 'One word is the point.' }
  const excused = applyEdit(site, { kind: 'list', list: 'excuses', drop: [], put: [{ item }] })
  const { excuses } = excused.site
  expect(excuseOf(excuses, item.page, { kind: 'loneWord', block: 'heading' })).toEqual(item)
  expect(excuseOf(excuses, item.page, { kind: 'loneWord', block: 'other' })).toBeUndefined()
  expect(excuseOf(excuses, item.page, { kind: 'loneWord', block: 'heading', beside: 'other' })).toBeUndefined()
  expect(excuseOf(excuses, 'elsewhere', { kind: 'loneWord', block: 'heading' })).toBeUndefined()
  expect(applyEdit(excused.site, excused.inverse).site).toEqual(site)
})
