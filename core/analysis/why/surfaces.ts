import { hasBoxOfGuide } from '#core/blocks/applies'
import { hasTrait } from '#core/blocks/index'
import { movesBehind, shadesAround } from '#core/render/anchoring'
import { statesOfStyle } from '#core/style/registry'
import { set, takeAway, type WhyRule } from './rule'

/** Kinds whose box is seen by what is set for it alone: nothing of theirs is cut by its corners. */
const PLAIN: ReadonlySet<string> = new Set([
  'text',
  'heading',
  'eyebrow',
  'quote',
  'list',
  'item',
  'link',
  'nav',
  'section',
  'group',
  'form',
])
/** What shows where a box ends. */
const DRAWN = ['fill', 'fillLayers', 'edgeWidth', 'edgeWidths', 'shadow', 'contact', 'behind'] as const

/** Edges and corners, and what a picture is cropped by. */
export const SURFACE_RULES: readonly WhyRule[] = [
  ({ block, values }) =>
    values.corner !== undefined && values.corners !== undefined
      ? {
          property: 'corner',
          sentence: 'Its corners are set one by one.',
          repair: { label: 'Set all alike', edit: set(block, { corners: null }) },
        }
      : undefined,
  ({ block, values }) =>
    values.edgeColour !== undefined && values.edgeWidth === undefined && !hasTrait(block.kind, 'line') && !hasBoxOfGuide(block)
      ? {
          property: 'edgeColour',
          sentence: 'The edge has no width, so its colour is not seen.',
          repair: { label: 'Make it 1 px', edit: set(block, { edgeWidth: 1 }) },
        }
      : undefined,
  ({ block, values }) =>
    values.edgeSides !== undefined && values.edgeWidth === undefined && !hasBoxOfGuide(block)
      ? {
          property: 'edgeSides',
          sentence: 'The edge has no width, so it is seen at no side.',
          repair: { label: 'Make it 1 px', edit: set(block, { edgeWidth: 1 }) },
        }
      : undefined,
  ({ block, values }) => {
    const property = values.corner !== undefined ? 'corner' : values.corners !== undefined ? 'corners' : undefined
    const seen = [values, ...statesOfStyle(block.style).map(([, one]) => one)].some((one) =>
      DRAWN.some((name) => one[name] !== undefined),
    )
    // What it holds may be cut at them.
    const cuts = shadesAround(block) || movesBehind(block)
    return property && PLAIN.has(block.kind) && !hasBoxOfGuide(block) && !seen && !cuts
      ? {
          property,
          sentence: 'It has no fill, edge or shadow, so its corners are not seen.',
          repair: { label: 'Give it a fill', edit: set(block, { fill: { role: 'accent', alpha: 0.12 } }) },
        }
      : undefined
  },
  ({ block, values, around, outer, position }) => {
    if (block.kind !== 'picture' || position === 'backdrop' || position === 'held') return undefined
    const property = values.fit !== undefined ? 'fit' : values.focal !== undefined ? 'focal' : undefined
    const stretched =
      (values.selfAlign ?? around.align) === 'stretch' || (outer === 'row' && (values.selfAlign ?? around.align) === undefined)
    const has = [values.aspect, values.height, values.minHeight].some((one) => one !== undefined) || stretched || values.grow
    return property && !has
      ? {
          property,
          sentence: 'It is shown whole, at its own ratio, so there is nothing to crop.',
          repair: { label: 'Give it a ratio of 3 : 2', edit: set(block, { aspect: { width: 3, height: 2 } }) },
        }
      : undefined
  },
  ({ block, values }) =>
    values.shown === false && !block.hidden && Object.keys(values).length > 1
      ? {
          property: 'shown',
          sentence: 'It is left out at these widths, so nothing else that is set is seen.',
          repair: takeAway(block, 'shown'),
        }
      : undefined,
]
