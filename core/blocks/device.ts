import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { byLanguage } from '#core/values/language'
import { attributes } from './element'
import { DEVICE_NAMES, DEVICES } from './devices'
import { element } from './html'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({
  device: z.enum(DEVICE_NAMES),
  /** What its screen shows: a picture, or a page of the site. */
  picture: idSchema.optional(),
  page: idSchema.optional(),
  /** Alternative text by language; an empty one says that it is decoration. */
  alt: byLanguage(z.string().max(1000)).optional(),
})
export type Device = BlockBase<'device', typeof fields>

/** A made-up device with a picture or a page of the site on its screen, drawn at any size. */
export const device: Kind<Device> = {
  fields,
  traits: ['flow', 'sides', 'ink', 'contact', 'drawing'],
  defaults: () => ({ device: 'laptop' }),
  element(block, context) {
    const { size, screen, corner, body, marks } = DEVICES[block.device]
    const alt = block.alt?.[context.language] ?? ''
    const at = {
      x: String(screen.x),
      y: String(screen.y),
      width: String(screen.width),
      height: String(screen.height),
    }
    const shown = block.page === undefined || block.page === context.page ? undefined : context.framed(block.page)
    const src = shown || block.picture === undefined ? undefined : context.poster(block.picture, screen.width)
    const clip = `${context.anchor}-screen`
    const inside = shown
      ? element('foreignObject', at, [
          element(
            'iframe',
            {
              src: shown.src,
              title: shown.name,
              width: String(screen.width),
              height: String(screen.height),
              loading: 'lazy',
              tabIndex: -1,
            },
            [],
          ),
        ])
      : src
        ? element('image', { ...at, href: src, preserveAspectRatio: 'xMidYMin slice' }, [])
        : element('rect', { ...at, fill: 'currentColor', opacity: '0.12' }, [])
    return element(
      'svg',
      attributes(block, context, {
        viewBox: `0 0 ${size.width} ${size.height}`,
        ...(alt === '' ? { ariaHidden: shown ? undefined : 'true' } : { role: 'img', ariaLabel: alt }),
      }),
      [
        element('clipPath', { id: clip }, [element('rect', { ...at, rx: String(corner) }, [])]),
        ...body.map((d) => element('path', { d, fill: 'currentColor' }, [])),
        element('rect', { ...at, rx: String(corner), fill: '#ffffff' }, []),
        element('g', { clipPath: `url(#${clip})` }, [inside]),
        ...marks.map((d) => element('path', { d, fill: 'currentColor' }, [])),
      ],
    )
  },
}
