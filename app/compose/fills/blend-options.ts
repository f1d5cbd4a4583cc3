import { BLENDS } from '#core/style/blends'

/** Blend modes as they are chosen, by the names that CSS gives them. */
export const BLEND_OPTIONS = BLENDS.map((value) => ({
  value,
  label: value[0]!.toUpperCase() + value.slice(1).replace('-', ' ').replace('olor', 'olour'),
}))
