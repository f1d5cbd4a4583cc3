import type { Block, Section } from '#core/blocks/index'
import type { StyleValues } from '#core/style/registry'
import { lines as linesIn } from './scene.fixture'
import type { BlockRead, Reading } from './reading'
import { marginAt } from './planted.fixture'

/**
 * How a page of stacked words and grids would be read, worked out instead of laid out: letters are half as wide as they are
 * high, lines are broken where the next word has no room, blocks follow each other without space. It knows nothing of the
 * checks, and takes no browser, so that any number of pages can be judged by what it says.
 */

/** Width of a letter and height of a line, in sizes of the letters. */
const [LETTER, LINE] = [0.5, 1.4]
const [GAP, PADDING] = [24, 48]

/** Width of a word, px. */
export const wideOf = (word: string, size: number) => word.length * size * LETTER

type Fluid = { fluid: { from: { at: number; px: number }; to: { at: number; px: number } } }

/** Size of a block's letters at a width of the window, px. */
function sizeAt({ kind, style }: Block, width: number): number {
  const size = style.base?.size as { value: number } | Fluid | undefined
  if (size === undefined) return kind === 'heading' ? 28 : 16
  if (!('fluid' in size)) return size.value
  const { from, to } = size.fluid
  const share = Math.min(1, Math.max(0, (width - from.at) / (to.at - from.at)))
  return from.px + share * (to.px - from.px)
}

const px = (values: StyleValues, name: 'width' | 'spaceBefore' | 'itemWidth') =>
  (values[name] as { value: number } | undefined)?.value

/** Words of a block in lines that are at most so wide, px. */
function broken(words: readonly string[], room: number, size: number): string[][] {
  const all: string[][] = []
  for (const word of words) {
    const last = all.at(-1)
    if (last && wideOf([...last, word].join(' '), size) <= room) last.push(word)
    else all.push([word])
  }
  return all
}

/** What would be read of a block of words in some room, its top at `top`. */
function wordsIn(block: Block, left: number, top: number, room: number, width: number): BlockRead {
  const words = (block as unknown as { words: { en: string[] } }).words.en[0]!.split(' ')
  const values = block.style.base ?? {}
  const size = sizeAt(block, width)
  const most = (values.maxWidth as { value: number } | undefined)?.value
  const own = px(values, 'width') ?? Math.min(room, most === undefined ? Infinity : most * size * LETTER)
  const set = broken(words, own, size)
  const high = set.length * size * LINE
  const over = Math.max(0, ...words.map((word) => wideOf(word, size) - own))
  const lone = set.length > 1 && set.at(-1)!.length === 1 && set.at(-2)!.length > 1
  const read = linesIn([left, top, Math.min(own, room), high], set.length, {
    ...{
      size,
      characters: words.join(' ').length,
      over,
      broken: over > 0,
      spare: own - Math.max(...words.map((word) => wideOf(word, size))),
      lone,
    },
  })
  return { box: { left, top, right: left + own, bottom: top + high }, cuts: { across: false, down: false }, words: read }
}

/** What would be read of sections, one below the other, in a window of a width, px. */
export function modelled(sections: readonly Section[], width: number): Reading {
  const blocks = new Map<string, BlockRead>()
  const margin = marginAt(width)
  const room = width - 2 * margin
  const none = { across: false, down: false }
  /** Puts a block down. @returns where the next one begins */
  const put = (block: Block, left: number, top: number, within: number): number => {
    const from = top + (px(block.style.base ?? {}, 'spaceBefore') ?? 0)
    if (block.kind !== 'group') {
      const read = wordsIn(block, left, from, within, width)
      blocks.set(block.id, read)
      return read.box.bottom
    }
    const least = px(block.style.base ?? {}, 'itemWidth')!
    const columns = Math.min(block.children.length, Math.max(1, Math.floor((within + GAP) / (least + GAP))))
    const cell = (within - (columns - 1) * GAP) / columns
    blocks.set(block.id, { box: { left, top: from, right: left + within, bottom: from }, cuts: none })
    let [rowTop, bottom] = [from, from]
    for (const [n, child] of block.children.entries()) {
      if (n > 0 && n % columns === 0) rowTop = bottom + GAP
      bottom = Math.max(bottom, put(child, left + (n % columns) * (cell + GAP), rowTop, cell))
    }
    blocks.get(block.id)!.box.bottom = bottom
    return bottom
  }
  let top = 0
  for (const section of sections) {
    const box = { left: 0, top, right: width, bottom: top }
    blocks.set(section.id, { box, cuts: none })
    let next = top + PADDING
    for (const child of section.children) next = put(child, margin, next, room)
    top = box.bottom = next + PADDING
  }
  const widest = Math.max(...[...blocks.values()].map((one) => one.box.right))
  return { width, blocks, past: { by: Math.max(0, Math.round(widest - width)) } }
}
