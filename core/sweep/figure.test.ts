import { describe, expect, test } from 'vitest'
import { worded } from '#core/site/made.fixture'
import { FIGURE, held } from './figure'
import { heldFigures } from './repairs/figures'

const figuresIn = (text: string) => [...text.matchAll(FIGURE)].map(([figure]) => figure)

describe('figures', () => {
  test.each([
    ['It costs £ 1,250 a night', ['£ 1,250']],
    ['Ab 1 250 € im Jahr', ['1 250 €']],
    ['Stay for 12 months or 3 nights', ['12 months', '3 nights']],
    ['Call +44 1642 555 017 or (01642) 555-018.', ['+44 1642 555 017', '(01642) 555-018']],
    ['Open 24/7 since 1987, for 12 monthsold', []],
  ])('of “%s” are %j', (text, figures) => expect(figuresIn(text)).toEqual(figures))

  test('are held together without another letter being touched', () => {
    expect(held('Pay £ 20 at the door, or call 01642 555-017.')).toBe('Pay £\u00a020 at the door, or call 01642\u00a0555\u2011017.')
  })

  test('are held together by a repair, in marked words as well', () => {
    const block = {
      ...worded('text', 'one', ''),
      words: { en: ['From ', { kind: 'strong', children: ['£ 20'] }, { kind: 'break' }] },
    }
    expect(heldFigures(block as never, 'en')).toEqual([
      {
        label: 'Break the line before the figure',
        edit: {
          kind: 'words',
          block: 'one',
          words: { en: ['From ', { kind: 'strong', children: ['£\u00a020'] }, { kind: 'break' }] },
        },
      },
    ])
  })
})
