import type { Element } from 'hast'
import { toHtml } from 'hast-util-to-html'

/** What no text of HTML or XML may hold: control characters, halves of pairs, and the two that are no characters (XML 1.0, 2.2). */
// oxlint-disable-next-line no-control-regex -- these are the characters that are taken out
const NOT_TEXT = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]|\p{Surrogate}/gu

/** A text without what may stand in no document. */
export const printable = (text: string): string => text.replace(NOT_TEXT, '')

/** A stylesheet as it may stand in a `style` element, whatever strings are in it. */
export const styleText = (css: string): string => printable(css).replaceAll('</', '<\\/').replaceAll(']]>', ']]\\>')

/** The `style` element of a document that is read as HTML and as XML alike, by the comment and section marks. */
export const eitherStyle = (css: string): string => `/*<![CDATA[*/${styleText(css)}/*]]>*/`

/** An opening tag, with its attributes. */
const TAG = /<[a-zA-Z][\w:-]*(?:\s+[^\s=>"'/]+(?:="[^"]*")?)+\s*\/?>/g
/** A value, or a name without one. */
const VALUE_OR_NAME = /="[^"]*"|\s([^\s=>"'/]+)(?=[\s/>])/g

/** In XML every attribute has a value, also one that only is there or not, and none has a sign that begins a tag (XML 1.0, 3.1). */
const withValues = (text: string): string =>
  text.replace(TAG, (tag) =>
    tag.replace(VALUE_OR_NAME, (all, name: string | undefined) =>
      name === undefined ? all.replaceAll('<', '&lt;') : ` ${name}=""`,
    ),
  )

/** A tree as XHTML, to be drawn inside an SVG `foreignObject`. */
export const xhtmlText = (tree: Element): string =>
  withValues(
    printable(
      toHtml(tree, { closeSelfClosing: true, closeEmptyElements: true, characterReferences: { useNamedReferences: false } }),
    ),
  ).replace(/\]\]>(?!\*\/<\/style>)/g, ']]&gt;')
