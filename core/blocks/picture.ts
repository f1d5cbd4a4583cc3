import type { Element, Properties } from 'hast'
import { z } from 'zod'
import { byLanguage } from '#core/values/language'
import { idSchema } from '#core/values/ids'
import { turnSchema } from '#core/picture/picture'
import { attributes, type ElementContext, linked } from './element'
import { link } from './fields'
import { element } from './html'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({
  picture: idSchema.optional(),
  /** Alternative text by language; an empty one says that the picture is decoration. */
  alt: byLanguage(z.string().max(1000)).optional(),
  /** Quarter turns, degrees clockwise. */
  turn: turnSchema.optional(),
  /** Another picture below a breakpoint, by its id. */
  instead: z.record(idSchema, idSchema).optional(),
  ...link,
})
export type PictureBlock = BlockBase<'picture', typeof fields>

/** A picture that is not chosen yet: a crossed frame. */
function emptyFrame(block: PictureBlock, context: ElementContext): Element {
  const line = (x1: string, y1: string, x2: string, y2: string) => element('line', { x1, y1, x2, y2 }, [])
  const frame = element('svg', { ariaHidden: 'true', width: '100%', height: '100%' }, [
    line('0', '0', '100%', '100%'),
    line('0', '100%', '100%', '0'),
  ])
  // A frame without a shape of its own is as high as a picture might be.
  const shaped = block.style.base?.aspect !== undefined || block.style.base?.height !== undefined
  const className = [...context.className, 'frame', ...(shaped ? [] : ['frame-open'])]
  return element('div', attributes(block, { ...context, className }), [frame])
}

/** A picture of the site. */
export const picture: Kind<PictureBlock> = {
  fields,
  traits: ['flow', 'sides', 'box', 'contact', 'ratio', 'image'],
  defaults: () => ({}),
  element(block, context) {
    const chosen = block.picture === undefined ? undefined : context.picture(block.picture)
    if (!chosen) return emptyFrame(block, context)
    const { image: files, sources } = context.image(block, chosen)
    const image: Properties = { alt: block.alt?.[context.language] ?? '', ...files }
    if (!context.boxed) return element('img', attributes(block, context, image), [])
    const tag = block.link ? 'a' : 'div'
    const shown = element('img', image, [])
    const offered = sources.map((one) => element('source', one, []))
    const inside = offered.length === 0 ? shown : element('picture', {}, [...offered, shown])
    return element(tag, attributes(block, context, linked(block.link, context)), [inside])
  },
}
