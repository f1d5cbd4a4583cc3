import type { Block, Section } from '#core/blocks/index'
import { newBlock } from '#core/blocks/defaults'
import { chooserOf } from '#core/edits/edits.fixture'
import { checkSite } from '#core/formats/site-json'
import { group, section, siteOf } from '#core/site/made.fixture'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import type { StoredPicture } from '#server/pictures'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'

/** Words of several lengths and kinds, as designers get them: short ones, long ones, joined ones, figures. */
const WORDS =
  'the dome opens at dusk and tea is hot when all of you are here Beobachtungsnacht Spectrohelioscope observatories half-lit Donaudampfschifffahrt £1,250 +44\u00a01642\u00a0555\u00a0017 24/7 no\u00a0break\u00a0here well-being I a'.split(
    ' ',
  )

type Chooser = ReturnType<typeof chooserOf>

/** Pictures that may be placed: one that hides what is behind it, and one that does so in its left half alone. */
export type AnyPictures = { whole: StoredPicture; half: StoredPicture }

/** A page of a few sections, and which block each mark in its words stands for: the block's id. */
export type AnyPage = { site: Site; marks: string[] }

const px = (choose: Chooser, from: number, to: number) => pixels(from + choose.number(to - from))

/** Values that designers set and that can go wrong, each now and then. */
function someValues(choose: Chooser, kind: string): StyleValues {
  const may = (one: number) => choose.number(100) < one
  const values: Record<string, unknown> = {}
  if (may(25)) values.size = may(50) ? px(choose, 14, 90) : fluid(choose)
  if (may(8)) values.lines = choose.one(['nowrap', 'balance', 'pretty'])
  if (may(12)) values.width = may(50) ? px(choose, 60, 700) : { value: 20 + choose.number(90), unit: '%' }
  if (may(10)) values.height = px(choose, 20, 160)
  if (may(10)) values.spaceBefore = px(choose, -60, 40)
  if (may(25)) values.fill = { hex: choose.one(['#ffe9c0', '#20303a', '#ffffff']) }
  if (may(12)) values.paddingStart = px(choose, 0, 40)
  if (may(12)) values.paddingTop = px(choose, 0, 30)
  if (may(8)) values.maxWidth = { value: 8 + choose.number(50), unit: 'ch' }
  if (may(8)) values.textAlign = choose.one(['center', 'end'])
  if (may(6)) values.layer = choose.one(['behind', 'raised'])
  if (may(6)) values.corner = px(choose, 1, 30)
  if (may(5)) values.tracking = choose.number(20) / 100
  if (kind !== 'item' && may(15)) Object.assign(values, { span: 2 + choose.number(8), start: 1 + choose.number(4) })
  return values as StyleValues
}

const fluid = (choose: Chooser) => ({
  fluid: {
    from: { at: 320, px: 14 + choose.number(20) },
    to: { at: 900 + choose.number(700), px: 20 + choose.number(60) },
  },
})

/** Values of a group, by how it lays out what it holds. */
function groupValues(choose: Chooser): StyleValues {
  const layout = choose.one(['grid', 'row', 'column', 'overlay', 'grid'])
  const values: Record<string, unknown> = { layout }
  if (layout === 'grid')
    Object.assign(values, choose.number(2) === 0 ? { tracks: 2 + choose.number(4) } : { itemWidth: px(choose, 110, 320) })
  if (layout === 'row' && choose.number(2) === 0) values.wrap = true
  return { ...someValues(choose, 'group'), ...values } as StyleValues
}

/** The same blocks, all in the flow: nothing is pulled, laid over others or of a height of its own. */
function flowing<B extends Block>(block: B): B {
  const { height: _, layer: __, spaceBefore, layout, ...base } = block.style.base as Record<string, { value: number } | string>
  const kept = {
    ...base,
    ...(typeof spaceBefore === 'object' && spaceBefore.value >= 0 ? { spaceBefore } : {}),
    ...(layout === undefined ? {} : { layout: layout === 'overlay' ? 'column' : layout }),
    // One without a width is, in a row, as wide as its file, of which the published page takes another than the views.
    ...(block.kind === 'picture' ? { width: base.width ?? pixels(180) } : {}),
  }
  const inside = 'children' in block ? { children: block.children.map(flowing) } : {}
  return { ...block, ...inside, style: { ...block.style, base: kept } } as B
}

/**
 * Draws a page of blocks, every other one all in the flow, those with words each with a mark of its own in them.
 * @param pictures that it may have
 * @param size a whole page, or a small one, which takes a third of the time
 */
export function anyPage(seed: number, pictures: AnyPictures, size: 'whole' | 'small' = 'whole'): AnyPage {
  const small = size === 'small'
  const choose = chooserOf(seed)
  let unmarked = 0
  const marks: string[] = []
  const said = (least: number, more: number) => {
    const mark = `q${marks.length}q`
    marks.push(mark)
    const words = Array.from({ length: least + choose.number(more) }, () => choose.one(WORDS))
    words.splice(choose.number(words.length + 1), 0, mark)
    return words.join(' ')
  }
  const made = (kind: Block['kind'], text: string, more: object = {}): Block => {
    const block = newBlock(kind as 'text', testIds())
    const id = /q\d+q/.exec(text)![0]
    return {
      ...block,
      ...more,
      id,
      words: { en: [text] },
      style: { base: { ...block.style.base, ...someValues(choose, kind) } },
    } as Block
  }
  // Pictures lie over what is beside them as often as not.
  const pictured = (): Block => {
    const block = newBlock('picture', testIds())
    const base: Record<string, unknown> = { ...block.style.base, ...someValues(choose, 'picture') }
    if (choose.number(2) === 0) base.spaceBefore = px(choose, -120, 10)
    if (choose.number(3) === 0) base.height = px(choose, 30, 200)
    if (choose.number(3) === 0) base.fit = 'contain'
    if (choose.number(4) === 0) base.layer = choose.one(['behind', 'raised'])
    return {
      ...block,
      id: `p${unmarked++}`,
      picture: choose.one(['whole', 'half', 'half']),
      alt: { en: '' },
      style: { base },
    } as Block
  }
  const leaf = (): Block => {
    const kind = choose.one(['text', 'heading', 'text', 'eyebrow', 'button', 'quote', 'list', 'table', 'picture', 'nav'] as const)
    if (kind === 'picture') return pictured()
    if (kind === 'nav') {
      const children = Array.from({ length: 2 + choose.number(4) }, () => made('link', said(1, 1)))
      const folds = choose.number(2) === 0 ? { folds: { below: choose.one(DEFAULT_BREAKPOINTS.slice(1)).id, as: 'drop' } } : {}
      const style = { base: { layout: 'row', gap: pixels(choose.number(30)), ...(choose.number(2) === 0 ? { wrap: true } : {}) } }
      return { ...newBlock('nav', testIds()), id: `n${unmarked++}`, children, style, ...folds } as Block
    }
    if (kind === 'list') {
      const children = Array.from({ length: 2 + choose.number(3) }, () => made('item', said(1, 6)))
      return { ...newBlock('list', testIds()), id: `l${marks.length}`, children } as Block
    }
    if (kind === 'table') {
      // All cells are one block, whose words have a line for each row and a bar between cells.
      const cells = Array.from({ length: 2 + choose.number(4) }, () => choose.one(WORDS))
      const text = said(1, 1)
      return made('table', `${text} | ${cells.join(' | ')}\n${[...cells, 'last'].join(' | ')}`)
    }
    return made(kind, kind === 'text' || kind === 'quote' ? said(4, 24) : said(1, 5))
  }
  const grouped = (deep: number): Block => {
    const children = Array.from({ length: 2 + choose.number(small ? 2 : 3) }, () =>
      !small && deep < 2 && choose.number(6) === 0 ? grouped(deep + 1) : leaf(),
    )
    return group(`g${marks.length}x${deep}`, children, groupValues(choose))
  }
  const sections: Section[] = Array.from({ length: small ? 1 : 1 + choose.number(2) }, (_, n) => {
    const children = Array.from({ length: 2 + choose.number(small ? 1 : 3) }, () => (choose.number(2) === 0 ? grouped(0) : leaf()))
    const ground: StyleValues = choose.number(3) === 0 ? { fill: { hex: '#f2f0ea' } } : {}
    const drawn = section(`s${n}`, children, ground)
    return seed % 2 === 0 ? flowing(drawn) : drawn
  })
  const kept = Object.entries(pictures).map(([id, { hash, type, width, height, bytes }]) => ({
    id,
    name: id,
    hash,
    type,
    width,
    height,
    bytes,
  }))
  const site = { ...siteOf(`Any ${seed}`, sections), pictures: kept }
  return { site: checkSite(JSON.parse(JSON.stringify(site))), marks }
}
