import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { notExcused } from '#core/site/excuse'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { outProblem } from './out'
import { wordTwice } from './said-twice'
import { faultsIn, findings, findingsOn, isAboutAccess } from './index'

const site = demoSite()
const page = site.pages[0]!
const blocks = [...walkPage(page)]
const first = (kind: string) => blocks.find((block) => block.kind === kind)!
const after = (...edits: Edit[]) => openIn(edits.reduce((now, edit) => applyEdit(now, edit).site, site)).map((one) => one.sentence)
const openIn = (one: Site) => faultsIn(notExcused(one.excuses, findings(one)))

test('a button without words, which is not printed, leads nowhere and is no fault for that', () => {
  const button = first('button').id
  const wordless: Edit[] = [
    { kind: 'field', block: button, field: 'link', value: null },
    { kind: 'words', block: button, words: { en: [] } },
  ]
  expect(after(...wordless).filter((one) => one.includes('leads nowhere'))).toEqual([])
})

test('the demo page is in order', () => {
  expect(openIn(site)).toEqual([])
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
  [
    'what the brief asks for and the page does not have',
    [{ kind: 'brief', values: { constraints: [{ id: 'red', kind: 'colour-wanted', hex: '#FF0000' }] } }],
    /#FF0000 is nowhere on the page/,
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

describe('what is only worth a look', () => {
  const eye = (...edits: Edit[]) =>
    findingsOn(...here(edits), '2026-11-27')
      .filter((one) => !one.fault)
      .map((one) => one.sentence)
  const here = (edits: Edit[]): [typeof site, typeof page] => {
    const after = edits.reduce((now, edit) => applyEdit(now, edit).site, site)
    return [after, after.pages[0]!]
  }
  const words = (text: string): Edit => ({ kind: 'words', block: first('text').id, words: { en: [text] } })
  const titled = (title: string): Edit => ({ kind: 'page-field', page: page.id, values: { title: { en: title } } })

  test.each<[string, Edit[], RegExp]>([
    ['a title that results cut', [titled('Nights '.repeat(12))], /title is \d+ px wide; search results cut it after about 600 px/],
    [
      'a description that results cut',
      [{ kind: 'page-field', page: page.id, values: { description: { en: 'dark sky '.repeat(30) } } }],
      /description is \d+ px wide/,
    ],
    ['a title that another page has', [titled(site.pages[1]!.title.en!)], /has the same title/],
    ['a word that stands twice', [words('Bring a warm warm coat')], /“warm” stands twice in a row/],
    ['no address', [{ kind: 'site', field: 'launch', value: {} }], /has no address yet/],
    ['no icon', [{ kind: 'site', field: 'launch', value: {} }], /has no icon/],
    ['no picture for shared links', [{ kind: 'site', field: 'launch', value: {} }], /that are shared have no picture/],
    [
      'a price that readers are not told',
      [{ kind: 'page-field', page: page.id, values: { about: { kind: 'product', price: '98765', currency: 'EUR' } } }],
      /98765, stands nowhere on the page/,
    ],
    [
      'a place that readers are not told',
      [{ kind: 'page-field', page: page.id, values: { about: { kind: 'event', starts: '2027-01-09', place: 'Nowhere Hall' } } }],
      /“Nowhere Hall”, stands nowhere/,
    ],
  ])('%s is said', (_, edits, sentence) => {
    expect(eye()).not.toEqual(expect.arrayContaining([expect.stringMatching(sentence)]))
    expect(eye(...edits)).toEqual(expect.arrayContaining([expect.stringMatching(sentence)]))
  })

  test('an old year in the footer is said, and a new one is not', () => {
    const footer = page.sections.find((one) => one.job === 'footer')!
    const text = [...walkPage({ ...page, sections: [footer] })].find((block) => block.kind === 'text')!
    const year = (one: number): Edit => ({ kind: 'words', block: text.id, words: { en: [`© ${one} Hollin Ridge`] } })
    expect(eye(year(2024))).toEqual(expect.arrayContaining([expect.stringMatching(/says 2024, and it is 2026/)]))
    expect(eye(year(2026)).filter((one) => one.includes('footer'))).toEqual([])
  })

  test('what may stand twice does, and what is the end of one word and the next is none', () => {
    expect(wordTwice('She had had enough')).toBeUndefined()
    expect(wordTwice('This is it')).toBeUndefined()
    expect(wordTwice('a cold-cold night')).toBeUndefined()
    expect(wordTwice('in the The dome')).toBe('the')
  })
})

test.each([
  ['https://example.com/x', /stands for an address in examples/],
  ['http://localhost:3000', /stands for/],
  ['https://nights', /no host of the web/],
  ['mailto:nobody', /mail address/],
  ['tel:12', /telephone/],
  ['http://hollin-ridge.org', /without encryption/],
])('%s cannot be reached, or not well', (href, sentence) => {
  expect(outProblem(href)?.sentence).toMatch(sentence)
})

test.each(['https://hollin-ridge.org/a?b#c', 'mailto:dome@hollin-ridge.org?subject=Night', 'tel:+44 1234 567890', 'index.html#x'])(
  '%s may be right',
  (href) => {
    expect(outProblem(href)).toBeUndefined()
  },
)

describe('names and alternatives', () => {
  const picture = first('picture').id
  const said = (...edits: Edit[]) => {
    const after = edits.reduce((now, edit) => applyEdit(now, edit).site, site)
    return findingsOn(after, after.pages[0]!)
      .filter(isAboutAccess)
      .map((one) => `${one.fault ? 'fault' : 'eye'}: ${one.sentence}`)
  }
  const alt = (text: string | null): Edit => ({
    kind: 'field',
    block: picture,
    field: 'alt',
    value: text === null ? null : { en: text },
  })
  const words = (block: string, text: string): Edit => ({ kind: 'words', block, words: { en: [text] } })
  const plain: Edit = { kind: 'style', block: picture, scope: 'base', values: { position: 'flow' } }

  test('the demo page has none that say nothing', () => {
    expect(said()).toEqual([])
  })

  test.each<[string, Edit[], RegExp]>([
    ['a link that says nothing alone', [words(first('link').id, 'Read more')], /^eye: “Read more” does not say/],
    ['a file for an alternative', [alt('IMG_2041.jpg')], /^fault: .*name of a file/],
    ['a picture without one', [alt(null), plain], /^fault: .*no alternative text and is not marked as decoration/],
    ['letters of another script', [words(first('text').id, 'Обсерватория на холме, звёзды')], /in Cyrillic letters/],
  ])('%s is said', (_, edits, sentence) => {
    expect(said(...edits)).toEqual([expect.stringMatching(sentence)])
  })

  test('a picture that is marked as decoration, or lies behind other blocks, needs none', () => {
    expect(said(alt(''), plain)).toEqual([])
    expect(said(alt(null))).toEqual([])
  })

  test('one name for two places is said, and for the same place twice is not', () => {
    const [a, b] = blocks.filter((one) => one.kind === 'button').map((one) => one.id)
    const to = (block: string, href: string): Edit => ({ kind: 'field', block, field: 'link', value: { href } })
    const both = [words(a!, 'Book a place'), words(b!, 'Book a place')]
    expect(said(...both, to(a!, 'https://a.example.net.org'), to(b!, 'https://b.example.net.org'))).toEqual([
      expect.stringMatching(/lead to different places/),
    ])
    expect(said(...both, to(a!, 'https://a.example.net.org'), to(b!, 'https://a.example.net.org'))).toEqual([])
  })
})
