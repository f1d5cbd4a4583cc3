import type { Element } from 'hast'
import type { Page, Site } from '#core/site/schema'
import type { Making, Picture } from '#core/picture/picture'
import { type FontFile, fontFaceCss } from '#core/type/families'
import { element } from '#core/blocks/html'
import { createRenderer, pageBody } from './page'
import { eitherStyle, xhtmlText } from './printable'
import { printRules } from './rules'
import { sharedRules, tokenDeclarations } from './guide-rules'

/** Data URLs of what a mockup shows. */
export type MockupParts = { picture: (picture: Picture, making?: Making) => string; fonts: { file: FontFile; url: string }[] }

/**
 * A page as XHTML that needs nothing else, to be drawn inside an SVG `foreignObject`. The drawing's root stands for
 * `:root`, and is as high as its page, so `vh` is measured by a window of `viewportHeightFor` px.
 */
export function mockupBody(site: Site, page: Page, parts: MockupParts, viewportHeightFor: number): string {
  const render = createRenderer({
    language: site.language,
    editing: false,
    viewportUnit: 'property',
    addresses: {
      picture: (picture, _, making) => parts.picture(picture, making),
      link: () => '#',
      form: () => '#',
    },
  })
  const sections = render(site, page)
  const tokens = {
    selector: ':root',
    below: null,
    declarations: [['--vh', `${viewportHeightFor / 100}px`] as const, ...tokenDeclarations(site)],
  }
  const css =
    parts.fonts.map(({ file, url }) => fontFaceCss(file, url)).join('') +
    printRules([tokens, ...sharedRules(site, 'everything'), ...sections.flatMap((one) => one.rules)], 'minified')
  for (const section of sections) declareDrawings(section.element)
  const body = element('body', { xmlns: 'http://www.w3.org/1999/xhtml', lang: site.language }, [
    element('style', {}, [{ type: 'text', value: eitherStyle(css) }]),
    ...pageBody(page, sections),
  ])
  return xhtmlText(body)
}

/** In XML a drawing must say that it is one. The tree is this mockup's own, so it may be changed. */
function declareDrawings(node: Element): void {
  if (node.tagName === 'svg') node.properties.xmlns = 'http://www.w3.org/2000/svg'
  for (const child of node.children) if (child.type === 'element') declareDrawings(child)
}
