import type { Element, Nodes, Root } from 'hast'
import { find, html, type Schema, svg } from 'property-information'
import { printable } from './printable'

/** Elements that have no content and no end tag (HTML, 13.1.2). */
const VOID: ReadonlySet<string> = new Set('area base br col embed hr img input link meta source track wbr'.split(' '))
/** Elements whose text is not escaped (HTML, 13.1.2.1). */
const RAW: ReadonlySet<string> = new Set(['script', 'style'])

const names = new Map<Schema, Map<string, string>>([
  [html, new Map()],
  [svg, new Map()],
])

/** The attribute of a property of the tree. */
function attributeOf(property: string, schema: Schema): string {
  const known = names.get(schema)!
  let name = known.get(property)
  if (name === undefined) known.set(property, (name = find(schema, property).attribute))
  return name
}

/** Signs that are escaped, and those that are no text and left out. */
// oxlint-disable-next-line no-control-regex -- these are looked for
const SIGNS = /[&<>"\u0000-\u0008\u000b-\u001f\u007f-\u009f\ud800-\udfff\ufffe\uffff]/
const escapeText = (text: string): string =>
  SIGNS.test(text) ? printable(text).replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;') : text
const escapeValue = (text: string): string =>
  SIGNS.test(text) ? printable(text).replace(/&/g, '&amp;').replace(/"/g, '&quot;') : text

function startTag({ tagName, properties }: Element, schema: Schema): string {
  let tag = `<${tagName}`
  for (const property in properties) {
    const value = properties[property]
    if (value === undefined || value === null || value === false) continue
    tag += ` ${attributeOf(property, schema)}`
    if (value !== true) tag += `="${escapeValue(Array.isArray(value) ? value.join(' ') : String(value))}"`
  }
  return `${tag}>`
}

function print(node: Nodes, schema: Schema, raw: boolean): string {
  switch (node.type) {
    case 'element': {
      const inside = node.tagName === 'svg' ? svg : schema
      const start = startTag(node, inside)
      if (VOID.has(node.tagName)) return start
      let text = start
      const rawInside = RAW.has(node.tagName)
      for (const child of node.children) text += print(child, inside, rawInside)
      return `${text}</${node.tagName}>`
    }
    case 'text':
      return raw ? node.value : escapeText(node.value)
    case 'doctype':
      return '<!doctype html>'
    case 'root': {
      let text = ''
      for (const child of node.children) text += print(child, schema, raw)
      return text
    }
    default:
      return ''
  }
}

/**
 * A tree as HTML text (HTML, 13.3). It knows what the renderer makes and no more, and is several times as fast as a
 * printer of any tree; text and values are escaped, so that nothing in them is read as markup.
 */
export const htmlText = (tree: Root | Element): string => print(tree, html, false)
