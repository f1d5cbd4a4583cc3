import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { slotsOf } from '#core/deck/slots'
import { makeId } from '#core/deck/deck.fixture'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { ROLES, type Role } from '#core/values/passage-role'
import type { Block, Section } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { arrange, rangesOf } from './arrange'
import { carryOver, fillSlots } from './fill'
import type { Placeable } from './placeable'
import { ARRANGEMENTS, arrangementOf } from './index'

const laid = (id: string, entries = 3) => arrange(arrangementOf(id)!, entries, DEFAULT_BREAKPOINTS, makeId)
const words = (role: Role, text: string, entry = 0, more: object = {}): Placeable => ({
  role,
  entry,
  words: { en: [text] },
  ...more,
})
const seen = (section: Section) =>
  slotsOf(section).flatMap(({ block, role, entry }) => (block.words.en ? [`${entry} ${role}: ${String(block.words.en[0])}`] : []))

describe('words are put into slots', () => {
  test('role by role, entry by entry, whatever numbers the entries had', () => {
    const section = laid('reasons-three', 2)
    const left = fillSlots(
      section,
      [words('heading', 'Why'), words('heading', 'First', 2.5), words('text', 'Of the first', 2.5), words('heading', 'Second', 7)],
      makeId,
    )
    expect(left).toEqual([])
    expect(seen(section)).toEqual(['0 heading: Why', '1 heading: First', '1 text: Of the first', '2 heading: Second'])
  })

  test('texts, items, links and calls make more slots of their kind; a second heading does not', () => {
    const section = laid('prices-cards', 2)
    const list = ['a', 'b', 'c'].map((text) => words('item', text, 1))
    const left = fillSlots(
      section,
      [words('heading', 'Own'), words('heading', 'One', 1), words('heading', 'Two', 1), ...list],
      makeId,
    )
    expect(left).toEqual([2])
    expect(seen(section)).toEqual(['0 heading: Own', '1 heading: One', '1 item: a', '1 item: b', '1 item: c'])
    expect(new Set([...walk(section)].map((block) => block.id)).size).toBe([...walk(section)].length)
  })

  test('a call brings where it leads; what repeats it leads nowhere until its own words do', () => {
    const section = laid('opening-split')
    fillSlots(section, [words('call', 'Book', 0, { link: { href: 'https://a.example' } }), words('call', 'Ask')], makeId)
    const calls = [...walk(section)].filter((block) => block.kind === 'button')
    expect(calls.map((block) => [block.words.en, block.link])).toEqual([
      [['Book'], { href: 'https://a.example' }],
      [['Ask'], undefined],
    ])
  })

  test('what has no slot in its entry may take one of the section’s own', () => {
    const section = laid('closing-band')
    expect(fillSlots(section, [words('heading', 'Come', 1), words('quote', 'Said', 1)], makeId)).toEqual([1])
    expect(seen(section)).toEqual(['0 heading: Come'])
  })

  const some = fc.array(fc.record({ role: fc.constantFrom(...ROLES), entry: fc.nat(4), n: fc.nat() }), { maxLength: 20 })
  test('every passage is either in exactly one slot or said to be left', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ARRANGEMENTS), some, (arrangement, list) => {
        const section = arrange(arrangement, 3, DEFAULT_BREAKPOINTS, makeId)
        const given = list.map(({ role, entry }, i) => words(role, `passage ${i}`, entry))
        const left = fillSlots(section, given, makeId)
        const placed = slotsOf(section).flatMap(({ block }) => (block.words.en ? [String(block.words.en[0])] : []))
        expect([...placed, ...left.map((i) => `passage ${i}`)].sort()).toEqual(given.map((_, i) => `passage ${i}`).sort())
      }),
    )
  })
})

describe('what is not words is carried over', () => {
  const pictured = (section: Section, ids: string[]): Section => {
    const frames = [...walk(section)].filter((block) => block.kind === 'picture')
    ids.forEach((id, i) => Object.assign(frames[i]!, { picture: id, alt: { en: id } }))
    return section
  }
  const shown = (section: Section) =>
    [...walk(section)].flatMap((block: Block) =>
      block.kind === 'picture' && block.picture ? [`${block.hidden ? 'hidden ' : ''}${block.picture}`] : [],
    )

  test('pictures in their order, and those without a place hidden at the end', () => {
    const from = pictured(laid('work-cards', 3), ['a', 'b', 'c'])
    const to = laid('problem-list')
    expect(carryOver(from, to, makeId)).toBe(2)
    expect(shown(to)).toEqual(['a', 'hidden b', 'hidden c'])
    const back = laid('work-cards', 3)
    expect(carryOver(to, back, makeId)).toBe(0)
    expect(shown(back)).toEqual(['a', 'b', 'c'])
  })

  test('the picture chosen for the phone, its turn and its crop, there and back, in a frame or hidden', () => {
    const from = pictured(laid('work-cards', 3), ['a', 'b', 'c'])
    const frames = (section: Section) => [...walk(section)].filter((block) => block.kind === 'picture' && block.picture)
    const set = {
      instead: { narrow: 'tall' },
      turn: 90,
    }
    for (const frame of frames(from)) {
      Object.assign(frame, set)
      frame.style = { base: { ...frame.style.base, focal: { x: 20, y: 80 } }, below: { narrow: { zoom: 2, span: 4 } } }
    }
    const narrow = laid('problem-list')
    carryOver(from, narrow, makeId)
    const back = laid('work-cards', 3)
    carryOver(narrow, back, makeId)
    for (const section of [narrow, back])
      for (const frame of frames(section)) {
        expect(frame).toMatchObject({
          ...set,
          style: { base: { focal: { x: 20, y: 80 } }, below: { narrow: { zoom: 2 } } },
        })
        // How wide the frame is, is the arrangement's to say.
        expect(frame.style.below!.narrow).not.toHaveProperty('span', 4)
      }
  })

  test('a picture behind the words goes behind them again', () => {
    const from = pictured(laid('opening-over-picture'), ['ridge'])
    const to = laid('closing-picture')
    carryOver(from, to, makeId)
    expect([...walk(to)].find((block) => block.kind === 'picture' && block.picture === 'ridge')!.style.base!.position).toBe(
      'backdrop',
    )
  })

  test('icons, and where a form leads', () => {
    const from = laid('reasons-three', 2)
    const icons = [...walk(from)].filter((block) => block.kind === 'icon')
    icons.forEach((block, i) => (block.icon = { name: `icon-${i}`, nodes: [] }))
    const to = laid('reasons-icon-rows', 2)
    carryOver(from, to, makeId)
    expect([...walk(to)].flatMap((block) => (block.kind === 'icon' ? [block.icon.name] : []))).toEqual(['icon-0', 'icon-1'])

    const form = laid('sign-up-band')
    Object.assign(
      [...walk(form)].find((block) => block.kind === 'form')!,
      { link: { page: 'thanks' }, sendTo: 'https://a.example' },
    )
    const other = laid('sign-up-single')
    carryOver(form, other, makeId)
    expect([...walk(other)].find((block) => block.kind === 'form')).toMatchObject({
      link: { page: 'thanks' },
      sendTo: 'https://a.example',
    })
  })
})

test('the breakpoints of a site stand for the middle and the narrow range, however many there are', () => {
  const [wide, middle, narrow] = DEFAULT_BREAKPOINTS as [
    (typeof DEFAULT_BREAKPOINTS)[0],
    (typeof DEFAULT_BREAKPOINTS)[0],
    (typeof DEFAULT_BREAKPOINTS)[0],
  ]
  expect(rangesOf([wide])).toEqual({})
  expect(rangesOf([wide, narrow])).toEqual({ middle: narrow, narrow })
  expect(rangesOf([wide, middle, { ...middle, id: 'more', below: 800 }, narrow])).toEqual({ middle, narrow })
})
