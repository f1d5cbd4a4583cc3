import { type ShadowLayer, shadowLayers } from '#core/style/light'
import type { StyleGuide } from './style-guide'

/** The layers of a shadow of the guide: its own, or those of its height in the guide's light. */
export const layersOf = ({ light }: Pick<StyleGuide, 'light'>, shadow: StyleGuide['shadows'][number]): readonly ShadowLayer[] =>
  'layers' in shadow ? shadow.layers : shadowLayers(shadow.height, light)
