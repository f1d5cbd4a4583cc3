import type { Mark, Span } from './words'

/** A stretch of text with all its marks beside it, as rich text editors keep it. */
export type MarkedText = { text: string; marks: readonly MarkValue[] } | { break: true; marks: readonly MarkValue[] }
export type MarkValue = { kind: Mark } | { kind: 'link'; href: string }

/** The order in which marks are nested, outermost first. */
const ORDER = ['link', 'highlight', 'strong', 'emphasis', 'struck'] as const

const sameMark = (a: MarkValue, b: MarkValue) => a.kind === b.kind && (a.kind !== 'link' || a.href === (b as { href: string }).href)

/** Flattens a tree of spans. */
export function toMarked(spans: readonly Span[], marks: readonly MarkValue[] = []): MarkedText[] {
  return spans.flatMap((span): MarkedText[] => {
    if (typeof span === 'string') return span === '' ? [] : [{ text: span, marks }]
    if (span.kind === 'break') return [{ break: true, marks }]
    const mark: MarkValue = span.kind === 'link' ? { kind: 'link', href: span.href } : { kind: span.kind }
    return toMarked(span.children, marks.some((one) => sameMark(one, mark)) ? marks : [...marks, mark])
  })
}

/** Builds the tree of spans: neighbours that share an outer mark share one span. */
export function fromMarked(list: readonly MarkedText[]): Span[] {
  const spans: Span[] = []
  for (let i = 0; i < list.length;) {
    const one = list[i]!
    const outer = [...one.marks].sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind))[0]
    if (!outer) {
      const last = spans.at(-1)
      if ('break' in one) spans.push({ kind: 'break' })
      else if (typeof last === 'string') spans[spans.length - 1] = last + one.text
      else spans.push(one.text)
      i++
      continue
    }
    let end = i
    while (end < list.length && list[end]!.marks.some((mark) => sameMark(mark, outer))) end++
    const inner = list.slice(i, end).map((part) => ({ ...part, marks: part.marks.filter((mark) => !sameMark(mark, outer)) }))
    const children = fromMarked(inner)
    spans.push(outer.kind === 'link' ? { kind: 'link', href: outer.href, children } : { kind: outer.kind, children })
    i = end
  }
  return spans
}
