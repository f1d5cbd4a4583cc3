import { hasTrait } from '#core/blocks/index'
import type { Edit } from '#core/edits/index'
import type { Finding, Repair } from './finding'
import { layoutAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import type { Layout } from '#core/style/property'
import type { PropertyName } from '#core/style/registry'
import { valueAt } from '#core/style/cascade'

/** A setting that has no effect: which, why, and the one change that makes it work. */
export type WithoutEffect = Finding<'without-effect'> & { property: PropertyName; repair: Repair }

/**
 * Settings of a block that change nothing at one range of widths, each with its reason and a repair.
 * `index` counts the site's breakpoints, 0 being the widest.
 */
export function settingsWithoutEffect(site: Site, place: Place, index: number): WithoutEffect[] {
  const { block, ancestors } = place
  const parent = ancestors.at(-1)
  const { breakpoints } = site
  const has = (name: PropertyName) => valueAt(block.style, name, breakpoints, index) !== undefined
  const own = layoutAt(block, breakpoints, index)
  const outer: Layout = parent ? layoutAt(parent, breakpoints, index) : 'column'
  const position = valueAt(block.style, 'position', breakpoints, index) ?? 'flow'
  const found: WithoutEffect[] = []
  const style = (id: string, values: object): Edit => ({ kind: 'style', block: id, scope: 'base', values })
  const say = (property: PropertyName, sentence: string, label: string, edit: Edit) =>
    found.push({ kind: 'without-effect', block: block.id, property, sentence, repair: { label, edit } })

  if (parent && outer !== 'grid' && has('span')) {
    say(
      'span',
      `Columns count in a grid; this block stands in ${aLayout(outer)}.`,
      'Lay the group out as a grid',
      style(parent.id, { layout: 'grid' }),
    )
  }
  if (own !== 'grid' && !hasTrait(block.kind, 'band') && has('tracks')) {
    say(
      'tracks',
      `Own columns count in a grid; this is ${aLayout(own)}.`,
      'Lay it out as a grid',
      style(block.id, { layout: 'grid' }),
    )
  }
  if (own !== 'row' && has('wrap'))
    say('wrap', `Only a row wraps; this is ${aLayout(own)}.`, 'Lay it out as a row', style(block.id, { layout: 'row' }))
  if (own === 'overlay' && has('gap'))
    say(
      'gap',
      'Blocks of an overlay lie on each other, so there is no gap.',
      'Lay it out as a column',
      style(block.id, { layout: 'column' }),
    )
  if (own === 'column' && has('gap'))
    say('gap', 'A column has gaps down, none across.', 'Lay it out as a row', style(block.id, { layout: 'row' }))
  if (parent && outer === 'column' && has('selfAlign')) {
    say(
      'selfAlign',
      'In a column, height comes from what a block holds, so there is nothing to stand in.',
      'Take it away',
      style(block.id, { selfAlign: null }),
    )
  }
  if (parent && outer === 'row' && has('selfJustify')) {
    say('selfJustify', 'In a row, the row itself shares out the width.', 'Take it away', style(block.id, { selfJustify: null }))
  }
  if (parent && (outer === 'grid' || outer === 'overlay') && has('grow')) {
    say(
      'grow',
      `Only blocks of a row or column take the rest; this one stands in ${aLayout(outer)}.`,
      'Lay the group out as a row',
      style(parent.id, { layout: 'row' }),
    )
  }
  for (const side of ['top', 'right', 'bottom', 'left'] as const) {
    if (position === 'flow' && has(side)) {
      say(
        side,
        'Distances from an edge count for held and sticky blocks; this one is in the flow.',
        'Hold it to the edges',
        style(block.id, { position: 'held' }),
      )
      break
    }
  }
  if (
    position === 'sticky' &&
    outer === 'grid' &&
    (valueAt(block.style, 'selfAlign', breakpoints, index) ?? 'stretch') === 'stretch'
  ) {
    say(
      'position',
      'It is as tall as its row, so it has no room to stick in.',
      'Stand at the start of the row',
      style(block.id, { selfAlign: 'start' }),
    )
  }
  if (block.style.base?.edgeColour !== undefined && !hasTrait(block.kind, 'line') && !has('edgeWidth')) {
    say('edgeColour', 'The edge has no width, so its colour is not seen.', 'Make it 1 px', style(block.id, { edgeWidth: 1 }))
  }
  return found
}

const aLayout = (layout: Layout) => (layout === 'overlay' ? 'an overlay' : `a ${layout}`)
