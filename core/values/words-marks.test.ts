import fc from 'fast-check'
import { expect, test } from 'vitest'
import { hrefSchema } from './href'
import { plainText, type Span } from './words'
import { fromMarked, toMarked } from './words-marks'

const { spans } = fc.letrec<{ spans: Span[]; span: Span }>((tie) => ({
  span: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.string({ minLength: 1, maxLength: 8 }),
    fc.constant<Span>({ kind: 'break' }),
    fc.record({
      kind: fc.constantFrom('emphasis' as const, 'strong' as const, 'struck' as const, 'highlight' as const),
      children: tie('spans'),
    }),
    fc.record({
      kind: fc.constant('link' as const),
      href: fc.constantFrom('https://a.example', '#b'),
      children: tie('spans'),
    }),
  ),
  spans: fc.array(tie('span'), { maxLength: 4 }),
}))

test('a trip through marked text keeps the words and their marks', () => {
  fc.assert(
    fc.property(spans, (tree) => {
      const once = fromMarked(toMarked(tree))
      expect(plainText(once)).toBe(plainText(tree))
      expect(fromMarked(toMarked(once))).toEqual(once)
    }),
  )
})

test('neighbours with the same mark share one span', () => {
  const list = toMarked(['a ', { kind: 'strong', children: ['b', { kind: 'emphasis', children: ['c'] }] }])
  expect(fromMarked(list)).toEqual(['a ', { kind: 'strong', children: ['b', { kind: 'emphasis', children: ['c'] }] }])
})

test.each(['javascript:alert(1)', 'data:text/html,x', ' javascript:x', 'vbscript:x', 'java\nscript:x'])(
  'a link to %s is refused',
  (href) => {
    expect(hrefSchema.safeParse(href).success).toBe(false)
  },
)

test.each(['https://a.example/b', 'mailto:a@b.example', 'tel:+44', '/a', '#b', 'index.html#c'])('a link to %s is taken', (href) => {
  expect(hrefSchema.safeParse(href).success).toBe(true)
})
