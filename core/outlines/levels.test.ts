import { describe, expect, test } from 'vitest'
import { asDeckText, documentHeadings } from './levels'

const none = () => false
const kinds = (text: string, foreign = true, isPage: (name: string) => boolean = none) =>
  documentHeadings(text, { isPage, foreign }).map((one) => `${one.text}: ${one.kind}`)

describe('the headings of a document', () => {
  test('one over all others is the page, those below it are sections', () => {
    expect(kinds('# Boatyard\n\nBy the river\n\n## Why row\n\n## Boats\n\n### The skiff\n\n### The punt')).toEqual([
      'Boatyard: page',
      'Why row: section',
      'Boats: section',
      'The skiff: entry',
      'The punt: entry',
    ])
  })

  test('of the first level that name sections’ jobs are sections, even if none is over them', () => {
    expect(kinds('# Opening\n\n# Prices\n\n# Something\n\n# Questions\n\n## When?')).toEqual([
      'Opening: section',
      'Prices: section',
      'Something: section',
      'Questions: section',
      'When?: heading',
    ])
  })

  test('that name pages of the site are pages', () => {
    expect(kinds('# Home\n\n## Prices\n\n# Winter\n\n## Chart', true, (name) => name === 'Winter')).toEqual([
      'Home: page',
      'Prices: section',
      'Winter: page',
      'Chart: section',
    ])
  })

  test('of a text that keeps to the conventions of the deck are taken as they are', () => {
    expect(kinds('# One\n\n## A\n\n### H\n\n### I\n\n#### E\n\n# Two\n\n## B', false)).toEqual([
      'One: page',
      'A: section',
      'H: heading',
      'I: heading',
      'E: entry',
      'Two: page',
      'B: section',
    ])
    expect(kinds('## A\n\nx\n\n## B', false)).toEqual(['A: section', 'B: section'])
  })
})

describe('a document as deck text', () => {
  test('is levelled by what its headings stand for; a section’s own name is its heading, the subtitle its first words', () => {
    const text = '# Boatyard\n\nBy the river\n\n## Why row with us\n\nWords.\n\n## Prices\n\n### What it costs\n\nMore.\n'
    const headings = documentHeadings(text, { isPage: none, foreign: true })
    expect(asDeckText(text, headings, true)).toBe(
      '# Boatyard\n\n## Why row with us\n\n### Why row with us\n\nBy the river\n\nWords.\n\n## Prices\n\n### What it costs\n\nMore.\n',
    )
  })

  test('that keeps to the conventions stays what it says', () => {
    const text = '# One\n\n## A\n\n### H\n\nWords.\n\n#### E\n\nMore.\n'
    expect(asDeckText(text, documentHeadings(text, { isPage: none, foreign: false }), false)).toBe(text)
    expect(asDeckText('No heading at all.', [], true)).toBe('No heading at all.')
  })

  test('follows what is changed by hand', () => {
    const text = '# A\n\nx\n\n# B\n\ny\n'
    const headings = documentHeadings(text, { isPage: none, foreign: true }).map((one) => ({ ...one, kind: 'entry' as const }))
    expect(asDeckText(text, headings, true)).toBe('#### A\n\nx\n\n#### B\n\ny\n')
  })
})
