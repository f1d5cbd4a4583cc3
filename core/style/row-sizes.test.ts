import { describe, expect, test } from 'vitest'
import { parseRowSizes, rowSizesCss, rowSizesText } from './row-sizes'

describe('rows of a grid', () => {
  test('are typed as sizes, shares and content, and printed as they are read', () => {
    const rows = parseRowSizes('200 px, content; 1.5fr, 40vh, 80')!
    expect(rowSizesText(rows)).toBe('200 px, content, 1.5 fr, 40 vh, 80 px')
    expect(rowSizesCss(rows)).toBe('200px auto 1.5fr 40vh 80px')
    expect(parseRowSizes(rowSizesText(rows))).toEqual(rows)
  })

  test.each(['', '200 px,', '-3 px', '1e9 px', 'NaN', 'tall', Array(13).fill('1 fr').join()])('“%s” is none', (text) => {
    expect(parseRowSizes(text)).toBeUndefined()
  })
})
