import type { ElementContent } from 'hast'
import type { Span } from '#core/values/words'
import { element } from './html'

const TAGS = { emphasis: 'em', strong: 'strong', struck: 's', highlight: 'mark' } as const

/** Spans as HTML elements. Words are only ever text nodes: nothing in them is read as markup. */
export function renderWords(spans: readonly Span[], href: (address: string) => string): ElementContent[] {
  return spans.map((span): ElementContent => {
    if (typeof span === 'string') return { type: 'text', value: span }
    if (span.kind === 'break') return element('br', {}, [])
    const children = renderWords(span.children, href)
    if (span.kind === 'link') return element('a', { href: href(span.href) }, children)
    return element(TAGS[span.kind], {}, children)
  })
}
