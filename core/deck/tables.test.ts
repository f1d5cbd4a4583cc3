import { describe, expect, test } from 'vitest'
import { newSite } from '#core/site/defaults'
import { plainText } from '#core/values/words'
import { makeId } from './deck.fixture'
import { deckLinks } from './links'
import { parseDeck } from './parse'
import { printDeck } from './print'
import { cellsOfWords } from '#core/values/table-words'
import { plansIn } from './tables'

const links = deckLinks(newSite('T', makeId))
const brief = (text: string) =>
  parseDeck(`# P\n\n## S\n\n${text}`, links).pages[0]!.sections[0]!.passages.map(
    (one) => `${one.entry} ${one.role}: ${plainText(one.words)}`,
  )

describe('tables of plans', () => {
  test('with plans down the side become plans, whatever the order of their columns', () => {
    expect(plansIn(['Plan', 'For', 'Price', 'Includes'], [['Hour', 'one boat', '£14', 'jackets']])).toEqual([
      { name: 'Hour', price: '£14', term: 'one boat', items: ['jackets'] },
    ])
    expect(brief('| Boat | Cost | Per |\n|---|---|---|\n| Skiff | €14 | hour |\n| Punt | on request | day |')).toEqual([
      '1 heading: Skiff',
      '1 price: €14',
      '1 term: hour',
      '2 heading: Punt',
      '2 price: on request',
      '2 term: day',
    ])
  })

  test('with plans along the top become plans too', () => {
    expect(
      plansIn(
        ['', 'Small', 'Large'],
        [
          ['Price', '£5', '£9'],
          ['Per', 'month', 'month'],
          ['Seats', '2', '6'],
          ['Dogs', 'yes', 'no'],
        ],
      ),
    ).toEqual([
      { name: 'Small', price: '£5', term: 'month', items: ['Seats: 2', 'Dogs'] },
      { name: 'Large', price: '£9', term: 'month', items: ['Seats: 6'] },
    ])
  })
})

describe('other tables', () => {
  const text = '| Time | What | Where |\n| --- | --- | --- |\n| 18:00 | Doors | Gate |\n| 19:30 | Tea | **Hut** |'
  test('stay tables in the deck', () => {
    const [only, ...others] = parseDeck(`# P\n\n## S\n\n${text}`, links).pages[0]!.sections[0]!.passages
    expect(others).toEqual([])
    expect(only!.role).toBe('text')
    expect(cellsOfWords(only!.words)).toHaveLength(3)
    const printed = printDeck({ pages: [{ name: 'P', sections: [{ name: 'S', passages: [only!] }] }] }, links).text
    expect(printed).toBe(`# P\n\n## S\n\n${text}\n`)
  })

  test('words with a bar on one line are no table', () => {
    expect(cellsOfWords(['a | b'])).toBeUndefined()
    expect(cellsOfWords(['a | b', { kind: 'break' }, 'c'])).toBeUndefined()
  })
})
