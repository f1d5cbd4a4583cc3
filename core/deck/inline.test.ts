import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { MARKS, plainText, type Span } from '#core/values/words'
import { fromPhrasing, toPhrasing, withoutEndBreaks } from './inline'

const leaf = fc.stringMatching(/^[a-z]{1,6}$/)
const spans: fc.Arbitrary<Span[]> = fc.letrec<{ span: Span; list: Span[] }>((tie) => ({
  span: fc.oneof(
    { depthSize: 'small' },
    leaf,
    fc.constant<Span>({ kind: 'break' }),
    fc.record({ kind: fc.constantFrom(...MARKS), children: tie('list') }),
    fc.record({ kind: fc.constant('link' as const), href: fc.constant('https://a.example'), children: tie('list') }),
  ) as fc.Arbitrary<Span>,
  list: fc.array(tie('span'), { minLength: 1, maxLength: 3 }),
})).list

describe('words as inline Markdown', () => {
  test('come back with the words that they had', () => {
    fc.assert(
      fc.property(spans, (words) => {
        expect(plainText(fromPhrasing(toPhrasing(words)))).toBe(plainText(words))
      }),
    )
  })

  test('are the same after a second way through', () => {
    fc.assert(
      fc.property(spans, (words) => {
        const once = fromPhrasing(toPhrasing(words))
        expect(fromPhrasing(toPhrasing(once))).toEqual(once)
      }),
    )
  })

  test.each<[string, Span[]]>([
    ['a highlight', ['a ', { kind: 'highlight', children: ['b'] }, ' c']],
    ['a link that is strong', [{ kind: 'link', href: 'https://a.example', children: [{ kind: 'strong', children: ['b'] }] }]],
    ['a break within emphasis', [{ kind: 'emphasis', children: ['a', { kind: 'break' }, 'b'] }]],
  ])('%s stays what it is', (_, words) => expect(fromPhrasing(toPhrasing(words))).toEqual(words))

  test('line ends are spaces; code, pictures and other HTML give their text or nothing', () => {
    expect(
      fromPhrasing([
        { type: 'text', value: 'a\nb ' },
        { type: 'inlineCode', value: 'c' },
        { type: 'image', url: 'x.png', alt: ' d' },
        { type: 'html', value: '<script>' },
        { type: 'link', url: 'javascript:alert(1)', children: [{ type: 'text', value: ' e' }] },
      ]),
    ).toEqual(['a b c d e'])
  })
})

test('breaks at the ends of words part nothing', () => {
  const line = { kind: 'break' } as const
  expect(withoutEndBreaks([line, 'one', line, 'two', line])).toEqual(['one', line, 'two'])
  expect(withoutEndBreaks([line])).toEqual([])
})
