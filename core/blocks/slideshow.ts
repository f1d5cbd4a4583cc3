import type { Element, ElementContent } from 'hast'
import { z } from 'zod'
import { attributes, labelOf } from './element'
import { label } from './fields'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'
import { saidIn } from './said'

const fields = z.strictObject({
  ...label,
  /** Seconds for which each slide stands by itself; it stands until it is moved where nothing is said. */
  every: z.number().min(2).max(60).optional(),
  /** False to show one slide at a time without the dots that lead to each. */
  dots: z.literal(false).optional(),
})
export type Slideshow = BlockBase<'slideshow', typeof fields> & { children: Block[] }

/** The class of a slideshow, and of the row of its slides. */
export const SLIDESHOW = 'slideshow'
export const SLIDES = 'slides'

const button = (name: string, label: string, shown: ElementContent): Element =>
  element('button', { type: 'button', hidden: true, ariaLabel: label, [name]: '' }, [shown])

/** An arrow as a drawing: letters that look like one are specks in most faces. */
const chevron = (d: string): Element =>
  element(
    'svg',
    { ariaHidden: 'true', viewBox: '0 0 24 24', width: '24', height: '24', fill: 'none', stroke: 'currentColor', strokeWidth: '2' },
    [element('path', { d }, [])],
  )

/**
 * Slides that stand side by side and snap: they are scrolled by a swipe, a wheel or keys, and each is led to by a dot, all
 * without a script. With it come buttons, keys, the dot of the slide that is seen, and the slides that change by themselves.
 */
export const slideshow: Kind<Slideshow> = {
  fields,
  traits: ['flow', 'sides', 'ink', 'box', 'ratio'],
  holds: 'flow',
  sharedClass: () => SLIDESHOW,
  defaults: (makeId, newBlock) => ({ children: [newBlock('picture', makeId), newBlock('picture', makeId)] }),
  element: (block, context) => {
    const said = saidIn(context.language)
    const { children, editing, anchor } = context
    const id = (index: number) => `${anchor}-${index + 1}`
    const slides = children.map((child, index): ElementContent =>
      element(
        'div',
        { id: id(index), role: 'group', ariaRoleDescription: [said.slide], ariaLabel: said.of(index + 1, children.length) },
        [child],
      ),
    )
    const dots = children.map((_, index) =>
      element('a', { href: `#${id(index)}`, ariaLabel: said.of(index + 1, children.length) }, []),
    )
    const several = children.length > 1
    return element(
      'div',
      attributes(block, context, {
        role: 'region',
        ariaRoleDescription: [said.slideshow],
        ...labelOf(block, context),
        ...(several && !editing ? { dataSlideshow: String(block.every ?? 0) } : {}),
      }),
      [
        element('div', { className: [SLIDES], tabIndex: 0 }, slides),
        ...(several
          ? [
              element('div', { className: ['slide-controls'] }, [
                button('dataPrevious', said.previous, chevron('M15 5l-7 7 7 7')),
                ...(block.dots === false ? [] : [element('div', { className: ['slide-dots'] }, dots)]),
                button('dataNext', said.next, chevron('M9 5l7 7-7 7')),
                ...(block.every === undefined ? [] : [button('dataPause', said.pause, { type: 'text', value: '❚❚' })]),
              ]),
            ]
          : []),
      ],
    )
  },
}
