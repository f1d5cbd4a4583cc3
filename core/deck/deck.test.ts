import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newSite } from '#core/site/defaults'
import { demoSite } from '#core/edits/edits.fixture'
import { ROLES, type Role } from '#core/values/passage-role'
import { plainText, type Span } from '#core/values/words'
import { allWords, makeId, textOf, withDeck } from './deck.fixture'
import { deckOf } from './deck'
import { deckLinks } from './links'
import { parseDeck } from './parse'
import type { Deck, Passage } from './passage'
import { printDeck } from './print'
import { wordsAs } from '#core/reconcile/reconcile'

const empty = newSite('Empty', makeId)
const links = deckLinks(empty)
const parse = (text: string) => parseDeck(text, links)
const passagesOf = (text: string) => parse(`# P\n\n## S\n\n${text}`).pages[0]!.sections[0]!.passages
const brief = (text: string) => passagesOf(text).map(({ role, entry, words }) => `${entry} ${role}: ${plainText(words)}`)

describe('the conventions of the deck', () => {
  test('headings name page, section, heading and entry; what stands over a heading belongs to its entry', () => {
    expect(parse('# Autumn\n\n## Opening\n\n## Reasons\n\n# Winter').pages).toMatchObject([
      { name: 'Autumn', sections: [{ name: 'Opening' }, { name: 'Reasons' }] },
      { name: 'Winter', sections: [] },
    ])
    expect(brief('*Public evenings*\n\n### Bring a coat\n\nWords.\n\n*19:30*\n\n#### Doors\n\nTea.\n\n---\n\nEnd.')).toEqual([
      '0 eyebrow: Public evenings',
      '0 heading: Bring a coat',
      '0 text: Words.',
      '1 eyebrow: 19:30',
      '1 heading: Doors',
      '1 text: Tea.',
      '0 text: End.',
    ])
  })

  test('links on a line of their own are calls to action; in a list they are links', () => {
    expect(passagesOf('[Book](https://a.example) [Ask](mailto:b@a.example)')).toMatchObject([
      { role: 'call', words: ['Book'], link: { href: 'https://a.example' } },
      { role: 'call', words: ['Ask'], link: { href: 'mailto:b@a.example' } },
    ])
    expect(passagesOf('- [Why](https://a.example)\n- one\n- [ ] Mail address')).toMatchObject([
      { role: 'link' },
      { role: 'item', words: ['one'] },
      { role: 'label', words: ['Mail address'] },
    ])
    expect(passagesOf('[Run](javascript:alert(1))')[0]).not.toHaveProperty('link')
  })

  test('quotes have their source on a line that begins with a dash, and each begins an entry', () => {
    expect(brief('> I saw Saturn.\n>\n> — Ada, ten\n\n> Cold feet,\n> warm heart.\n> — B.')).toEqual([
      '1 quote: I saw Saturn.',
      '1 source: Ada, ten',
      '2 quote: Cold feet, warm heart.',
      '2 source: B.',
    ])
  })

  test('plans are rows of a table, or a heading with a row of price and term', () => {
    const rows = ['1 heading: Single', '1 price: £24', '1 term: a year']
    expect(brief('| Plan | Price | Term |\n|---|---|---|\n| Single | £24 | a year |')).toEqual(rows)
    expect(brief('#### Single\n\n| £24 | a year |')).toEqual(rows)
  })

  test('marks, links and line breaks stay; HTML and pictures do not come in', () => {
    const [one] = passagesOf('Very **dark**, ~~not~~ *so* [far](https://a.example)\\\naway <mark>here</mark> <script>x</script>')
    expect(one!.words).toEqual([
      'Very ',
      { kind: 'strong', children: ['dark'] },
      ', ',
      { kind: 'struck', children: ['not'] },
      ' ',
      { kind: 'emphasis', children: ['so'] },
      ' ',
      { kind: 'link', href: 'https://a.example', children: ['far'] },
      { kind: 'break' },
      'away ',
      { kind: 'highlight', children: ['here'] },
      ' x',
    ])
  })
})

const word = fc.stringMatching(/^[a-zA-Zé0-9#*_|>~.!-]{1,8}$/)
const phrase = fc.array(word, { minLength: 1, maxLength: 4 }).map((list) => list.join(' '))
const spans: fc.Arbitrary<Span[]> = fc
  .tuple(phrase, fc.option(fc.tuple(fc.constantFrom('strong', 'struck', 'highlight'), phrase)))
  .map(([before, marked]): Span[] => (marked ? [`${before} `, { kind: marked[0] as 'strong', children: [marked[1]] }] : [before]))
const passages: fc.Arbitrary<Passage[]> = fc.array(
  fc.record({
    role: fc.constantFrom(...ROLES.filter((role) => role !== 'source')),
    words: spans,
    entry: fc.constant(0),
  }),
  { maxLength: 6 },
)

test('what is printed is read back: the same words in the same roles', () => {
  fc.assert(
    fc.property(passages, (list) => {
      const deck: Deck = { pages: [{ name: 'Page', sections: [{ name: 'Section', passages: list }] }] }
      const back = parse(printDeck(deck, links).text).pages[0]!.sections[0]!.passages
      const plain = (all: readonly Passage[]) => all.map(({ role, words }) => [role, plainText(words).replace(/\s+/g, ' ').trim()])
      expect(plain(back)).toEqual(plain(list))
    }),
    { numRuns: 300 },
  )
})

describe('a site and its deck', () => {
  const site = demoSite()
  test('the deck has every word of the pages, under their pages and sections', () => {
    const text = textOf(site)
    expect(text).toMatch(/^# Autumn nights\n\n## Header\n/)
    expect(text).toContain('### Bring a coat. We will bring the galaxies.')
    for (const words of allWords(site)) expect(plainText([text.replace(/\\/g, '')])).toContain(words.split(/[*_[\]|]/)[0]!)
  })

  test('its own text changes nothing', () => {
    expect(withDeck(site, textOf(site))).toBe(site)
  })

  test('typing in one passage changes that slot alone', () => {
    const next = withDeck(site, textOf(site).replace('Bring a coat. We', 'Bring two coats. We'))
    const changed = next.pages[0]!.sections.filter((section, i) => section !== site.pages[0]!.sections[i])
    expect(changed.map((one) => one.job)).toEqual(['opening'])
    expect(textOf(next)).toContain('### Bring two coats. We')
    expect(next.unplaced).toEqual([])
  })

  test('a renamed section is renamed, a new paragraph waits unplaced in its order, and goes when it is deleted', () => {
    const renamed = withDeck(site, textOf(site).replace('## Plan', '## How a night goes'))
    expect(renamed.pages[0]!.sections.map((one) => one.name)).toContain('How a night goes')
    const once = withDeck(site, textOf(site).replace('\n## Plan', '\nFirst new.\n\n## Plan'))
    const twice = withDeck(once, textOf(once).replace('First new.', 'First new.\n\nThird new.'))
    const thrice = withDeck(twice, textOf(twice).replace('Third new.', 'Second new.\n\nThird new.'))
    expect(thrice.unplaced.map((one) => one.words.en)).toEqual([['First new.'], ['Second new.'], ['Third new.']])
    expect(thrice.unplaced[0]).toMatchObject({ sectionName: 'Reasons', role: 'text', section: site.pages[0]!.sections[2]!.id })
    expect(withDeck(thrice, textOf(site)).unplaced).toEqual([])
  })

  test('emptied slots take new words of their role again', () => {
    const without = withDeck(site, textOf(site).replace(/### Bring a coat.*\n\n/, ''))
    expect(textOf(without)).not.toContain('Bring a coat. We will')
    const back = withDeck(without, textOf(site))
    expect(textOf(back)).toBe(textOf(site))
    expect(back.unplaced).toEqual([])
  })

  test('links to pages are written as addresses and read back', () => {
    const { read, write } = deckLinks(site)
    const page = site.pages[0]!
    const link = { page: page.id, section: page.sections[2]!.id }
    expect(read(write(link))).toEqual(link)
    expect(read(write({ page: page.id }))).toEqual({ page: page.id })
    expect(read('mailto:a@b.example')).toEqual({ href: 'mailto:a@b.example' })
    expect(read('javascript:alert(1)')).toBeUndefined()
  })

  test('words of pages and sections that are not there are kept under their names', () => {
    const next = withDeck(site, `${textOf(site)}\n# Another page\n\n## Opening\n\n### Hello\n`)
    expect(next.unplaced).toMatchObject([{ pageName: 'Another page', sectionName: 'Opening', role: 'heading' }])
    expect(textOf(next)).toContain('# Another page\n\n## Opening\n\n### Hello')
    expect(deckOf(next, 'en').pages).toHaveLength(site.pages.length + 1)
  })

  test('words that wait for a section follow its name, and go when it is taken out of the text', () => {
    const waiting = withDeck(site, textOf(site).replace('\n## Plan', '\n## Offer\n\n### Words\n\nMore.\n\n## Plan'))
    const renamed = withDeck(waiting, textOf(waiting).replace('## Offer', '## Offers'))
    expect(renamed.unplaced.map((one) => [one.sectionName, one.words.en])).toEqual([
      ['Offers', ['Words']],
      ['Offers', ['More.']],
    ])
    expect(renamed.pages).toEqual(site.pages)
    expect(withDeck(renamed, textOf(site))).toEqual(site)
  })

  test('an imported deck takes no word away: what it lacks is kept unplaced', () => {
    const before = allWords(site)
    const next = withDeck(site, '# Autumn nights\n\n## Opening\n\n- Quite another thing', 'keep')
    for (const words of before) expect(allWords(next)).toContain(words)
    expect(allWords(next)).toContain('Quite another thing')
  })
})

const texts = fc.array(fc.constantFrom(...'#*->|[]()~_`\\ \n ab'.split(''), '\n\n## ', '\n### ', '<b>', '—'), { maxLength: 60 })
test('any text is some deck, and bringing a site to it twice is bringing it once', () => {
  fc.assert(
    fc.property(texts, (list) => {
      const text = list.join('')
      const once = withDeck(empty, text)
      expect(textOf(withDeck(once, textOf(once)))).toBe(textOf(once))
    }),
    { numRuns: 200 },
  )
})

test.each<[Role, Role, Span[]]>([
  ['eyebrow', 'text', [{ kind: 'emphasis', children: ['x'] }]],
  ['text', 'item', ['x']],
])('words written as %s become those of a %s', (was, role, expected) => {
  expect(wordsAs(role, { role: was, entry: 0, words: ['x'] })).toEqual(expected)
})
