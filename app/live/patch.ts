import type { Element, ElementContent, Properties } from 'hast'
import { find, html, svg } from 'property-information'

/** The nodes that a view shows, by the tree objects that they were made from. */
export type Shown = WeakMap<ElementContent, Node>

const SVG = 'http://www.w3.org/2000/svg'
const DRAWN: ReadonlySet<string> = new Set(
  'svg g path circle rect line polyline polygon ellipse clipPath image foreignObject symbol use'.split(' '),
)
const isSvg = (element: Element) => DRAWN.has(element.tagName)

/** True while the words of an element are edited in this very view: its content is the editor's. */
export const EDITED = 'data-edited'

function attribute(name: string, value: Properties[string], schema: typeof html): [string, string] | undefined {
  if (value === undefined || value === null || value === false) return undefined
  const { attribute: written } = find(schema, name)
  return [written, Array.isArray(value) ? value.join(' ') : value === true ? '' : String(value)]
}

function setAttributes(node: globalThis.Element, before: Properties, now: Properties, schema: typeof html): void {
  for (const name of Object.keys(before)) {
    if (!(name in now)) node.removeAttribute(find(schema, name).attribute)
  }
  for (const [name, value] of Object.entries(now)) {
    if (before[name] === value) continue
    const pair = attribute(name, value, schema)
    if (pair && node.getAttribute(pair[0]) !== pair[1]) node.setAttribute(pair[0], pair[1])
  }
}

function create(document: Document, content: ElementContent, shown: Shown): Node {
  if (content.type !== 'element') {
    const text = document.createTextNode(content.value)
    shown.set(content, text)
    return text
  }
  const drawing = isSvg(content)
  const node = drawing ? document.createElementNS(SVG, content.tagName) : document.createElement(content.tagName)
  setAttributes(node, {}, content.properties, drawing ? svg : html)
  for (const child of content.children) node.appendChild(create(document, child, shown))
  shown.set(content, node)
  return node
}

const keyOf = (content: ElementContent, index: number): string =>
  content.type === 'element' ? `${content.tagName}:${String(content.properties.dataBlock ?? index)}` : `text:${index}`

/**
 * Brings the DOM of one element from the tree `before` to the tree `now`. Parts of the tree that are the same object
 * are not looked at, so an edit costs what it changed.
 */
export function patch(node: globalThis.Element, before: Element, now: Element, shown: Shown): void {
  if (before === now) return
  setAttributes(node, before.properties, now.properties, isSvg(now) ? svg : html)
  // The tree from before may be shown once more, when the node is no longer what it says.
  shown.delete(before)
  shown.set(now, node)
  if (node.hasAttribute(EDITED)) return
  const old = new Map<string, ElementContent>(before.children.map((child, index) => [keyOf(child, index), child]))
  const used = new Set<Node>()
  const next = now.children.map((child, index): Node => {
    const same = shown.get(child)
    if (same && same.parentNode === node && !used.has(same)) {
      used.add(same)
      return same
    }
    const former = old.get(keyOf(child, index))
    const formerNode = former && shown.get(former)
    const reusable = formerNode?.parentNode === node && !used.has(formerNode) ? formerNode : undefined
    let made: Node
    if (child.type === 'element' && former?.type === 'element' && reusable) {
      patch(reusable as globalThis.Element, former, child, shown)
      made = reusable
    } else made = create(node.ownerDocument, child, shown)
    used.add(made)
    return made
  })
  for (const child of [...node.childNodes]) if (!used.has(child)) child.remove()
  next.forEach((child, index) => {
    if (node.childNodes[index] !== child) node.insertBefore(child, node.childNodes[index] ?? null)
  })
}

/** Makes an element's content anew, as after its words have been edited in place. */
export function refill(node: globalThis.Element, content: Element, shown: Shown): void {
  node.replaceChildren(...content.children.map((child) => create(node.ownerDocument, child, shown)))
}
