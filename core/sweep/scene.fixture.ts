import type { Block, BlockOf } from '#core/blocks/index'
import { newBlock, newSection } from '#core/blocks/defaults'
import { rangeAt } from '#core/grid/columns'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Picture } from '#core/picture/picture'
import { siteOf } from '#core/site/made.fixture'
import type { Site } from '#core/site/schema'
import type { StyleValues } from '#core/style/registry'
import { testIds } from '#core/values/ids.fixture'
import type { AtWidth } from './check'
import { WIDTH_CHECKS, type WidthKind } from './checks/index'
import { factsOf } from './facts'
import type { Box, BlockRead, Reading, WordsRead } from './reading'

/** A block of a kind with an id, values and whatever else of its own. */
export function block<K extends Block['kind']>(kind: K, id: string, values: StyleValues = {}, more: object = {}): BlockOf<K> {
  const made = kind === 'section' ? newSection('reasons', testIds()) : newBlock(kind as 'text', testIds())
  return { ...made, id, style: { base: values }, ...more } as unknown as BlockOf<K>
}

/** Left, top, width and height, px. */
export type At = readonly [left: number, top: number, width: number, height: number]
export const boxOf = ([left, top, width, height]: At): Box => ({ left, top, right: left + width, bottom: top + height })

/** Words of so many lines of one width in a box. */
export const lines = (at: At, count: number, more: Partial<WordsRead> = {}): WordsRead => {
  const high = at[3] / count
  return {
    lines: Array.from({ length: count }, (_, n) => boxOf([at[0], at[1] + n * high, at[2], high])),
    size: 16,
    characters: 40 * count,
    over: 0,
    spare: 99,
    broken: false,
    lone: false,
    ...more,
  }
}

export type Scene = {
  width?: number
  boxes: Record<string, At>
  words?: Record<string, Partial<WordsRead> & { count?: number }>
  cuts?: readonly string[]
  /** Blocks that paint a ground of their own. */
  paints?: readonly string[]
  pictures?: Picture[]
}

export const siteWith = (sections: Site['pages'][number]['sections']): Site => siteOf('Observatory', sections)

export function readingOf({ width = 800, boxes, words = {}, cuts = [], paints = [] }: Scene): Reading {
  const blocks = Object.entries(boxes).map(([id, at]): [string, BlockRead] => {
    const { count = 1, ...more } = words[id] ?? {}
    return [
      id,
      {
        box: boxOf(at),
        cuts: { across: cuts.includes(id), down: cuts.includes(id) },
        paints: paints.includes(id),
        ...(words[id] ? { words: lines(at, count, more) } : {}),
      },
    ]
  })
  return { width, blocks: new Map(blocks) }
}

/** What one check finds in a section that holds some blocks, at one width. */
export function foundBy(kind: WidthKind, held: readonly Block[], scene: Scene, values: StyleValues = {}, section: object = {}) {
  const site = siteWith([block('section', 'band', values, { children: held, ...section })])
  const reading = readingOf({ ...scene, boxes: { band: [0, 0, scene.width ?? 800, 600], ...scene.boxes } })
  const at: AtWidth = {
    reading,
    facts: factsOf(site, site.pages[0]!.sections),
    breakpoints: site.breakpoints,
    range: rangeAt(site.breakpoints, reading.width),
    window: viewportHeightFor(reading.width),
    pictures: scene.pictures ?? [],
  }
  return [...WIDTH_CHECKS[kind].find(at)].map(({ block: id, beside, by }) => [
    id,
    ...(beside ? [beside] : []),
    Math.round(by * 100) / 100,
  ])
}
