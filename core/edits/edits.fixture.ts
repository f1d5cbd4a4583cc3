import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { newBlock, newSection } from '#core/blocks/defaults'
import { readSite } from '#core/formats/site-json'
import { idMaker } from '#core/values/ids'
import type { Site } from '#core/site/schema'
import { hasWords, isContainer } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import type { Scope, StyleValues } from '#core/style/registry'
import type { Edit } from './index'

/** The demo site, as its file has it. */
export const demoSite = (): Site => readSite(readFileSync('demo/observatory.site.json', 'utf8'))

/** Choices that become an edit once it is known what the site holds. */
export type Choice = { kind: number; a: number; b: number; c: number; seed: number }

export const choices = fc.array(
  fc.record({
    kind: fc.integer({ min: 0, max: 13 }),
    a: fc.nat(),
    b: fc.nat(),
    c: fc.nat(),
    seed: fc.nat(),
  }),
  { minLength: 1, maxLength: 12 },
)

const STYLES: StyleValues[] = [
  { span: 5 },
  { span: 4, start: 3 },
  { spaceAfter: { token: 'space-4' } },
  { opacity: 0.5 },
  { width: { value: 50, unit: '%' } },
  { order: 2 },
  { position: 'sticky', top: { value: 10, unit: 'px' } },
]

const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!

const hexOf = (n: number) => `#${(n % 0xffffff).toString(16).padStart(6, '0').toUpperCase()}`

/** The edit that a choice comes to on a site. It may be one that the site refuses. */
export function editOf({ kind, a, b, c, seed }: Choice, site: Site): Edit {
  let state = seed + 1
  const makeId = idMaker(() => ((state = (state * 16807) % 2147483647), state / 2147483647))
  const page = site.pages[0]!
  const blocks = [...walkPage(page)]
  const block = pick(blocks, a)
  const containers = blocks.filter(isContainer)
  const scope = pick<Scope>(['base', { below: 'middle' }, { below: 'narrow' }], b)
  switch (kind) {
    case 0:
      return { kind: 'style', block: block.id, scope, values: pick(STYLES, c) }
    case 1:
      return { kind: 'style', block: block.id, scope, values: { span: null, spaceAfter: null } }
    case 2: {
      const worded = blocks.filter(hasWords)
      return {
        kind: 'words',
        block: worded.length > 0 ? pick(worded, a).id : 'none',
        words: { en: b % 3 === 0 ? [] : [`Words ${c}`, { kind: 'strong', children: ['more'] }] },
      }
    }
    case 3:
      return {
        kind: 'field',
        block: block.id,
        field: pick(['name', 'hidden'] as const, b),
        value: b % 2 === 0 ? `Name ${c}` : true,
      }
    case 4:
      return {
        kind: 'insert',
        parent: containers.length > 0 ? pick(containers, a).id : page.id,
        index: b % 6,
        blocks: [newBlock(pick(['text', 'heading', 'group', 'list'] as const, c), makeId)],
      }
    case 5:
      return { kind: 'insert', parent: page.id, index: b % 6, blocks: [newSection('story', makeId)] }
    case 6:
      return { kind: 'remove', blocks: [block.id] }
    case 7:
      return {
        kind: 'move',
        block: block.id,
        parent: containers.length > 0 ? pick(containers, b).id : page.id,
        index: c % 6,
      }
    case 8:
      return {
        kind: 'guide',
        part: 'colours',
        value: site.guide.colours.map((one, i) => (i === a % site.guide.colours.length ? { ...one, hex: hexOf(seed) } : one)),
        ...(b % 2 === 0 ? { direction: pick(site.directions, c).id } : {}),
      }
    case 9:
      return { kind: 'direction-current', direction: pick(site.directions, a).id }
    case 10:
      return { kind: 'style', block: block.id, direction: pick(site.directions, c).id, scope, values: pick(STYLES, b) }
    case 11:
      return {
        kind: 'direction-add',
        index: b % 4,
        direction: { id: makeId(), name: `Try ${c}`, note: '', mood: [], guide: site.guide, restyled: {} },
      }
    case 12:
      return { kind: 'direction-remove', direction: pick(site.directions, a).id }
    default:
      return { kind: 'site', field: 'views', value: [320 + (a % 900), 300 + (b % 900)] }
  }
}
