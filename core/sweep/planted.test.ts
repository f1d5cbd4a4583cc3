import { expect, test } from 'vitest'
import type { Range } from '#core/analysis/finding'
import type { Block } from '#core/blocks/index'
import { siteOf } from '#core/site/made.fixture'
import { createFinder } from './find'
import { modelled, wideOf } from './model.fixture'
import { marginAt, notAsPlanted, pageOf, type Planted } from './planted.fixture'
import { isStraight } from './straight'
import { sweep } from './sweep'
import { stepAt, SWEPT, turningWidths } from './widths'

const PAGES = 200
const WIDTHS = Array.from({ length: SWEPT.to - SWEPT.from + 1 }, (_, i) => SWEPT.from + i)

/** The ranges of widths at which something is true. */
function rangesWhere(holds: (width: number) => boolean): Range[] {
  const at = new Set(WIDTHS.filter(holds))
  return [...at]
    .filter((from) => !at.has(from - 1))
    .map((from) => ({ from, to: WIDTHS.find((one) => one >= from && !at.has(one + 1))! }))
}

/** What is planted, with the widths at which a word does not fit as the model breaks it. */
function exact(planted: readonly Planted[], blocks: readonly Block[]): Planted[] {
  return planted.flatMap((one) => {
    if (one.to !== -1) return [one]
    const { words, style } = blocks.find(({ id }) => id === one.block) as Block & { words: { en: string[] } }
    const wide = wideOf(words.en[0]!, (style.base!.size as { value: number }).value)
    return rangesWhere((width) => wide > width - 2 * marginAt(width)).map((range) => ({ ...one, ...range }))
  })
}

test('faults in two hundred random pages are found at their very px, and none on them without', () => {
  const wrong: string[] = []
  const kinds = new Map<string, number>()
  for (let seed = 1; seed <= PAGES; seed++) {
    const { clean, broken, planted } = pageOf(seed)
    const site = siteOf('Both', [...clean, ...broken])
    const finder = createFinder(site, site.pages[0]!.sections)
    const run = sweep(SWEPT.from, SWEPT.to, stepAt, turningWidths(site.breakpoints), isStraight)
    let next = run.next()
    while (!next.done) {
      const seen = modelled(site.pages[0]!.sections, next.value)
      next = run.next({ keys: finder.look(seen), seen })
    }
    const wanted = exact(
      planted,
      broken.flatMap((one) => one.children),
    )
    for (const { kind } of wanted) kinds.set(kind, (kinds.get(kind) ?? 0) + 1)
    wrong.push(...notAsPlanted(finder.findings(next.value).findings, clean, wanted).map((one) => `${seed}${one}`))
  }
  expect(wrong).toEqual([])
  // Every kind was there, often enough to be tried.
  expect([...kinds.keys()].sort()).toEqual(['brokenWord', 'overEachOther', 'pastWindow', 'smallWords'])
  expect(Math.min(...kinds.values())).toBeGreaterThan(PAGES / 8)
})
