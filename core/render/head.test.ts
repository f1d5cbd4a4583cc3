import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { webFiles } from '#core/formats/web-files'
import type { Page, Site } from '#core/site/schema'
import { htmlText } from './html-text'
import { asJsonLd, structuredData } from './structured-data'
import { headOf } from './head'
import { element } from '#core/blocks/html'

const site = demoSite()
const [first] = site.pages
const headIn = (of: Site, page: Page) =>
  headOf({
    site: of,
    page,
    language: 'en',
    stylesheet: element('link', {}, []),
    picture: (picture, width) => `${picture.id}-${width}.jpg`,
  })
    .map((one) => htmlText(one))
    .join('\n')
const fileOf = (of: Site, file: string) => webFiles(of, 'readable').texts.find((one) => one.file === file)?.text

describe('the head of a page', () => {
  test('says its address and what shared links show, once the site has an address', () => {
    const head = headIn(site, first!)
    expect(head).toContain('<link rel="canonical" href="https://hollinridge.example/">')
    expect(head).toContain('<meta property="og:image" content="https://hollinridge.example/ridge-at-dusk-1200.jpg">')
    const { address: _, ...rest } = site.launch!
    const without = headIn({ ...site, launch: rest }, first!)
    expect(without).not.toMatch(/canonical|og:url|og:image/)
    expect(without).toContain('og:title')
  })

  test('of a site of which nothing is said is as it was', () => {
    const { launch: _, ...plain } = site
    expect(headIn(plain, first!)).not.toMatch(/og:|icon|ld\+json|canonical/)
  })

  test('of a page that is kept out of search says so, and is in no site map', () => {
    const kept = { ...first!, unsearched: true }
    expect(headIn(site, kept)).toContain('<meta name="robots" content="noindex">')
    expect(headIn(site, kept)).not.toMatch(/canonical|ld\+json/)
    const map = fileOf(site, 'sitemap.xml')!
    expect(map.match(/<loc>/g)).toHaveLength(3)
    expect(map).not.toContain('thank-you')
  })

  test('of what is not found is seen from where it stands, in an export and not where it is played', () => {
    const lost = { ...site, pages: [...site.pages, { ...first!, id: 'lost', address: '404', sections: [] }] }
    expect(fileOf(lost, '404.html')).toContain('<base href="https://hollinridge.example/404.html">')
    const played = webFiles(lost, 'readable', () => 'forms/x').texts.find((one) => one.file === '404.html')!.text
    expect(played).not.toContain('<base')
    expect(fileOf(lost, 'sitemap.xml')).not.toContain('404')
  })
})

describe('structured data', () => {
  const of = (page: Page, in_: Site = site) => structuredData(in_, page, 'en', undefined)
  const kinds = (page: Page) => of(page).map((one) => one['@type'])

  test('says the organisation on the first page, and the questions of the page with their answers', () => {
    expect(kinds(first!)).toEqual(['Organization', 'WebSite', 'FAQPage'])
    const { mainEntity } = of(first!).at(-1) as { mainEntity: { name: string; acceptedAnswer: { text: string } }[] }
    expect(mainEntity[0]).toMatchObject({
      name: 'What if it is cloudy?',
      acceptedAnswer: { text: expect.stringMatching(/stove/) as string },
    })
  })

  test('takes the name of an event from the first heading, and its page', () => {
    const event = { ...site.pages[3]!, about: { kind: 'event', starts: '2027-01-09T20:00', place: 'The dome' } as const }
    expect(of(event)[0]).toMatchObject({
      '@type': 'Event',
      startDate: '2027-01-09T20:00',
      url: `https://hollinridge.example/${event.address}.html`,
      location: { name: 'The dome' },
    })
  })

  test('cannot end the element that it stands in', () => {
    const text = asJsonLd([{ name: '</script><script>alert(1)</script>' }])
    expect(text).not.toContain('<')
    expect((JSON.parse(text) as { '@graph': { name: string }[] })['@graph'][0]!.name).toContain('</script>')
  })
})

test('robots and the manifest are there once there is an address and an icon', () => {
  expect(fileOf(site, 'robots.txt')).toContain('Sitemap: https://hollinridge.example/sitemap.xml')
  expect(JSON.parse(fileOf(site, 'site.webmanifest')!)).toMatchObject({ name: 'Hollin Ridge Observatory' })
  const { launch: _, ...plain } = site
  for (const file of ['robots.txt', 'sitemap.xml', 'site.webmanifest']) expect(fileOf(plain, file)).toBeUndefined()
})
