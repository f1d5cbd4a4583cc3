import { freePlace } from '#core/board/snap'
import type { PaletteColour } from '#core/colour/palette'
import type { Edit } from '#core/edits/index'
import type { BoardCard } from '#core/site/board'
import type { Picture } from '#core/picture/picture'
import type { Site } from '#core/site/schema'
import { makeId } from '../session/store'

/** Distance that cards keep from each other, px. */
export const GAP = 16
/** Width within which new cards find their places, px. */
const WITHIN = 860

export const putCards = (cards: readonly BoardCard[]): Edit => ({
  kind: 'list',
  list: 'board',
  drop: [],
  put: cards.map((item) => ({ item })),
})
export const dropCards = (ids: string[]): Edit => ({ kind: 'list', list: 'board', drop: ids, put: [] })

const place = (board: readonly BoardCard[], width: number, height: number) => ({
  ...freePlace({ width, height }, board, WITHIN, GAP),
  width,
  height,
})

/** What a card of some kind holds, besides where it stands. */
type Made<C extends BoardCard = BoardCard> = C extends BoardCard
  ? Omit<C, 'id' | 'x' | 'y' | 'width' | 'height' | 'caption' | 'group'>
  : never

const SIZES: Record<BoardCard['kind'], [width: number, height: number]> = {
  picture: [240, 160],
  colour: [96, 96],
  type: [280, 120],
  note: [200, 120],
}

/** A new card in a free place of the board, at the height that a picture's own shape asks for. */
export function newCard(board: readonly BoardCard[], made: Made, shape?: Picture): BoardCard {
  const [width, height] = SIZES[made.kind]
  const own = shape ? Math.max(60, Math.round((width * shape.height) / shape.width)) : height
  return { id: makeId(), caption: '', ...place(board, width, own), ...made }
}

/** Edits that put an uploaded picture on the board; one that the site has already is not added to it twice. */
export function pictureCard(site: Site, picture: Picture): Edit[] {
  const known = site.pictures.find((one) => one.hash === picture.hash)
  const card = newCard(site.board, { kind: 'picture', picture: (known ?? picture).id }, picture)
  return known ? [putCards([card])] : [{ kind: 'picture-add', picture }, putCards([card])]
}

/** The colours of a palette as a row of cards that belong together, their widths by their shares. */
export function paletteCards(board: readonly BoardCard[], colours: readonly PaletteColour[], caption: string): BoardCard[] {
  const group = makeId()
  const total = 480
  const widths = colours.map((one) => Math.max(40, Math.round(one.share * total)))
  const at = place(
    board,
    widths.reduce((sum, one) => sum + one, 0),
    88,
  )
  let { x } = at
  return colours.map(({ hex, share }, i) => {
    const card: BoardCard = {
      id: makeId(),
      kind: 'colour',
      hex,
      share,
      caption: i === 0 ? caption : '',
      group,
      x,
      y: at.y,
      width: widths[i]!,
      height: 88,
    }
    x += widths[i]!
    return card
  })
}

/** Cards that move together with some: those of their groups. */
export function withGroups(board: readonly BoardCard[], ids: ReadonlySet<string>): BoardCard[] {
  const groups = new Set(board.filter((one) => ids.has(one.id) && one.group).map((one) => one.group))
  return board.filter((one) => ids.has(one.id) || (one.group && groups.has(one.group)))
}
