import { oneLine } from '#core/values/one-line'
import type { PhrasingContent } from 'mdast'
import { fromMarked, type MarkedText, type MarkValue } from '#core/values/words-marks'
import { hrefSchema } from '#core/values/href'
import type { Span } from '#core/values/words'

const html = (value: string): PhrasingContent => ({ type: 'html', value })

const isBreak = (span: Span) => typeof span !== 'string' && span.kind === 'break'

/** Words without the breaks at their ends, which part nothing and which Markdown has no sign for. */
export function withoutEndBreaks(spans: readonly Span[]): Span[] {
  const first = spans.findIndex((one) => !isBreak(one))
  return first < 0 ? [] : spans.slice(first, spans.findLastIndex((one) => !isBreak(one)) + 1)
}

/** Spans as Markdown's inline content. A highlight, for which Markdown has no sign, is written as `<mark>`. */
export function toPhrasing(spans: readonly Span[]): PhrasingContent[] {
  return spans.flatMap((span): PhrasingContent[] => {
    if (typeof span === 'string') return span === '' ? [] : [{ type: 'text', value: oneLine(span) }]
    switch (span.kind) {
      case 'break':
        return [{ type: 'break' }]
      case 'link':
        return [{ type: 'link', url: span.href, children: toPhrasing(span.children) }]
      case 'emphasis':
        return [{ type: 'emphasis', children: toPhrasing(span.children) }]
      case 'strong':
        return [{ type: 'strong', children: toPhrasing(span.children) }]
      case 'struck':
        return [{ type: 'delete', children: toPhrasing(span.children) }]
      case 'highlight':
        return [html('<mark>'), ...toPhrasing(span.children), html('</mark>')]
    }
  })
}

function flatten(nodes: readonly PhrasingContent[], marks: readonly MarkValue[]): MarkedText[] {
  let highlighted = false
  return nodes.flatMap((node): MarkedText[] => {
    const here: readonly MarkValue[] = highlighted ? [...marks, { kind: 'highlight' }] : marks
    switch (node.type) {
      case 'text':
        return [{ text: oneLine(node.value), marks: here }]
      case 'break':
        return [{ break: true, marks: here }]
      case 'emphasis':
        return flatten(node.children, [...here, { kind: 'emphasis' }])
      case 'strong':
        return flatten(node.children, [...here, { kind: 'strong' }])
      case 'delete':
        return flatten(node.children, [...here, { kind: 'struck' }])
      case 'link':
        // A link that may not be followed keeps its words.
        return flatten(node.children, hrefSchema.safeParse(node.url).success ? [...here, { kind: 'link', href: node.url }] : here)
      case 'inlineCode':
        return [{ text: node.value, marks: here }]
      case 'image':
        return node.alt ? [{ text: node.alt, marks: here }] : []
      case 'html':
        if (/^<mark>$/i.test(node.value)) highlighted = true
        else if (/^<\/mark>$/i.test(node.value)) highlighted = false
        return []
      default:
        return []
    }
  })
}

/** Markdown's inline content as spans. Pictures give their alternative text; other HTML is left out. */
export function fromPhrasing(nodes: readonly PhrasingContent[]): Span[] {
  return fromMarked(flatten(nodes, []))
}
