import { JSDOM } from 'jsdom'
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

test('in XML no attribute has a sign that begins a tag, whatever words are in it', () => {
  const words = ['a < b', '<b x="1">', 'x="<"', "'<'", '< c="d" e', '&lt;', '<', 'a<b c="d<e']
  for (const said of words) {
    const select = element('select', { ariaLabel: said, disabled: true }, [
      element('option', { value: said }, [{ type: 'text', value: said }]),
    ])
    const text = xhtmlText(element('div', {}, [select]))
    // It throws where the text is no XML.
    const { document: read } = new JSDOM(text, { contentType: 'application/xml' }).window
    const option = read.querySelector('option')!
    expect([option.getAttribute('value'), option.textContent, read.querySelector('select')!.getAttribute('aria-label')]).toEqual([
      said,
      said,
      said,
    ])
  }
})
