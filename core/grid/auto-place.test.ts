import { expect, test } from 'vitest'
import { autoColumns } from './auto-place'

const free = (span: number) => ({ span, start: null })
const at = (start: number, span: number) => ({ span, start })

test('items stand one after the other, and begin another row where there is no room', () => {
  expect(autoColumns([free(4), free(4), free(4), free(4)], 12)).toEqual([1, 5, 9, 1])
  expect(autoColumns([free(7), free(7), free(5)], 12)).toEqual([1, 1, 8])
  expect(autoColumns([free(24), free(3)], 12)).toEqual([1, 1])
})

test('one that says where it begins is followed from there', () => {
  expect(autoColumns([at(3, 4), free(4), free(4)], 12)).toEqual([3, 7, 1])
  expect(autoColumns([free(6), at(2, 3), free(3)], 12)).toEqual([1, 2, 5])
})
