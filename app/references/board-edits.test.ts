import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import { boardCardSchema } from '#core/site/board'
import { dropCards, newCard, paletteCards, pictureCard, putCards, withGroups } from './board-edits'

const site = { ...demoSite(), board: [] }
const colours = [
  { hex: '#1A1D47', share: 0.7 },
  { hex: '#FFD36B', share: 0.25 },
  { hex: '#C8772E', share: 0.05 },
]

test('a picture that the site has is not added twice; another joins it with its card', () => {
  const [known] = site.pictures
  expect(pictureCard(site, known!).map((one) => one.kind)).toEqual(['list'])
  const other = pictureCard(site, { ...known!, id: 'other', hash: 'f'.repeat(64) })
  expect(other.map((one) => one.kind)).toEqual(['picture-add', 'list'])
})

test('a palette is a row of cards in one group, as wide as their shares, that moves and goes together', () => {
  const cards = paletteCards([], colours, 'The ridge')
  expect(cards.every((card) => boardCardSchema.safeParse(card).success)).toBe(true)
  expect(cards[0]!.width).toBeGreaterThan(cards[1]!.width)
  expect(cards[1]!.x).toBe(cards[0]!.x + cards[0]!.width)
  const board = applyEdit(site, putCards(cards)).site.board
  expect(withGroups(board, new Set([cards[2]!.id]))).toHaveLength(3)
  const note = newCard(board, { kind: 'note', text: 'x' })
  expect(withGroups([...board, note], new Set([note.id]))).toEqual([note])
  expect(applyEdit(applyEdit(site, putCards(cards)).site, dropCards(cards.map((card) => card.id))).site.board).toEqual([])
})
