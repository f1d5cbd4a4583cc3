import { describe, expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import { BLOCK_KINDS, blockSchema, kindOf, mayHold } from '#core/blocks/index'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import { DEFAULT_BREAKPOINTS } from './defaults'
import { idMaker } from '#core/values/ids'
import { testIds } from '#core/values/ids.fixture'
import { breakpointsSchema } from '#core/grid/breakpoint'
import { findBlock, picturesById, walkPage, withNewIds } from './tree'
import { hasWords, isContainer, walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'

const site = demoSite()
const page = site.pages[0]!
const makeId = testIds()

describe('finding a block', () => {
  test('gives where each one stands: indexes from the page down, and what holds it', () => {
    for (const block of walkPage(page)) {
      const place = findBlock(site, block.id)!
      expect(place.block).toBe(block)
      const [first, ...rest] = place.path
      let at = page.sections[first!] as typeof place.block
      for (const index of rest) at = isContainer(at) ? at.children[index]! : at
      expect(at).toBe(block)
      expect(place.ancestors).toHaveLength(place.path.length - 1)
    }
  })

  test('says so when it is gone, also after an edit', () => {
    expect(findBlock(site, 'nowhere')).toBeUndefined()
    const block = [...walkPage(page)].find((one) => one.kind === 'icon')!
    const next = applyEdit(site, { kind: 'remove', blocks: [block.id] }).site
    expect(findBlock(next, block.id)).toBeUndefined()
    expect(findBlock(site, block.id)?.block).toBe(block)
  })
})

describe('blocks', () => {
  test('are walked in reading order, each once', () => {
    const ids = [...walkPage(page)].map((one) => one.id)
    expect(new Set(ids).size).toBe(ids.length)
    expect([...walk(page.sections[0]!)][0]).toBe(page.sections[0])
  })

  test.each(BLOCK_KINDS)('a new %s is valid as it is, and holds what it may', (kind) => {
    const block = newBlock(kind, makeId)
    expect(blockSchema.safeParse(block).success).toBe(true)
    expect(isContainer(block)).toBe(kindOf(kind).holds !== undefined)
    expect(hasWords(block)).toBe(kindOf(kind).passage !== undefined)
    expect(BLOCK_KINDS.some((other) => mayHold(kind, other))).toBe(isContainer(block))
    if (isContainer(block)) for (const child of block.children) expect(mayHold(kind, child.kind)).toBe(true)
  })

  test('get new ids throughout when they are copied, and keep all else', () => {
    const [section] = page.sections
    const copy = withNewIds(section!, makeId)
    const ids = (block: typeof copy) => [...walk(block)].map((one) => one.id)
    expect(ids(copy)).toHaveLength(ids(section!).length)
    expect(ids(copy).some((id) => ids(section!).includes(id))).toBe(false)
    const words = (block: typeof copy) => [...walk(block)].filter(hasWords).map((one) => plainText(one.words.en ?? []))
    expect(words(copy)).toEqual(words(section!))
  })
})

test('ids are eight letters or figures, from the source that is given', () => {
  expect(idMaker(() => 0)()).toBe('00000000')
  expect(idMaker(() => 0.999)()).toBe('zzzzzzzz')
  expect(makeId()).toMatch(/^[a-z0-9]{8}$/)
})

test('pictures are found by id', () => {
  expect(picturesById(site).get('moon')?.name).toBe('moon.jpg')
})

describe('breakpoints', () => {
  const [wide, middle, narrow] = DEFAULT_BREAKPOINTS
  test.each([
    ['run from wide to narrow', [wide, middle, narrow], true],
    ['may be the base alone', [wide], true],
    ['need a base', [middle, narrow], false],
    ['have only one base', [wide, { ...wide, id: 'other' }], false],
    ['do not run from narrow to wide', [wide, narrow, middle], false],
    ['do not have one width twice', [wide, middle, { ...middle, id: 'other' }], false],
    ['are at least one', [], false],
  ])('%s', (_, list, valid) => {
    expect(breakpointsSchema.safeParse(list).success).toBe(valid)
  })
})
