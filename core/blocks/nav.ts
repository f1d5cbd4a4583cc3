import type { Element, ElementContent, Properties } from 'hast'
import { z } from 'zod'
import { byLanguage } from '#core/values/language'
import { idSchema } from '#core/values/ids'
import { token } from '#core/values/length'
import { attributes, type ElementContext } from './element'
import { element } from './html'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'
import { saidIn } from './said'

const fields = z.strictObject({
  label: byLanguage(z.string().max(200)),
  /** True for a nav whose links are the listed pages of the site, in their order and under their names. */
  follows: z.boolean().optional(),
  /** Below which breakpoint its links are folded away behind a button, and how they come out. */
  folds: z.strictObject({ below: idSchema, as: z.enum(['drop', 'cover']) }).optional(),
})
export type Nav = BlockBase<'nav', typeof fields> & { children: Block[] }

/** A link to each listed page of the site, in the order of the site. */
const pageLinks = ({ pages, page, href }: ElementContext): Element[] =>
  pages.map(({ id, name }) =>
    element('a', { href: href({ page: id }), ...(id === page ? { ariaCurrent: 'page' } : {}) }, [{ type: 'text', value: name }]),
  )

/** The class of what is folded away, and what the others begin with. */
export const FOLD = 'fold'
/** Space around links that have come out, px. */
export const FOLD_PADDING = 24

/** The width of the window, px, below which the links of a nav are folded away; 0 for what never folds. */
export const foldsBelow = (block: Block, breakpoints: readonly Breakpoint[]): number =>
  (block.kind === 'nav' && breakpoints.find((one) => one.id === block.folds?.below)?.below) || 0

/** Links behind a button; where they do not fold, there is nothing of it but the links. */
function folded({ id, folds }: Nav, links: ElementContent[], { language, editing, panel }: ElementContext): ElementContent[] {
  const said = saidIn(language)
  const fold = panel(id)?.id
  const button = (name: string, label: string, more: Properties = {}) =>
    element('button', { className: [name], type: 'button', ...(editing ? {} : { popoverTarget: fold }), ...more }, [
      { type: 'text', value: label },
    ])
  const inside = folds?.as === 'cover' ? [button('fold-close', said.close, { popoverTargetAction: 'hide' })] : []
  return [
    button('fold-open', said.menu),
    element('div', { className: [FOLD], ...(editing ? {} : { id: fold, popover: 'auto' }), dataFold: folds?.as }, [
      ...inside,
      ...links,
    ]),
  ]
}

/** Links that visitors steer by. */
export const nav: Kind<Nav> = {
  fields,
  traits: ['flow', 'layout', 'sides', 'aligned', 'type', 'ink', 'box'],
  holds: ['link'],
  defaults: (makeId, newBlock) => ({ label: {}, children: [newBlock('link', makeId)] }),
  style: { gap: token('space-5'), rowGap: token('space-2'), wrap: true },
  element: (block, context) => {
    const label = block.label[context.language]
    const links = block.follows ? pageLinks(context) : context.children
    return element(
      'nav',
      attributes(block, context, label ? { ariaLabel: label } : {}),
      block.folds ? folded(block, links, context) : links,
    )
  },
}
