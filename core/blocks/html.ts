import type { Element, ElementContent, Properties } from 'hast'

/** An HTML element of the tree. */
export const element = (tagName: string, properties: Properties, children: ElementContent[]): Element => ({
  type: 'element',
  tagName,
  properties,
  children,
})
