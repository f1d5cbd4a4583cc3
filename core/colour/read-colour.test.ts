import { expect, test } from 'vitest'
import { readHex } from './read-colour'

test('a colour is read as CSS writes it, with or without its sign, and is six figures then', () => {
  for (const [text, hex] of [
    ['#000', '#000000'],
    ['000', '#000000'],
    ['#1a1d47', '#1A1D47'],
    ['1a1d47', '#1A1D47'],
    [' navy ', '#000080'],
    ['rgb(255 0 0)', '#FF0000'],
    ['hsl(120 100% 50%)', '#00FF00'],
    ['#FFFF', '#FFFFFF'],
  ])
    expect([text, readHex(text!)]).toEqual([text, hex])
})

test('what is no colour, and what lets others through, is not one', () => {
  for (const text of ['', '#', '#12', '12345', 'reed', 'transparent', '#00000080', 'rgb(0 0 0 / 0.5)', 'url(#a)'])
    expect([text, readHex(text)]).toEqual([text, undefined])
})
