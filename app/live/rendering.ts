import type { Element } from 'hast'
import { createRenderer, pageBody, type RenderedSection } from '#core/render/page'
import { element } from '#core/blocks/html'
import { printRules, type Rule } from '#core/render/rules'
import { sharedRules, tokenDeclarations, withTokens } from '#core/render/guide-rules'
import { crossedFrame, type Finish, WIRE_CSS, wireSite } from '#core/render/wire'
import { pageFile } from '#core/render/own-links'
import type { Page, Site } from '#core/site/schema'
import type { Stress } from '#core/stress/stress'
import type { Making, Picture } from '#core/picture/picture'
import { fallbackCss, familiesOf, fontFaceCss, fontFiles } from '#core/type/families'

/** A page as the views show it. */
export type RenderedPage = {
  body: Element
  sections: readonly RenderedSection[]
  sharedCss: string
  language: string
  /** What becomes of the CSS of its sections. */
  restyle?: (css: string) => string
}

/** Rules that a page has besides its own, and what becomes of those. */
export type MoreCss = Pick<Stress, 'css' | 'restyle'>

/** A page with more rules than its own. They come before those of its sections, so what must hold over them says `!important`. */
export const withCss = (page: RenderedPage, { css = '', restyle }: MoreCss = {}): RenderedPage =>
  css === '' && !restyle
    ? page
    : { ...page, sharedCss: (restyle?.(page.sharedCss) ?? page.sharedCss) + css, ...(restyle ? { restyle } : {}) }

function viewPicture(picture: Picture, width: number | null, { turn, opacity }: Making = {}): string {
  const query = new URLSearchParams()
  if (width !== null) query.set('w', String(width))
  if (turn) query.set('turn', String(turn))
  if (opacity !== undefined) query.set('opacity', String(Math.round(opacity * 100)))
  return `/pictures/${picture.hash}${query.size > 0 ? `?${query}` : ''}`
}

/** Where a page that is shown inside another is found: as visitors get it, as it was kept last. */
const framedPage = (page: Page): string => {
  const [, site] = /\/sites\/([\w-]+)/.exec(location.pathname) ?? []
  return site === undefined ? 'about:blank' : `/visit/${site}/${pageFile(page)}`
}

/** Where the views find what a page refers to. Links and forms do nothing there. */
export const viewAddresses = (look: Finish) => ({
  picture: look === 'wire' ? crossedFrame : viewPicture,
  framed: framedPage,
  link: () => '#',
  form: () => '#',
})

/** The rules that all pages of a site share, with its tokens, in one look. */
export function sharedViewRules(site: Site, look: Finish): Rule[] {
  const shown = look === 'wire' ? wireSite(site) : site
  return withTokens(sharedRules(shown, 'everything'), tokenDeclarations(shown))
}

/** The `@font-face` rules of the site's own fonts; all others are in `/fonts.css`. */
export const ownFontsCss = ({ fonts }: Pick<Site, 'fonts'>): string =>
  familiesOf(fonts)
    .filter((family) => family.own)
    .flatMap((family) => [...fontFiles(family).map((file) => fontFaceCss(file, `/fonts/${file.name}`)), fallbackCss(family)])
    .join('')

/** Makes the renderer of the views. It remembers what it printed, so an edit prints only what it touched. */
export function createViewRenderer(language: string, look: Finish = 'finished'): (site: Site, page: Page) => RenderedPage {
  const render = createRenderer({ language, editing: true, viewportUnit: 'property', addresses: viewAddresses(look) })
  let shared: { site: Site; css: string } | undefined
  return (site, page) => {
    if (shared?.site.guide !== site.guide || shared.site.breakpoints !== site.breakpoints || shared.site.fonts !== site.fonts) {
      const css = ownFontsCss(site) + printRules(sharedViewRules(site, look), 'minified')
      shared = { site, css: look === 'wire' ? css + WIRE_CSS : css }
    }
    const sections = render(site, page)
    const body = element('body', {}, pageBody(page, sections))
    return { body, sections, sharedCss: shared.css, language }
  }
}

const renderers = new Map<string, ReturnType<typeof createViewRenderer>>()

/**
 * One renderer for all live pages of a language, a look and a direction, so that several of them print a change once.
 */
export function liveRenderer(language: string, look: Finish, direction = ''): ReturnType<typeof createViewRenderer> {
  const key = `${language} ${look} ${direction}`
  let render = renderers.get(key)
  if (!render) renderers.set(key, (render = createViewRenderer(language, look)))
  return render
}

const texts = new WeakMap<readonly Rule[], string>()

/** The CSS of one section, printed once for all views. */
export function sectionCss(rules: readonly Rule[]): string {
  let text = texts.get(rules)
  if (text === undefined) texts.set(rules, (text = printRules(rules, 'minified')))
  return text
}
