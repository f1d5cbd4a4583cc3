import type { Element } from 'hast'
import { element } from '#core/blocks/html'
import type { Making, Picture } from '#core/picture/picture'
import type { Page, Site } from '#core/site/schema'
import { addressOf, NOT_FOUND, pageAddress, SHARE, shareOf, titleOf } from './site-address'
import { iconLinks, iconOf } from './site-icons'
import { asJsonLd, structuredData } from './structured-data'

type Asked = {
  site: Site
  page: Page
  language: string
  stylesheet: Element
  script?: string | undefined
  motionScript?: string | undefined
  /** Where pictures are; without it no picture is told of. */
  picture?: PictureAddress | undefined
  base?: ((page: Page) => string | undefined) | undefined
}

type PictureAddress = (picture: Picture, width: number | null, making?: Making) => string

const meta = (properties: Record<string, string>) => element('meta', properties, [])

/** What the head of a page holds: what browsers need, and what is said of the page elsewhere. */
export function headOf({ site, page, language, stylesheet, script, motionScript, picture, base }: Asked): Element[] {
  const description = page.description[language] ?? ''
  const title = titleOf(site, page, language)
  const icon = iconOf(site)
  const kept = page.unsearched === true || page.address === NOT_FOUND
  const canonical = kept ? undefined : pageAddress(site, page)
  const from = base?.(page)
  const image = picture && imageOf(site, page, picture)
  const data = kept || site.launch === undefined ? [] : structuredData(site, page, language, image)
  return [
    element('meta', { charSet: 'utf-8' }, []),
    ...(from === undefined ? [] : [element('base', { href: from }, [])]),
    meta({ name: 'viewport', content: 'width=device-width, initial-scale=1' }),
    element('title', {}, [{ type: 'text', value: title }]),
    ...(description === '' ? [] : [meta({ name: 'description', content: description })]),
    ...(kept ? [meta({ name: 'robots', content: 'noindex' })] : []),
    ...(canonical === undefined ? [] : [element('link', { rel: ['canonical'], href: canonical }, [])]),
    ...(site.launch === undefined ? [] : sharing(site, title, description, language, canonical, image)),
    ...(icon ? iconLinks(icon).map((one) => element('link', one, [])) : []),
    stylesheet,
    // Before anything is seen, so that what waits to be revealed is not seen before.
    ...(motionScript === undefined ? [] : [element('script', { src: motionScript }, [])]),
    ...(script === undefined ? [] : [element('script', { src: script, defer: true }, [])]),
    ...(data.length === 0 ? [] : [element('script', { type: 'application/ld+json' }, [{ type: 'text', value: asJsonLd(data) }])]),
  ]
}

/** Where the picture of shared links will be: those who show it ask for its whole address. */
function imageOf(site: Site, page: Page, picture: PictureAddress): string | undefined {
  const shown = shareOf(site, page)
  if (!shown || site.launch?.address === undefined) return undefined
  const width = shown.type === 'image/svg+xml' ? SHARE.width : Math.min(SHARE.width, shown.width)
  return addressOf(site, picture(shown, width, { format: 'own' }))
}

/** What a link to the page is shown with where it is shared (Open Graph). */
const sharing = (
  site: Site,
  title: string,
  description: string,
  language: string,
  canonical: string | undefined,
  image: string | undefined,
): Element[] => [
  ...[
    ['og:type', 'website'],
    ['og:site_name', site.name],
    ['og:title', title],
    ...(description === '' ? [] : [['og:description', description]]),
    ['og:locale', language.replace('-', '_')],
    ...(canonical === undefined ? [] : [['og:url', canonical]]),
    ...(image === undefined ? [] : [['og:image', image]]),
  ].map(([property, content]) => element('meta', { property: property!, content: content! }, [])),
  ...(image === undefined ? [] : [meta({ name: 'twitter:card', content: 'summary_large_image' })]),
]
