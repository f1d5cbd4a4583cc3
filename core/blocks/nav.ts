import type { Element } from 'hast'
import { z } from 'zod'
import { byLanguage } from '#core/values/language'
import { token } from '#core/values/length'
import { attributes, type ElementContext } from './element'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({
  label: byLanguage(z.string().max(200)),
  /** True for a nav whose links are the listed pages of the site, in their order and under their names. */
  follows: z.boolean().optional(),
})
export type Nav = BlockBase<'nav', typeof fields> & { children: Block[] }

/** A link to each listed page of the site, in the order of the site. */
const pageLinks = ({ pages, page, href }: ElementContext): Element[] =>
  pages.map(({ id, name }) =>
    element('a', { href: href({ page: id }), ...(id === page ? { ariaCurrent: 'page' } : {}) }, [{ type: 'text', value: name }]),
  )

/** Links that visitors steer by. */
export const nav: Kind<Nav> = {
  fields,
  traits: ['flow', 'layout', 'sides', 'aligned', 'type', 'ink', 'box'],
  holds: ['link'],
  defaults: (makeId, newBlock) => ({ label: {}, children: [newBlock('link', makeId)] }),
  style: { gap: token('space-5'), rowGap: token('space-2'), wrap: true },
  element: (block, context) => {
    const label = block.label[context.language]
    return element(
      'nav',
      attributes(block, context, label ? { ariaLabel: label } : {}),
      block.follows ? pageLinks(context) : context.children,
    )
  },
}
