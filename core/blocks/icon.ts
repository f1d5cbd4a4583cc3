import type { Element } from 'hast'
import { z } from 'zod'
import { type Icon, iconSchema, viewBoxOf } from '#core/values/icon'
import { attributes } from './element'
import { element } from './html'
import type { BlockBase, Kind } from './kind'

/** Sizes that icons are set in so that they look alike, px. */
export const ICON_SIZES = [16, 20, 24, 32, 40, 48, 64] as const

const fields = z.strictObject({
  icon: iconSchema,
  /** Width and height, px. */
  size: z.number().min(8).max(200),
  /** True for one that stands in the middle of its box by what is seen of it. */
  centred: z.literal(true).optional(),
})
export type IconBlock = BlockBase<'icon', typeof fields>

/** An icon that a new icon block shows until another is chosen: a star. */
const STAR: IconBlock['icon'] = {
  name: 'star',
  nodes: [['polygon', { points: '12 2 15.1 8.3 22 9.3 17 14.1 18.2 21 12 17.8 5.8 21 7 14.1 2 9.3 8.9 8.3 12 2' }]],
}

/** What an icon draws. */
export const shapesOf = ({ nodes }: Icon): Element[] => nodes.map(([tag, values]) => element(tag, { ...values }, []))

/** A drawing in one colour, that of the words. */
export const icon: Kind<IconBlock> = {
  fields,
  traits: ['flow', 'sides', 'ink', 'box'],
  defaults: () => ({ icon: STAR, size: 32 }),
  element: (block, context) => {
    const centred = block.centred === true
    const href = context.sprite?.(block.icon, centred)
    return element(
      'svg',
      attributes(block, context, {
        ariaHidden: 'true',
        width: String(block.size),
        height: String(block.size),
        ...(href ? {} : { viewBox: viewBoxOf(block.icon, centred) }),
        fill: 'none',
        stroke: 'currentColor',
        strokeWidth: '1.5',
        strokeLineCap: 'round',
        strokeLineJoin: 'round',
      }),
      href ? [element('use', { href }, [])] : shapesOf(block.icon),
    )
  },
}
