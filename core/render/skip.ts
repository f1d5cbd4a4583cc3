import type { Element } from 'hast'
import { element } from '#core/blocks/html'
import type { Rule } from './rules'

/** What the link past the header says, by the language of the page. */
const SKIP: Record<string, string> = {
  en: 'Skip to the content',
  da: 'Gå til indholdet',
  de: 'Zum Inhalt',
  es: 'Ir al contenido',
  fr: 'Aller au contenu',
  it: 'Vai al contenuto',
  nb: 'Gå til innholdet',
  nl: 'Naar de inhoud',
  pl: 'Przejdź do treści',
  pt: 'Ir para o conteúdo',
  sv: 'Till innehållet',
}

/** The link by which the header is passed over (WCAG 2.2, 2.4.1): first on the page, and seen once it has the focus. */
export function skipLink(language: string): Element {
  const own = SKIP[language.split('-')[0]!]
  const words = own ?? SKIP.en!
  return element('a', { className: ['skip'], href: '#main', ...(own ? {} : { lang: 'en' }) }, [{ type: 'text', value: words }])
}

export const SKIP_RULES: readonly Rule[] = [
  {
    selector: '.skip',
    below: null,
    declarations: [
      ['position', 'absolute'],
      ['z-index', '9'],
      ['padding', '0.75em 1.25em'],
      ['color', 'var(--ground)'],
      ['background', 'var(--ink)'],
    ],
  },
  { selector: '.skip:not(:focus)', below: null, declarations: [['clip-path', 'inset(50%)']] },
]
