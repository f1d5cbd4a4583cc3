import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { demoSite } from '#core/edits/edits.fixture'
import type { Block, Section } from '#core/blocks/index'
import { makeId } from './deck.fixture'
import { entriesOf, slotsOf } from './slots'

const word = (kind: 'heading' | 'text' | 'eyebrow' | 'quote') => newBlock(kind, makeId)
const group = (children: Block[], more: object = {}): Block => ({ ...newBlock('group', makeId), children, ...more }) as Block
const section = (...children: Block[]): Section => ({ ...newSection('reasons', makeId), children })
const numbers = (of: Section) => slotsOf(of).map(({ role, entry }) => `${entry} ${role}`)

describe('the slots of a section', () => {
  test('stand in reading order, with the role of their block', () => {
    const price = { ...newBlock('text', makeId), part: 'price' } as Block
    const of = section(
      word('eyebrow'),
      word('heading'),
      newBlock('button', makeId),
      newBlock('list', makeId),
      price,
      newBlock('picture', makeId),
      newBlock('field', makeId),
    )
    expect(numbers(of)).toEqual(['0 eyebrow', '0 heading', '0 call', '0 item', '0 price', '0 label'])
  })

  test('are remembered for a section that does not change', () => {
    const [frozen] = demoSite().pages[0]!.sections
    expect(slotsOf(frozen!)).toBe(slotsOf(frozen!))
  })
})

describe('the entries of a section', () => {
  const card = () => group([word('heading'), word('text')])
  test('are groups of the same roles side by side, wherever they stand', () => {
    expect(numbers(section(word('heading'), group([card(), card(), card()])))).toEqual([
      '0 heading',
      '1 heading',
      '1 text',
      '2 heading',
      '2 text',
      '3 heading',
      '3 text',
    ])
  })

  test('are not the halves of a layout', () => {
    expect(numbers(section(group([word('eyebrow'), word('heading')]), group([word('text')])))).toEqual([
      '0 eyebrow',
      '0 heading',
      '0 text',
    ])
    expect(entriesOf(section(group([word('heading')]), group([newBlock('picture', makeId)])))).toEqual([])
  })

  test('are the outermost, not what stands in them', () => {
    const inner = () => group([word('text')])
    expect(numbers(section(group([group([inner(), inner()]), group([inner(), inner()])])))).toEqual([
      '1 text',
      '1 text',
      '2 text',
      '2 text',
    ])
  })

  test('are those that say so, where any does', () => {
    const said = section(group([word('heading')], { entry: true }), card(), card())
    expect(numbers(said)).toEqual(['1 heading', '0 heading', '0 text', '0 heading', '0 text'])
  })

  test('of the demo are its reasons, its steps and its rows', () => {
    const counts = demoSite().pages[0]!.sections.map((one) => `${one.job} ${entriesOf(one).length}`)
    expect(counts).toEqual([
      'header 0',
      'opening 0',
      'reasons 3',
      'plan 3',
      'work 3',
      'proof 0',
      'timetable 0',
      'prices 4',
      'questions 4',
      'closing 0',
      'footer 0',
    ])
  })
})
