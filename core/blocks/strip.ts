import type { Element, ElementContent } from 'hast'
import { motionsOf } from '#core/style/motions-of'
import type { ElementContext } from './element'
import { element } from './html'
import type { Block } from './index'
import { saidIn } from './said'

/** The class of what moves in a strip, of all its blocks in it once, and of what pauses all that goes on and on in a section. */
export const RUN = 'run'
export const TURN = 'turn'
export const PAUSE = 'pause'

/** Elements that hold items alone, and none that passes with them (HTML, 4.4). */
const LISTS: ReadonlySet<string> = new Set(['ul', 'ol', 'dl'])

/** True for a group whose blocks could pass: it is no list, it shows all of them, and nothing opens it. */
export const mayPass = (block: Block): boolean =>
  block.kind === 'group' && !LISTS.has(block.element ?? 'div') && !block.oneShown && !block.panel

/** True for a group whose blocks pass one after the other, over and over. */
export const isStrip = (block: Block): boolean => mayPass(block) && motionsOf(block.style).some((one) => one.kind === 'strip')

/** What is in a strip, and once more behind it, so that there is no end; the copy is for the eye alone. */
export const runOf = (children: readonly ElementContent[]): Element =>
  element('div', { className: [RUN] }, [
    element('div', { className: [TURN] }, [...children]),
    element('div', { className: [TURN], ariaHidden: 'true', inert: true }, structuredClone(children).map(unnamed)),
  ])

/** An element without what may stand in a document once only. */
function unnamed(node: ElementContent): ElementContent {
  if (node.type !== 'element') return node
  const { id: _, name: __, ...properties } = node.properties
  return { ...node, properties, children: node.children.map(unnamed) }
}

/** What pauses all that moves by itself in a section (WCAG 2.2.2), without a script. */
export const pauseOf = ({ language }: Pick<ElementContext, 'language'>): Element =>
  element('label', { className: [PAUSE] }, [
    element('input', { type: 'checkbox', ariaLabel: saidIn(language).pause }, []),
    element('span', { ariaHidden: 'true' }, []),
  ])
