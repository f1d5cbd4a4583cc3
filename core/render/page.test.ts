import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { newPage } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { type Block, type Section, sharedClass } from '#core/blocks/index'
import { element } from '#core/blocks/html'
import { pageBody } from './page'
import { renderWords } from '#core/blocks/words-html'

const makeId = testIds()

/** Tags of a body whose sections have these jobs; what stands in `main` in brackets. */
function bodyOf(...jobs: Section['job'][]): string {
  const sections = jobs.map((job) => newSection(job, makeId))
  const page = { ...newPage(makeId, 'Page', ''), sections }
  const printed = sections.map((section) => ({ id: section.id, element: element(section.job, {}, []), rules: [] }))
  return pageBody(page, printed)
    .map((one) =>
      one.tagName === 'main'
        ? `[${one.children.map((child) => ('tagName' in child ? child.tagName : '')).join(' ')}]`
        : one.tagName,
    )
    .join(' ')
}

describe('landmarks', () => {
  test.each<[Section['job'][], string]>([
    [['header', 'opening', 'reasons', 'footer'], 'header [opening reasons] footer'],
    [['opening'], '[opening]'],
    [[], '[]'],
    [['header', 'header', 'opening', 'footer', 'footer'], 'header header [opening] footer footer'],
    [['opening', 'header', 'reasons'], '[opening header reasons]'],
    [['header', 'footer'], 'header [] footer'],
  ])('of %j are %s', (jobs, body) => {
    expect(bodyOf(...jobs)).toBe(body)
  })
})

describe('the class that a block shares', () => {
  const of = (block: Partial<Block>) => sharedClass({ ...newBlock('text', makeId), ...block } as Block)

  test.each<[Partial<Block>, string]>([
    [newSection('story', makeId), 'band'],
    [{ ...newBlock('heading', makeId), level: 1 }, 'heading-1'],
    [{ ...newBlock('heading', makeId), level: 6 }, 'heading-4'],
    [{ ...newBlock('heading', makeId), level: 2, type: 'display' }, 'display'],
    [newBlock('eyebrow', makeId), 'eyebrow'],
    [{ ...newBlock('button', makeId), look: 'quiet' }, 'button-quiet'],
    [newBlock('text', makeId), ''],
    [{ ...newBlock('text', makeId), type: 'lead' }, 'lead'],
    [newBlock('group', makeId), ''],
  ])('%o: “%s”', (block, name) => {
    expect(of(block)).toBe(name)
  })
})

test('words become text and elements, links by the address that they are given', () => {
  const words = renderWords(
    [
      'a',
      { kind: 'link', href: '#b', children: [{ kind: 'struck', children: ['c'] }] },
      { kind: 'highlight', children: ['d'] },
      { kind: 'break' },
    ],
    (href) => `https://x.example/${href}`,
  )
  expect(words.map((one) => (one.type === 'element' ? one.tagName : one.type))).toEqual(['text', 'a', 'mark', 'br'])
  expect(words[1]).toMatchObject({ properties: { href: 'https://x.example/#b' }, children: [{ tagName: 's' }] })
})
