import { expect, test } from 'vitest'
import { isHref, mendedHref } from './href'

test.each([
  'https://a.example',
  'https://',
  'mailto:',
  'HTTP://a.example/ü?x#y',
  'https://münchen.example/größe ä',
  'mailto:a@b.example?subject=Hello there',
  'tel:+44 20 7946 0000',
  '/',
  '/about.html',
  '#',
  '#visit',
  'about',
  'index.html#find-us',
])('%s is an address', (href) => expect(isHref(href)).toBe(true))

test.each([
  '',
  ' https://a.example',
  'https://a b.example/',
  'http:a.example',
  '//a.example',
  '/\\a.example',
  '/\t/a.example',
  'https://a.example/\r\nSet-Cookie: x',
  'javascript:alert(1)',
  'java\nscript:alert(1)',
  'data:text/html,x',
  'vbscript:x',
  'blob:x',
  '../up.html',
  'a.exe',
  '\u0000https://a.example',
])('%j is none', (href) => expect(isHref(href)).toBe(false))

test('what is mended is an address, whatever it was', () => {
  for (const one of ['//a', '///', '/\\/x', '\u0000', 'x y', '//[', '\\\\share', `/${'a'.repeat(3000)}`])
    expect(isHref(mendedHref(one))).toBe(true)
})

test('an address is one however often it is asked', () => {
  for (let i = 0; i < 20_000; i++) if (!isHref('https://münchen.example/größe')) throw new Error(`not at the ${i}th time`)
})
