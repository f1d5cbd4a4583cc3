import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { walkPage } from '#core/site/tree'
import { findings } from './index'

const site = demoSite()
const page = site.pages[0]!
const blocks = [...walkPage(page)]
const first = (kind: string) => blocks.find((block) => block.kind === kind)!
const after = (...edits: Edit[]) =>
  findings(edits.reduce((now, edit) => applyEdit(now, edit).site, site)).map((one) => one.sentence)

test('the demo page is in order', () => {
  expect(findings(site)).toEqual([])
})

test.each<[string, Edit[], RegExp]>([
  ['a slot without words', [{ kind: 'words', block: first('text').id, words: { en: [] } }], /1 slot has no words/],
  [
    'a picture that is not chosen',
    [{ kind: 'field', block: first('picture').id, field: 'picture', value: null }],
    /has no picture/,
  ],
  [
    'a linked picture without words',
    [{ kind: 'field', block: first('picture').id, field: 'link', value: { href: 'https://a.example' } }],
    /no alternative text/,
  ],
  ['a button that leads nowhere', [{ kind: 'field', block: first('button').id, field: 'link', value: null }], /leads nowhere/],
  [
    'an unfinished address',
    [{ kind: 'field', block: first('button').id, field: 'link', value: { href: 'https://' } }],
    /unfinished/,
  ],
  ['a link to a section that is gone', [{ kind: 'remove', blocks: [page.sections[2]!.id] }], /page or section that is gone/],
  [
    'two first-level headings',
    [
      {
        kind: 'field',
        block: blocks.filter((block) => block.kind === 'heading')[1]!.id,
        field: 'level',
        value: 1,
      },
    ],
    /2 first-level headings/,
  ],
  [
    'a skipped level',
    [
      {
        kind: 'field',
        block: blocks.filter((block) => block.kind === 'heading')[1]!.id,
        field: 'level',
        value: 4,
      },
    ],
    /no level should be skipped/,
  ],
  ['no title', [{ kind: 'page-field', page: page.id, values: { title: {} } }], /no title/],
])('%s is found', (_, edits, sentence) => {
  expect(after(...edits)).toEqual(expect.arrayContaining([expect.stringMatching(sentence)]))
})

test('what is hidden, or stands inside something that is, is no finding', () => {
  const button = first('button').id
  const nowhere: Edit = { kind: 'field', block: button, field: 'link', value: null }
  expect(after(nowhere).some((one) => one.includes('leads nowhere'))).toBe(true)
  expect(after(nowhere, { kind: 'field', block: button, field: 'hidden', value: true })).toEqual([])
  const section = page.sections.find((one) => [...walkPage({ ...page, sections: [one] })].some((block) => block.id === button))!
  const hidden = after(nowhere, { kind: 'field', block: section.id, field: 'hidden', value: true })
  expect(hidden.some((one) => one.includes('leads nowhere'))).toBe(false)
})

test('a button that opens what was deleted is a finding, and one that shows what is there is none', () => {
  const button = first('button').id
  const group = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'group')!
  const press = (opens: string): Edit => ({ kind: 'field', block: button, field: 'press', value: { opens } })
  const bare: Edit = { kind: 'field', block: button, field: 'link', value: null }
  const about = (found: readonly string[]) => found.filter((one) => /leads|opens/.test(one))
  expect(about(after(bare, press('gone')))).toEqual([expect.stringMatching(/opens, shows or closes what is not there/)])
  expect(about(after(bare, press(group.id), { kind: 'field', block: group.id, field: 'panel', value: 'dialog' }))).toEqual([])
})
