import { expect, test } from 'vitest'
import { atEdges, hangsOnOthers } from './edges'
import type { WidthFinding } from './find'

const finding = (kind: WidthFinding['kind'], block: string, beside?: string): WidthFinding => ({
  ...{ kind, fault: true, block, section: block[0]!, sentence: '', worst: 280, ranges: [{ from: 280, to: 300 }] },
  ...(beside === undefined ? {} : { beside }),
})
/** Blocks are called by their section and a figure; those of `x` are gone. */
const sectionOf = (block: string) => (block[0] === 'x' ? undefined : block[0])
const seen = (section: string) => section === 'a' || section === 'b'

test('what was found within a section stays; what it had with the one that changed is what is found now', () => {
  const within = [finding('longLines', 'a1'), finding('overEachOther', 'a1', 'a2')]
  const withAnother = finding('overEachOther', 'a1', 'z1')
  const before = [...within, withAnother, finding('overEachOther', 'a1', 'b1'), finding('closeTargets', 'a2', 'x1')]
  const now = [finding('overEachOther', 'a1', 'a2'), finding('longLines', 'a1'), finding('closeTargets', 'a2', 'b2')]
  expect(atEdges(before, now, sectionOf, seen)).toEqual([...within, withAnother, finding('closeTargets', 'a2', 'b2')])
})

test('a target that became too close to one in the other section is found; one that was so is looked for again', () => {
  expect(atEdges([], [finding('smallTarget', 'a1')], sectionOf, seen)).toEqual([finding('smallTarget', 'a1')])
  expect(hangsOnOthers([finding('longLines', 'a1'), finding('smallTarget', 'a1')])).toBe(true)
  expect(hangsOnOthers([finding('longLines', 'a1')])).toBe(false)
})
