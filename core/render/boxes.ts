import { contentWidth } from '#core/grid/columns'
import { placementIn } from '#core/grid/placement'
import { reachOf, sidesOf } from '#core/grid/reach'
import type { Block, BlockOf, Container, Section } from '#core/blocks/index'
import { DEVICES } from '#core/blocks/devices'
import { offered } from '#core/blocks/field'
import { rowsOfWords } from '#core/values/table-words'
import { turned } from '#core/picture/picture'
import { FOLD_PADDING, foldsBelow } from '#core/blocks/nav'
import { saidIn } from '#core/blocks/said'
import { hasWords, isContainer, isWordless } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { valuesByRange } from '#core/style/cascade'
import type { PropertyName, StyleValues } from '#core/style/registry'
import { linesIn, naturalWidth, pxOf, settingOf, type Sight, spansOf } from './line-box'
import { layoutAt } from './surround'

/** A box in px of the page. */
export type PictureBox = { width: number; height: number }
/** Boxes of the pictures of a section, by id. */
export type PictureBoxes = Map<string, PictureBox>

type Picture = BlockOf<'picture'>
/** What a block is laid out in: the width that it may take, and, on columns, how many there are. */
type Room = { width: number; columns?: number; gap?: number }
/** The columns that a cell of a grid hands down to a grid inside it. */
type Cell = { columns: number; gap: number }

const valuesOf = ({ style }: Block, { site, index }: Sight): StyleValues => valuesByRange(style, site.breakpoints)[index]!

const isOut = (block: Block, sight: Sight): boolean => {
  const position = valuesOf(block, sight).position
  return position === 'backdrop' || position === 'held'
}

/** True for a block that a published page shows. */
function isShown(block: Block, sight: Sight): boolean {
  if (block.hidden || valuesOf(block, sight).shown === false) return false
  const { language, site } = sight
  return !isWordless(block, language) || !isWordless(block, site.language)
}

/** Space between the rows of what is laid out on columns, px: as much as between the columns, unless it is said otherwise. */
export function gridRowGap(block: Block, sight: Sight): number {
  const { rowGap, gap, tracks, itemWidth } = valuesOf(block, sight)
  const list = block.kind === 'list'
  const said = rowGap ?? (list ? undefined : gap)
  if (said) return pxOf(said, sight) ?? 0
  // Columns of its own have no gap of themselves.
  const own = list || (block.kind !== 'section' && (tracks ?? itemWidth) !== undefined)
  return own ? 0 : sight.site.breakpoints[sight.index]!.gutter
}

/** True for a nav of which a button is seen there, and its links over the page once that is pressed. */
const isFolded = (block: Block, { site, viewport }: Sight): boolean => viewport < foldsBelow(block, site.breakpoints)

/** What a block's paddings take of its width, px. */
function paddedBy({ paddingSides, paddingStart, paddingEnd }: StyleValues, sight: Sight, width: number): number {
  const px = (length: StyleValues['paddingSides']) => pxOf(length ?? paddingSides, sight, width) ?? 0
  return px(paddingStart) + px(paddingEnd)
}

/** Height of one line of what can be pressed, with its padding, px. */
function buttonHeight(block: BlockOf<'button'>, width: number, sight: Sight): number {
  const look = sight.site.guide.buttons.find((one) => one.name === block.look)
  const setting = settingOf(block, sight)
  const [across, down] = [pxOf(look?.paddingInline, sight) ?? 0, pxOf(look?.paddingBlock, sight) ?? 0]
  const lines = linesIn(spansOf(block, sight), width - 2 * across, setting)
  return Math.max(look?.hit ?? 0, lines * setting.line + 2 * (down + (look?.edgeWidth ?? 0)))
}

function pictureHeight(block: Picture, width: number, sight: Sight, whole: number): number {
  const values = valuesOf(block, sight)
  const height = pxOf(values.height, sight, whole)
  if (height !== undefined && height > 0) return height
  const aspect = values.aspect
  if (aspect) return (width * aspect.height) / aspect.width
  const found = sight.site.pictures.find((one) => one.id === (otherPicture(block, sight) ?? block.picture))
  const chosen = found && turned(found, block.turn)
  return chosen ? (width * chosen.height) / chosen.width : 120
}

/** Height of what keeps the ratio of what it shows: a drawing, a device, a video; of the highest slide, with its controls. */
function drawnHeight(block: Block, width: number, { site }: Sight): number | undefined {
  if (block.kind === 'shape') return (width * block.view.height) / block.view.width
  if (block.kind === 'device') return (width * DEVICES[block.device].size.height) / DEVICES[block.device].size.width
  if (block.kind !== 'video') return undefined
  const film = site.pictures.find((one) => one.id === block.video)
  return film ? (width * film.height) / film.width : 120
}

/** The picture that takes the place of a block's own at one range of widths. */
function otherPicture({ instead }: Picture, { site, index }: Sight): string | undefined {
  for (let i = index; i > 0; i--) {
    const other = instead?.[site.breakpoints[i]!.id]
    if (other !== undefined) return other
  }
  return undefined
}

/** Width that a block would take by itself, px. */
function ownWidth(block: Block, room: number, sight: Sight): number {
  if (hasWords(block) && block.kind !== 'field') {
    const setting = settingOf(block, sight)
    const look = block.kind === 'button' ? sight.site.guide.buttons.find((one) => one.name === block.look) : undefined
    return naturalWidth(plainText(spansOf(block, sight)), setting) + 2 * (pxOf(look?.paddingInline, sight) ?? 0)
  }
  if (block.kind === 'icon') return block.size
  if (isFolded(block, sight)) return naturalWidth(saidIn(sight.language).menu, settingOf(block, sight))
  if (isContainer(block)) {
    const widths = block.children.filter((one) => isShown(one, sight)).map((one) => ownWidth(one, room, sight))
    const gap = pxOf(valuesOf(block, sight).gap, sight) ?? 0
    const row = layoutAt(block, sight.site.breakpoints, sight.index) === 'row'
    return row ? widths.reduce((sum, one) => sum + one + gap, -gap) : Math.max(0, ...widths)
  }
  return room
}

/** The width of a block in the room that it has: what is set for it, and no more than its greatest. */
function limited(block: Block, width: number, { width: room, columns, gap = 0 }: Room, sight: Sight): number {
  const values = valuesOf(block, sight)
  if (values.width === undefined && values.maxWidth === undefined) return Math.max(0, width)
  const { size } = hasWords(block) ? settingOf(block, sight) : { size: 16 }
  const length = (name: 'width' | 'maxWidth') => {
    const value = values[name]
    if (value && 'value' in value && value.unit === 'columns')
      return columns ? ((room + gap) / columns) * value.value - gap : undefined
    return pxOf(value, sight, room, size)
  }
  return Math.max(0, Math.min(length('width') ?? width, length('maxWidth') ?? Infinity))
}

/**
 * Works out the boxes of a section's pictures at one size of the window, without a browser: rows and columns exactly,
 * heights of words by the mean advance of their face. Meant for choosing among files of a picture, for which a tenth
 * more or less does not matter.
 * @param words takes the width that the words of each block have, px
 */
export function pictureBoxes(section: Section, sight: Sight, words: Map<string, number> = new Map()): PictureBoxes {
  const boxes: PictureBoxes = new Map()

  /** Lays a block out in a width, and gives its height. */
  function lay(block: Block, width: number, whole: number, cell?: Cell): number {
    const values = valuesOf(block, sight)
    const least = pxOf(values.minHeight, sight, whole) ?? 0
    const drawn = drawnHeight(block, width, sight)
    if (drawn !== undefined) return Math.max(least, pxOf(values.height, sight, whole) ?? drawn)
    if (block.kind === 'picture') {
      const height = Math.max(least, pictureHeight(block, width, sight, whole))
      boxes.set(block.id, { width, height })
      return height
    }
    const padding =
      (pxOf(values.paddingTop, sight, width) ?? 0) +
      (pxOf(values.paddingBottom, sight, width) ?? 0) +
      2 * (values.edgeSides === undefined ? (values.edgeWidth ?? 0) : 0)
    const fixed = pxOf(values.height, sight, whole)
    const inner = isContainer(block) ? contents(block, width, fixed ?? 0, cell) : leaf(block, width)
    const height = Math.max(least, fixed && fixed > 0 ? fixed : inner + padding)
    if (isContainer(block)) {
      for (const child of block.children) {
        if (child.hidden || child.kind !== 'picture' || valuesOf(child, sight).position !== 'backdrop') continue
        boxes.set(child.id, { width, height })
      }
    }
    return height
  }

  function leaf(block: Block, width: number): number {
    if (block.kind === 'button') {
      const look = sight.site.guide.buttons.find((one) => one.name === block.look)
      words.set(block.id, width - 2 * (pxOf(look?.paddingInline, sight) ?? 0))
      return buttonHeight(block, width, sight)
    }
    if (block.kind === 'icon') return block.size
    if (block.kind === 'divider') return 1
    const sides = paddedBy(valuesOf(block, sight), sight, width)
    const setting = settingOf(block, sight)
    if (hasWords(block)) words.set(block.id, width - sides)
    const lines = hasWords(block) ? linesIn(spansOf(block, sight), width - sides, setting) * setting.line : 0
    if (block.kind === 'table') {
      const rows = rowsOfWords(spansOf(block, sight)).length
      return rows * (setting.line + 2 * (pxOf(sight.site.guide.looks.table.padding, sight) ?? 0))
    }
    if (block.kind !== 'field') return lines
    const { hit } = sight.site.guide.looks.field
    if (block.input === 'consent') return Math.max(lines, hit)
    if (block.input === 'one' || block.input === 'several')
      return lines + offered(block, { language: sight.language }).length * (hit + 6)
    return lines + 6 + (block.input === 'area' ? 4 * setting.line : hit)
  }

  function contents(block: Container, width: number, whole: number, cell?: Cell): number {
    const { site, index, viewport } = sight
    const values = valuesOf(block, sight)
    const breakpoint = site.breakpoints[index]!
    const card = block.kind === 'group' ? site.guide.looks.cards.find((one) => one.name === block.look) : undefined
    const inset = card ? 2 * ((pxOf(card.padding, sight) ?? 0) + card.edgeWidth) : 0
    const sides = paddedBy(values, sight, width)
    const wide = values.reach === 'full' ? viewport : contentWidth(breakpoint, viewport)
    const room = block.kind === 'section' ? wide : Math.max(0, width - sides - inset)
    const children = block.children.filter((one) => isShown(one, sight) && !isOut(one, sight))
    if (block.kind === 'nav' && block.follows) return settingOf(block, sight).line + inset
    if (children.length === 0) return inset
    if (isFolded(block, sight)) {
      const over = Math.max(0, viewport - 2 * FOLD_PADDING)
      for (const one of children) lay(one, limited(one, over, { width: over }, sight), whole)
      return settingOf(block, sight).line + inset
    }
    const layout = layoutAt(block, site.breakpoints, index)
    const rowGap = pxOf(values.rowGap, sight) ?? 0
    const gap = pxOf(values.gap, sight)
    const align = values.align
    if (layout === 'grid') {
      const least = pxOf(values.itemWidth, sight, room)
      // As many columns as have room for the least width (CSS Grid, 7.2.3.2).
      const tracks = least ? Math.max(1, Math.floor((room + (gap ?? 0)) / (least + (gap ?? 0)))) : values.tracks
      const columns = tracks ?? cell?.columns ?? breakpoint.columns
      const own = tracks !== undefined && block.kind !== 'section'
      const across = gap ?? (own ? 0 : (cell?.gap ?? breakpoint.gutter))
      const between = gridRowGap(block, sight)
      return (
        inset +
        onColumns(children, { width: room, columns, gap: across }, between, whole, align === 'stretch', block.kind === 'section')
      )
    }
    if (layout === 'row') {
      const wraps = values.wrap ?? false
      // What stands in a row is stretched unless it is said otherwise (CSS Flexbox, 8.3).
      return (
        inset + inRow(children, { width: room, gap: gap ?? 0 }, rowGap, wraps, whole, align === undefined || align === 'stretch')
      )
    }
    const heights = children.map((one) => outer(one, limited(one, room, { width: room }, sight), whole))
    if (layout === 'overlay') return inset + Math.max(...heights)
    const between = block.kind === 'list' ? (pxOf(site.guide.looks.list.gap, sight) ?? 0) : rowGap
    return inset + heights.reduce((sum, one) => sum + one + between, -between)
  }

  /** Height of a block with the space before and after it. */
  function outer(block: Block, width: number, whole: number, cell?: Cell): number {
    const values = valuesOf(block, sight)
    const space = (pxOf(values.spaceBefore, sight) ?? 0) + (pxOf(values.spaceAfter, sight) ?? 0)
    return lay(block, width, whole, cell) + space
  }

  /** Gives pictures that are stretched the height of their row; those without a place of their own, if others are. */
  function stretch(row: readonly Block[], height: number, all: boolean): void {
    for (const block of row) {
      const box = boxes.get(block.id)
      const values = valuesOf(block, sight)
      const place = values.selfAlign
      const stretched = place === undefined ? all && values.height === undefined : place === 'stretch'
      if (box && stretched) boxes.set(block.id, { ...box, height })
    }
  }

  function onColumns(
    children: readonly Block[],
    room: Required<Room>,
    rowGap: number,
    whole: number,
    all: boolean,
    inSection: boolean,
  ): number {
    const { width, columns, gap } = room
    const track = (width - (columns - 1) * gap) / columns
    let [total, cursor, height] = [0, 0, 0]
    let row: Block[] = []
    const close = () => {
      if (row.length === 0) return
      stretch(row, height, all)
      total += height + rowGap
      ;[cursor, height, row] = [0, 0, []]
    }
    for (const child of children) {
      const values = valuesOf(child, sight)
      const reach = inSection ? reachOf(values.reach) : undefined
      const { span, start } = placementIn(columns, values.span, values.start, reach)
      const at = start === null ? cursor : start - 1
      if (at < cursor || at + span > columns) close()
      const cell = span * track + (span - 1) * gap
      const past = (sidesOf(reach) * (sight.viewport - width)) / 2
      const taken = limited(child, cell + past, { width: cell, columns: span, gap }, sight)
      height = Math.max(height, outer(child, taken, whole, { columns: span, gap }))
      cursor = (start === null ? cursor : start - 1) + span
      row.push(child)
    }
    close()
    return Math.max(0, total - rowGap)
  }

  function inRow(
    children: readonly Block[],
    { width, gap = 0 }: Room,
    rowGap: number,
    wraps: boolean,
    whole: number,
    all: boolean,
  ): number {
    const grows = (one: Block) => valuesOf(one, sight).grow === true
    const natural = children.map((one) =>
      grows(one) ? 0 : limited(one, Math.min(width, ownWidth(one, width, sight)), { width }, sight),
    )
    const fixed = natural.reduce((sum, one) => sum + one + gap, -gap)
    if (wraps && fixed > width) {
      let [lines, used] = [1, 0]
      for (const one of natural) {
        if (used > 0 && used + gap + one > width) [lines, used] = [lines + 1, 0]
        used += (used > 0 ? gap : 0) + one
      }
      const highest = Math.max(...children.map((one, i) => outer(one, Math.min(width, natural[i]!), whole)))
      return lines * highest + (lines - 1) * rowGap
    }
    const growing = children.filter(grows).length
    const rest = Math.max(0, width - fixed)
    const gaps = gap * (children.length - 1)
    const shrink = fixed > width ? Math.max(0, width - gaps) / Math.max(1, fixed - gaps) : 1
    const height = Math.max(
      ...children.map((one, i) =>
        outer(one, grows(one) ? limited(one, rest / growing, { width }, sight) : natural[i]! * shrink, whole),
      ),
    )
    stretch(children, height, all)
    return height
  }

  lay(section, sight.viewport, sight.window)
  return boxes
}

/** Px of its own width that a picture is drawn at in a box: more than the box is wide where it covers a high one. */
export function drawnWidth({ width, height }: PictureBox, ratio: number, fit: 'cover' | 'contain'): number {
  return fit === 'contain' ? Math.min(width, height * ratio) : Math.max(width, height * ratio)
}

const PLAIN: readonly PropertyName[] = ['height', 'minHeight', 'width', 'maxWidth', 'selfAlign', 'position']
const scopes = ({ style }: Block) => [style.base, ...Object.values(style.below ?? {})]
const sets = (block: Block, names: readonly PropertyName[]) =>
  scopes(block).some((values) => values && names.some((name) => values[name] !== undefined))

/**
 * Ids of the pictures of a section whose box does not follow from columns alone: behind other blocks, of a height of
 * their own, in a row, or inside something narrower than its columns.
 */
export function boxedOtherwise(section: Section): Set<string> {
  const found = new Set<string>()
  const visit = (container: Container, plain: boolean) => {
    for (const child of container.children) {
      const here = plain && !sets(child, PLAIN)
      if (child.kind === 'picture' && !here) found.add(child.id)
      if (!isContainer(child)) continue
      const inRow = scopes(child).some((values) => values?.layout === 'row')
      visit(child, plain && !inRow && !sets(child, ['width', 'maxWidth']) && !(child.kind === 'group' && child.look !== undefined))
    }
  }
  visit(section, true)
  return found
}
