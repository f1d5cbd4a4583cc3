import { toHtml } from 'hast-util-to-html'
import { currentOf } from '#core/site/directions'
import type { Page, Site } from '#core/site/schema'
import type { Picture } from '#core/picture/picture'
import { type Family, familyOf } from '#core/type/families'
import { element } from '#core/blocks/html'
import { eitherStyle, printable, styleText, xhtmlText } from '#core/render/printable'
import { printRules } from '#core/render/rules'
import { sharedRules, tokenDeclarations, withTokens } from '#core/render/guide-rules'
import { specimenBody, specimenCss } from './specimen'

/** Where the pictures of a printed specimen are, and the rules that bring its fonts. */
export type SpecimenParts = { picture: (picture: Picture) => string; fontCss: string }

/** The families that the guide's faces are of, each once. */
export const familiesOfGuide = ({ guide, fonts }: Pick<Site, 'guide' | 'fonts'>): Family[] => [
  ...new Set(guide.faces.flatMap((face) => familyOf(face.family, fonts) ?? [])),
]

/** Every rule that a specimen needs but the fonts. */
const cssOf = (site: Site): string =>
  printRules(withTokens(sharedRules(site, 'everything'), tokenDeclarations(site)), 'minified') + specimenCss(site)

/** The style guide as a page to print or to send to the client. */
export function specimenDocument(site: Site, page: Page, { picture, fontCss }: SpecimenParts): string {
  const title = `${site.name}: ${currentOf(site).name}`
  const tree = element('html', { lang: site.language }, [
    element('head', {}, [
      element('meta', { charSet: 'utf-8' }, []),
      element('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }, []),
      element('title', {}, [{ type: 'text', value: title }]),
      element('style', {}, [{ type: 'text', value: styleText(`${fontCss}@page{margin:14mm}${cssOf(site)}`) }]),
    ]),
    specimenBody(site, page, picture),
  ])
  return `<!doctype html>\n${printable(toHtml(tree))}\n`
}

/** The same as XHTML that needs nothing else, to be drawn inside an SVG `foreignObject`. */
export function specimenDrawing(site: Site, page: Page, { picture, fontCss }: SpecimenParts): string {
  const body = specimenBody(site, page, picture)
  const drawn = {
    ...body,
    properties: { ...body.properties, xmlns: 'http://www.w3.org/1999/xhtml' },
    children: [element('style', {}, [{ type: 'text', value: eitherStyle(`${fontCss}${cssOf(site)}`) }]), ...body.children],
  }
  return xhtmlText(drawn)
}
