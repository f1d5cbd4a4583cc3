import { expect, test } from 'vitest'
import { element } from '#core/blocks/html'
import { eitherStyle, printable, xhtmlText } from './printable'

test('what may stand in no document is left out, and all else stays', () => {
  expect(printable('a\u0000b\u0008c\u001bd\u007fe\ufffff\ud800g')).toBe('abcdefg')
  expect(printable('Tea\n\t– 𝕏 é 日本')).toBe('Tea\n\t– 𝕏 é 日本')
})

test('words and styles end no section of the XML that they stand in', () => {
  const tree = element('body', {}, [
    element('style', {}, [{ type: 'text', value: eitherStyle('a::before{content:"]]></style><b>"}') }]),
    element('p', { title: ']]>' }, [{ type: 'text', value: 'x ]]> y' }]),
  ])
  const text = xhtmlText(tree)
  expect(text.match(/\]\]>/g)).toHaveLength(1)
  expect(text).not.toContain('</style><b>')
  expect(text).toContain('x ]]&gt; y')
})

test('in XML an attribute that only is there has a value all the same', () => {
  const button = element('button', { hidden: true, title: 'a b > c hidden', dataPause: '' }, [
    { type: 'text', value: 'x < y hidden' },
  ])
  expect(xhtmlText(element('div', {}, [button]))).toBe(
    '<div><button hidden="" title="a b > c hidden" data-pause="">x &#x3C; y hidden</button></div>',
  )
})
