import { expect, test } from 'vitest'
import { asResult, RESULT, resultWidth } from './result-width'

test('a text is as wide as its letters are in Arial', () => {
  // 722 + 556 + 222 + 222 + 556 thousandths of 20 px.
  expect(resultWidth('Hello', 20)).toBeCloseTo(45.56)
  expect(resultWidth('é', 20)).toBe(resultWidth('e', 20))
  expect(resultWidth('東', 20)).toBe(20)
  expect(resultWidth('', 20)).toBe(0)
})

test('what is too long is cut after a word, and fits then', () => {
  const long = 'Autumn nights at Hollin Ridge Observatory, under one of the darkest skies in the county'
  const { shown, isCut } = asResult(long, RESULT.title)
  expect(isCut).toBe(true)
  expect(long.startsWith(shown.replace(/ …$/, ''))).toBe(true)
  expect(resultWidth(shown, 20)).toBeLessThanOrEqual(600)
  expect(asResult('Short', RESULT.title)).toEqual({ shown: 'Short', isCut: false })
})
