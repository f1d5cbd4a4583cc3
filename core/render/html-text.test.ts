import type { Root } from 'hast'
import { toHtml } from 'hast-util-to-html'
import { fromHtml } from 'hast-util-from-html'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { element } from '#core/blocks/html'
import { htmlText } from './html-text'

const plain = (html: string) =>
  JSON.parse(JSON.stringify(fromHtml(html, { fragment: true }), (key, value: unknown) => (key === 'position' ? undefined : value)))

const text = fc.string({ unit: fc.constantFrom('a', ' ', '<', '>', '&', '"', "'", '&amp;', '</p>', 'é', '’') })

test('what is printed is read back as the same tree as that of a printer of any tree', () => {
  const leaf = text.map((value) => ({ type: 'text' as const, value }))
  const properties = fc.record(
    {
      className: fc.array(fc.constantFrom('band', 'opening-heading'), { minLength: 1 }),
      title: text,
      dataBlock: fc.constant('b1'),
      hidden: fc.boolean(),
      ariaLabel: text,
    },
    { requiredKeys: [] },
  )
  const tree = fc.letrec((tie) => ({
    node: fc.oneof(
      { maxDepth: 4 },
      leaf,
      fc
        .tuple(fc.constantFrom('div', 'span', 'section'), properties, fc.array(tie('node'), { maxLength: 4 }))
        .map(([tag, attributes, children]) => element(tag, attributes, children as never)),
      fc.constant(element('img', { src: 'a.webp', srcSet: 'a.webp 1w, b.webp 2w', alt: '' }, [])),
      fc.constant(element('svg', { viewBox: '0 0 24 24', strokeWidth: '1.5' }, [element('path', { d: 'M0 0' }, [])])),
      fc.constant(element('br', {}, [])),
    ),
  })).node
  fc.assert(
    fc.property(fc.array(tree, { maxLength: 4 }), (children) => {
      const root = { type: 'root', children } as Root
      expect(plain(htmlText(root))).toEqual(plain(toHtml(root)))
    }),
  )
})

test('styles and doctypes are printed as they are, nothing else unescaped', () => {
  const style = element('style', {}, [{ type: 'text', value: 'a>b{content:"<"}' }])
  expect(htmlText({ type: 'root', children: [{ type: 'doctype' }, style, { type: 'text', value: '<b>' }] })).toBe(
    '<!doctype html><style>a>b{content:"<"}</style>&lt;b&gt;',
  )
})
