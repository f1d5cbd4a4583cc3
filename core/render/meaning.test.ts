import { toHtml } from 'hast-util-to-html'
import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block, BlockOf } from '#core/blocks/index'
import { deckOf } from '#core/deck/deck'
import { printDeck } from '#core/deck/print'
import { deckLinks } from '#core/deck/links'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { testIds } from '#core/values/ids.fixture'
import type { Span } from '#core/values/words'
import { createRenderer } from './page'
import { printRules } from './rules'
import { printSite } from './site'
import { pageFile } from './own-links'

const makeId = testIds()
const made = <K extends 'table' | 'group' | 'text' | 'heading' | 'field' | 'form' | 'picture'>(kind: K, more: object = {}): Block =>
  ({ ...newBlock(kind, makeId), style: {}, ...more }) as Block
const words = (...spans: Span[]) => ({ words: { en: spans } })
const siteOf = (section: Partial<BlockOf<'section'>>, ...children: Block[]): Site => {
  const site = newSite('Test', makeId)
  return {
    ...site,
    pages: [{ ...site.pages[0]!, sections: [{ ...newSection('opening', makeId), style: {}, ...section, children }] }],
  }
}
const rendered = (site: Site) =>
  createRenderer({
    language: 'en',
    editing: false,
    viewportUnit: 'unit',
    addresses: { picture: () => '', link: () => '#', form: () => '#' },
  })(site, site.pages[0]!)
const htmlOf = (...children: Block[]) => toHtml(rendered(siteOf({}, ...children))[0]!.element.children)
const printed = (site: Site) =>
  printSite(site, {
    style: 'minified',
    addresses: { picture: () => 'p.webp', page: pageFile, form: () => '#', stylesheet: 'style.css', font: (font) => font.name },
  })

const NIGHTS: Span[] = [
  'Time | What | Seats',
  { kind: 'break' },
  '19:00 | Doors, and ',
  { kind: 'strong', children: ['tea'] },
  ' | 40',
  { kind: 'break' },
  '21:30 | The Moon | 8',
]

describe('a table', () => {
  test('has its cells, heads and caption; columns of figures are marked, and cells labelled', () => {
    const html = htmlOf(made('table', { ...words(...NIGHTS), head: 'both', caption: { en: 'A night' } }))
    expect(html).toBe(
      '<div class="rows"><table><caption>A night</caption><thead><tr><th scope="col">Time</th><th scope="col">What</th><th scope="col" class="figures">Seats</th></tr></thead>' +
        '<tbody><tr><th scope="row">19:00</th><td data-label="What">Doors, and <strong>tea</strong></td><td class="figures" data-label="Seats">40</td></tr>' +
        '<tr><th scope="row">21:30</th><td data-label="What">The Moon</td><td class="figures" data-label="Seats">8</td></tr></tbody></table></div>',
    )
  })

  test('is left out without words, and takes rows of any length', () => {
    expect(htmlOf(made('table'))).toBe('')
    expect(htmlOf(made('table', { ...words('a | b', { kind: 'break' }, 'c'), head: 'none' }))).toContain(
      '<tr><td>c</td><td></td></tr>',
    )
  })

  test('scrolls under a name and within reach of the keyboard; stacks its rows in a range, and back', () => {
    const site = siteOf({}, made('table', { ...words(...NIGHTS), style: { base: { rows: 'scroll' } } }))
    expect(toHtml(rendered(site)[0]!.element)).toMatch(/<div class="rows [\w-]+" tabindex="0" role="region" aria-label="Table">/)
    const [, middle, narrow] = site.breakpoints.map((one) => one.id) as [string, string, string]
    const stacked = siteOf(
      {},
      made('table', { ...words(...NIGHTS), style: { below: { [middle]: { rows: 'stack' }, [narrow]: { rows: 'whole' } } } }),
    )
    const css = printRules(
      rendered(stacked).flatMap((one) => one.rules),
      'minified',
    )
    expect(css).toMatch(/@media\(width<1024px\)\{\.\S+ :is\(table, ?caption, ?tbody/)
    expect(css).toMatch(/attr\(data-label\)/)
    expect(css).toMatch(/@media\(width<640px\)\{.*display:revert/)
  })

  test('is one table in the copy deck', () => {
    const site = siteOf({}, made('table', words(...NIGHTS)))
    const { text } = printDeck(deckOf(site, 'en'), deckLinks(site))
    expect(text).toContain(
      '| Time | What | Seats |\n| --- | --- | --- |\n| 19:00 | Doors, and **tea** | 40 |\n| 21:30 | The Moon | 8 |',
    )
  })
})

describe('a group', () => {
  const entry = (name: string, said: string) =>
    made('group', { children: [made('heading', { ...words(name), level: 3 }), made('text', words(said))] })

  test('is a list whose groups are its items, and whatever else stands in one', () => {
    const html = htmlOf(
      made('group', { element: 'ol', label: { en: 'Steps' }, children: [entry('Book', 'Online.'), made('text', words('Come'))] }),
    )
    expect(html).toMatch(
      /^<ol class="plain[^"]*" aria-label="Steps"><li[^>]*><h3[^>]*>Book<\/h3><p>Online\.<\/p><\/li><li class="bare"><p>Come<\/p><\/li><\/ol>$/,
    )
  })

  test('is a list of terms, each with what is said of it', () => {
    const html = htmlOf(made('group', { element: 'dl', children: [entry('Dome', 'Turns.'), entry('Mirror', 'Gathers light.')] }))
    expect(html).toMatch(/^<dl[^>]*><div[^>]*><dt[^>]*>Dome<\/dt><dd[^>]*>Turns\.<\/dd><\/div><div/)
  })

  test('is a figure with its caption, which outside of one is a paragraph', () => {
    const caption = made('text', { ...words('The dome'), caption: true })
    expect(htmlOf(made('group', { element: 'figure', children: [caption] }))).toMatch(
      /<figure[^>]*><figcaption>The dome<\/figcaption><\/figure>/,
    )
    expect(htmlOf(caption)).toBe('<p>The dome</p>')
  })
})

test('words that name a time say it to machines', () => {
  expect(htmlOf(made('text', { ...words('Friday at eight'), time: '2026-10-02T20:00' }))).toBe(
    '<p><time datetime="2026-10-02T20:00">Friday at eight</time></p>',
  )
})

test('a section with a name is a landmark without a heading as well', () => {
  const site = siteOf({ label: { en: 'Tonight' } }, made('text', words('Clear')))
  expect(toHtml(rendered(site)[0]!.element)).toMatch(/^<section class="band[^"]*" id="opening" aria-label="Tonight">/)
})

describe('choices of a form', () => {
  const options = { en: ['Friday', 'Saturday'] }
  const formOf = (more: object) =>
    htmlOf(made('form', { children: [made('field', { ...words('Night'), required: true, options, ...more })] }))

  test('one or several are a set of its own, each with its label', () => {
    expect(formOf({ input: 'one' })).toContain(
      '<fieldset class="field"><legend>Night</legend><label class="choice"><input type="radio" name="night" value="Friday" required><span>Friday</span></label>',
    )
    expect(formOf({ input: 'several' })).toContain('<input type="checkbox" name="night" value="Saturday"><span>')
  })

  test('a list begins with no choice, and consent is a box to tick', () => {
    expect(formOf({ input: 'list' })).toContain(
      '<select name="night" required><option value=""></option><option value="Friday">Friday</option><option value="Saturday">Saturday</option></select>',
    )
    expect(formOf({ input: 'consent' })).toContain(
      '<label class="field choice"><input type="checkbox" name="night" value="yes" required><span>Night</span></label>',
    )
  })
})

test('a page with a header begins with a link past it, in its own language where we have it', () => {
  const site = siteOf({}, made('text', words('Clear')))
  const header = { ...newSection('header', makeId), children: [made('text', words('Test'))] }
  const headed = (language: string): Site => ({
    ...site,
    language,
    pages: [{ ...site.pages[0]!, sections: [header, ...site.pages[0]!.sections] }],
  })
  expect(printed(headed('de')).pages[0]!.html).toContain('<body><a class="skip" href="#main">Zum Inhalt</a><header')
  expect(printed(headed('eu')).pages[0]!.html).toContain('<a class="skip" href="#main" lang="en">Skip to the content</a>')
  expect(printed(headed('de')).css).toContain('.skip:not(:focus)')
  expect(printed(site).pages[0]!.html).not.toContain('skip')
})
