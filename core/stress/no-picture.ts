import type { Block } from '#core/blocks/index'
import type { FillLayer } from '#core/style/fill-layers'
import type { StyleValues } from '#core/style/registry'
import { changeSections, mapBlocks, type Stress } from './stress'

const isPlain = (layer: FillLayer) => layer.kind !== 'picture'

/** Values without pictures in their fill. */
function plain<V extends StyleValues | undefined>(values: V): V {
  if (!values?.fillLayers || values.fillLayers.every(isPlain)) return values
  const { fillLayers, ...rest } = values
  const left = fillLayers.filter(isPlain)
  return (left.length > 0 ? { ...rest, fillLayers: left } : rest) as V
}

/** A block without pictures: those that stand alone are gone, and so are those of fills. */
function without(block: Block): Block {
  if (block.kind === 'picture') return { ...block, hidden: true }
  const { base, below } = block.style
  const style = {
    ...block.style,
    ...(base ? { base: plain(base) } : {}),
    ...(below ? { below: Object.fromEntries(Object.entries(below).map(([id, values]) => [id, plain(values)])) } : {}),
  }
  return { ...block, style } as Block
}

export const noPicture: Stress = {
  label: 'No picture',
  note: 'where one is missing, or not there yet',
  change: changeSections((section) => mapBlocks(section, without)),
}
