import { z } from 'zod'
import { iconSchema } from '#core/values/icon'
import { attributes } from './element'
import { element } from './html'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({
  icon: iconSchema,
  /** Width and height, px. */
  size: z.number().min(8).max(200),
})
export type IconBlock = BlockBase<'icon', typeof fields>

/** An icon that a new icon block shows until another is chosen: a star. */
const STAR: IconBlock['icon'] = {
  name: 'star',
  nodes: [['polygon', { points: '12 2 15.1 8.3 22 9.3 17 14.1 18.2 21 12 17.8 5.8 21 7 14.1 2 9.3 8.9 8.3 12 2' }]],
}

/** A drawing in one colour, that of the words. */
export const icon: Kind<IconBlock> = {
  fields,
  traits: ['flow', 'sides', 'ink', 'box'],
  defaults: () => ({ icon: STAR, size: 32 }),
  element: (block, context) =>
    element(
      'svg',
      attributes(block, context, {
        ariaHidden: 'true',
        width: String(block.size),
        height: String(block.size),
        viewBox: '0 0 24 24',
        fill: 'none',
        stroke: 'currentColor',
        strokeWidth: '1.5',
        strokeLineCap: 'round',
        strokeLineJoin: 'round',
      }),
      block.icon.nodes.map(([tag, shape]) => element(tag, { ...shape }, [])),
    ),
}
