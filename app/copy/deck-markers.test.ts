import { expect, test } from 'vitest'
import { emptyMarkerAt } from './deck-markers'

test('a line of nothing but markers ends with one that is left by Enter', () => {
  const cases: [string, number][] = [
    ['>', 0],
    ['> ', 0],
    ['- ', 0],
    ['* ', 0],
    ['1. ', 0],
    ['12) ', 0],
    ['- [ ] ', 0],
    ['> > ', 2],
    ['> - ', 2],
    ['  - ', 2],
  ]
  for (const [text, at] of cases) expect([text, emptyMarkerAt(text)]).toEqual([text, at])
})

test('a line with words, a figure or nothing is left alone', () => {
  for (const text of ['', '  ', '> word', '- word', '1.5', '12', 'x', '-', '- -5 -x']) {
    const at = emptyMarkerAt(text)
    expect([text, text === '-' ? 0 : -1]).toEqual([text, at])
  }
})
