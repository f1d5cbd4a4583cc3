import type { FillLayer } from '#core/style/fill-layers'
import type { StyleValues } from '#core/style/registry'
import { changeSections, mapBlocks, type Stress, withValues } from './stress'

const isPlain = (layer: FillLayer) => layer.kind !== 'picture'

/** Values without pictures in their fill. */
function plain(values: StyleValues): StyleValues {
  if (!values.fillLayers || values.fillLayers.every(isPlain)) return values
  const { fillLayers, ...rest } = values
  const left = fillLayers.filter(isPlain)
  return left.length > 0 ? { ...rest, fillLayers: left } : rest
}

export const noPicture: Stress = {
  label: 'No picture',
  note: 'where one is missing, or not there yet',
  change: changeSections((section) =>
    mapBlocks(section, (block) => (block.kind === 'picture' ? { ...block, hidden: true } : withValues(block, plain))),
  ),
}
