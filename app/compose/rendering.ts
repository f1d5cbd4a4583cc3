import type { Element } from 'hast'
import { createRenderer, pageBody, type RenderedSection } from '#core/render/page'
import { element } from '#core/render/element'
import { printRules, type Rule } from '#core/render/rules'
import { sharedRules, tokenDeclarations, withTokens } from '#core/render/shared-rules'
import type { Page, Site } from '#core/site/schema'

/** A page as the views show it. */
export type RenderedPage = { body: Element; sections: readonly RenderedSection[]; sharedCss: string }

/** Makes the renderer of the views. It remembers what it printed, so an edit prints only what it touched. */
export function createViewRenderer(language: string): (site: Site, page: Page) => RenderedPage {
  const render = createRenderer({
    language,
    editing: true,
    viewportUnit: 'property',
    addresses: {
      picture: (picture, width) => (width === null ? `/pictures/${picture.hash}` : `/pictures/${picture.hash}?w=${width}`),
      sources: false,
      link: () => '#',
      form: () => '#',
    },
  })
  let shared: { site: Site; css: string } | undefined
  return (site, page) => {
    if (shared?.site.guide !== site.guide || shared.site.breakpoints !== site.breakpoints) {
      shared = {
        site,
        css: printRules(withTokens(sharedRules(site, 'everything'), tokenDeclarations(site)), 'minified'),
      }
    }
    const sections = render(site, page)
    const body = element('body', {}, pageBody(page, sections))
    return { body, sections, sharedCss: shared.css }
  }
}

const texts = new WeakMap<readonly Rule[], string>()

/** The CSS of one section, printed once for all views. */
export function sectionCss(rules: readonly Rule[]): string {
  let text = texts.get(rules)
  if (text === undefined) texts.set(rules, (text = printRules(rules, 'minified')))
  return text
}
