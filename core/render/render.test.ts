import { toHtml } from 'hast-util-to-html'
import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import type { Block, Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import type { Style, StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { role } from '#core/values/colour'
import { SOURCES } from '#core/render/sources'
import { createRenderer, type RenderOptions } from './page'
import { printRules } from './rules'
import { pageFile } from './own-links'
import { printSite } from './site'

const makeId = testIds()
const options: RenderOptions = {
  language: 'en',
  editing: false,
  viewportUnit: 'unit',
  addresses: {
    picture: (picture, width) => `${picture.name}-${width}`,
    sources: SOURCES,
    link: (link) => ('href' in link ? link.href : 'page' in link ? `#${link.page}` : link.file),
    form: (form) => form.sendTo ?? '#',
  },
}
const print = (site: Site, style: 'readable' | 'minified' = 'minified') =>
  printSite(site, {
    style,
    addresses: {
      picture: (picture, width) => `${picture.id}-${width}.webp`,
      page: pageFile,
      form: (form) => form.sendTo ?? '#',
      stylesheet: 'style.css',
      font: (font) => font.name,
    },
  })

/** A block of a kind with a style and words. */
function made(kind: 'heading' | 'text' | 'group' | 'picture' | 'button', style: Style, more: object = {}): Block {
  return { ...newBlock(kind, makeId), style, ...more } as Block
}
const words = (text: string) => ({ words: { en: [text] } })

/** A site with one section of blocks, and the CSS of its own rules. */
function siteOf(...children: Block[]): Site {
  const site = newSite('Test', makeId)
  const section: Section = { ...newSection('opening', makeId), style: {}, children }
  return { ...site, pages: [{ ...site.pages[0]!, sections: [section] }] }
}
function cssOf(...children: Block[]): string {
  const site = siteOf(...children)
  const rules = createRenderer(options)(site, site.pages[0]!).flatMap((one) => one.rules)
  return printRules(rules, 'minified')
}
const htmlOf = (...children: Block[]) => {
  const site = siteOf(...children)
  return createRenderer(options)(site, site.pages[0]!)
    .map((one) => toHtml(one.element))
    .join('')
}

describe('the CSS of a block', () => {
  test('a span is cut to the columns that there are, and only where that changes it', () => {
    expect(cssOf(made('text', { base: { span: 6 } }, words('a')))).toBe(
      '.opening-text{grid-column:span 6}@media(width<640px){.opening-text{grid-column:1/-1}}',
    )
  })

  test('an exception that says the same as the base is not written', () => {
    expect(cssOf(made('text', { base: { opacity: 0.5 }, below: { middle: { opacity: 0.5 } } }, words('a')))).toBe(
      '.opening-text{opacity:.5}',
    )
  })

  test('an exception holds at narrower ranges until they have their own', () => {
    const css = cssOf(
      made('text', { base: { opacity: 1 }, below: { middle: { opacity: 0.5 }, narrow: { opacity: 1 } } }, words('a')),
    )
    expect(css).toBe(
      '.opening-text{opacity:1}@media(width<1024px){.opening-text{opacity:.5}}@media(width<640px){.opening-text{opacity:1}}',
    )
  })

  test('equal rule sets are written once', () => {
    const css = cssOf(
      made('text', { base: { opacity: 0.5 } }, { ...words('a'), name: 'First' }),
      made('text', { base: { opacity: 0.5 } }, { ...words('b'), name: 'Second' }),
    )
    expect(css).toBe('.opening-first,.opening-second{opacity:.5}')
  })

  test('pairs of longhands become their shorthand', () => {
    expect(cssOf(made('text', { base: { spaceBefore: pixels(8), spaceAfter: pixels(8) } }, words('a')))).toBe(
      '.opening-text{margin-block:8px}',
    )
    expect(cssOf(made('text', { base: { spaceBefore: pixels(8), spaceAfter: pixels(4) } }, words('a')))).toBe(
      '.opening-text{margin-block:8px 4px}',
    )
  })

  test('a grid inside a grid takes its columns, one with its own makes them', () => {
    expect(cssOf(made('group', { base: { layout: 'grid', span: 8 } }))).toContain('grid-template-columns:subgrid')
    expect(cssOf(made('group', { base: { layout: 'grid', tracks: 3 } }))).toContain('grid-template-columns:repeat(3,minmax(0,1fr))')
  })

  test('a group that changes its layout takes back what the other layout needed', () => {
    const css = cssOf(made('group', { base: { layout: 'column' }, below: { narrow: { layout: 'grid' } } }))
    expect(css).toContain(
      '@media(width<640px){.opening-group{display:grid;grid-template-columns:subgrid;row-gap:var(--gutter);flex-direction:initial}',
    )
  })

  test('a block that is held makes what holds it the box it is measured from', () => {
    const css = cssOf(made('group', {}, { children: [made('text', { base: { position: 'held', top: pixels(4) } }, words('a'))] }))
    expect(css).toContain('.opening-group{display:flex;flex-direction:column;position:relative;isolation:isolate}')
    expect(css).toContain('.opening-text{grid-area:auto;position:absolute;top:4px}')
  })

  test('a picture that is held between two edges reaches both, and keeps a shape of its own', () => {
    const edges = { top: pixels(0), bottom: pixels(24), left: pixels(0), right: pixels(0) }
    const held = (style: StyleValues) =>
      cssOf(
        made('group', {}, { children: [made('picture', { base: { position: 'held', ...edges, ...style } }, { picture: 'sky' })] }),
      )
    expect(held({})).toContain('width:100%;height:calc(100% - 24px)')
    expect(held({ aspect: { width: 3, height: 2 } })).not.toContain('height:calc')
    expect(held({ height: pixels(200) })).not.toContain('height:calc')
  })

  test('a block behind the others lies over the ground of what holds them', () => {
    const css = cssOf(made('group', {}, { children: [made('text', { below: { narrow: { layer: 'behind' } } }, words('a'))] }))
    expect(css).toContain('.opening-group{display:flex;flex-direction:column;isolation:isolate}')
    expect(css).toContain('@media(width<640px){.opening-text{z-index:-1}}')
  })

  test('a scrim is a layer between the picture and what stands on it', () => {
    const picture = {
      id: 'p',
      name: 'p.jpg',
      hash: 'a'.repeat(64),
      type: 'image/jpeg' as const,
      width: 800,
      height: 600,
    }
    const block = made(
      'picture',
      { base: { scrim: { colour: role('ink'), from: 0.5, to: 0.5, angle: 0 }, focal: { x: 10, y: 20 } } },
      { picture: 'p' },
    )
    const site = { ...siteOf(block), pictures: [picture] }
    const [section] = createRenderer(options)(site, site.pages[0]!)
    expect(toHtml(section!.element)).toContain('<div class="opening-picture"><img')
    const css = printRules(section!.rules, 'minified')
    expect(css).toContain('.opening-picture>img{height:100%;object-position:10% 20%}')
    expect(css).toContain(
      '.opening-picture::after{content:"";position:absolute;inset:0;background:color-mix(in srgb,var(--ink) 50%,transparent)}',
    )
  })
})

describe('the HTML of a page', () => {
  test('words are text, whatever they look like', () => {
    expect(htmlOf(made('text', {}, words('<script>alert(1)</script> & "x"')))).toContain(
      '<p>&#x3C;script>alert(1)&#x3C;/script> &#x26; "x"</p>',
    )
  })

  test('blocks without words are left out, and in the views show their place', () => {
    expect(htmlOf(made('heading', {}))).not.toContain('<h2')
    const site = siteOf(made('heading', {}))
    const [section] = createRenderer({ ...options, editing: true })(site, site.pages[0]!)
    expect(toHtml(section!.element)).toContain('data-empty="heading"')
  })

  test('hidden blocks and sections are left out', () => {
    expect(htmlOf(made('text', {}, { ...words('secret'), hidden: true }))).not.toContain('secret')
    const site = siteOf()
    const hidden = {
      ...site,
      pages: [{ ...site.pages[0]!, sections: [{ ...site.pages[0]!.sections[0]!, hidden: true }] }],
    }
    expect(createRenderer(options)(hidden, hidden.pages[0]!)).toEqual([])
  })

  test('spans become the elements that mean them', () => {
    const spans = [
      'a ',
      { kind: 'emphasis', children: ['b'] },
      { kind: 'break' },
      { kind: 'link', href: 'https://x.example', children: [{ kind: 'strong', children: ['c'] }] },
    ]
    expect(htmlOf(made('text', {}, { words: { en: spans } }))).toContain(
      '<p>a <em>b</em><br><a href="https://x.example"><strong>c</strong></a></p>',
    )
  })

  test('a band with a heading is a section, one without a division', () => {
    expect(htmlOf(made('text', {}, words('a')))).toMatch(/^<div class="band/)
    expect(htmlOf(made('group', {}, { children: [made('heading', {}, words('a'))] }))).toMatch(/^<section class="band/)
  })

  test('headers, main and footers are landmarks, each section under its name', () => {
    const { pages } = print(demoSite())
    expect(pages[0]!.html).toMatch(
      /<header class="band header" id="header">[\s\S]*<main id="main"><section class="band opening" id="opening">[\s\S]*<\/main><footer/,
    )
  })
})

describe('a printed site', () => {
  test('has only tokens, type roles and fonts that are used', () => {
    const { css, fonts } = print(siteOf(made('heading', {}, words('Bring a coat'))))
    expect(css).toContain('.heading-2{')
    expect(css).not.toContain('.heading-1{')
    expect(css).not.toContain('--accent')
    expect(fonts.map((font) => font.name)).toEqual(['public-sans-latin-wght-normal.woff2'])
  })

  test('brings the italic and the extended Latin where words need them', () => {
    const { fonts } = print(siteOf(made('text', {}, { words: { en: [{ kind: 'emphasis', children: ['Dŵr'] }] } })))
    expect(fonts.map((font) => font.name)).toHaveLength(4)
  })

  test('writes blocks of one name that are styled alike once, as the three reasons', () => {
    const { pages, css } = print(demoSite())
    expect(pages[0]!.html.match(/class="reasons-reason"/g)).toHaveLength(3)
    expect(css.match(/\.reasons-reason[-\w]*/g)!.every((name) => name === '.reasons-reason')).toBe(true)
  })
})

describe('the renderer remembers', () => {
  const site = demoSite()
  const page = site.pages[0]!

  test('an edit prints the section that it is in and no other', () => {
    const render = createRenderer(options)
    const before = render(site, page)
    const text = [...walkPage(page)].find((block) => block.kind === 'text')!
    const next = applyEdit(site, { kind: 'words', block: text.id, words: { en: ['Other'] } }).site
    const after = render(next, next.pages[0]!)
    const changed = after.filter((one, i) => one.element !== before[i]!.element)
    expect(changed).toHaveLength(1)
    expect(toHtml(changed[0]!.element)).toContain('Other')
  })

  test('and what it gives is what a fresh one gives, after any change of names, breakpoints or guide', () => {
    const render = createRenderer(options)
    render(site, page)
    const first = page.sections[0]!
    const steps = [
      applyEdit(site, { kind: 'field', block: first.id, field: 'name', value: 'Top' }).site,
      applyEdit(site, { kind: 'move', block: first.id, parent: page.id, index: 3 }).site,
      applyEdit(site, { kind: 'site', field: 'breakpoints', value: site.breakpoints.slice(0, 2) }).site,
      applyEdit(site, { kind: 'remove', blocks: [first.children[0]!.id] }).site,
    ]
    // A block of the same name before others shifts their numbers, also inside groups that did not change.
    const nav = [...walkPage(page)].filter((block) => block.kind === 'nav').at(-2)!
    const link = 'children' in nav ? nav.children[0]! : nav
    steps.push(applyEdit(site, { kind: 'style', block: link.id, scope: 'base', values: { opacity: 0.5 } }).site)
    for (const step of steps) expect(render(step, step.pages[0]!)).toEqual(createRenderer(options)(step, step.pages[0]!))
  })
})
