import { hasBoxOfGuide } from '#core/blocks/applies'
import { hasTrait } from '#core/blocks/index'
import { set, takeAway, type WhyRule } from './rule'

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
    const plain = block.kind === 'text' || block.kind === 'heading' || block.kind === 'eyebrow' || block.kind === 'quote'
    const box = plain || block.kind === 'list' || block.kind === 'section' || (block.kind === 'group' && !hasBoxOfGuide(block))
    const { fill, fillLayers, edgeWidth, shadow, contact } = { ...values, ...block.style.hover }
    return values.corner !== undefined && box && [fill, fillLayers, edgeWidth, shadow, contact].every((one) => one === undefined)
      ? {
          property: 'corner',
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
