import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { newPage } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import type { BlockOf } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { checkNames, webFiles } from './web-files'

const makeId = testIds()
const site = demoSite()
const page = site.pages[0]!
const after = (...edits: Edit[]): Site => edits.reduce((now, edit) => applyEdit(now, edit).site, site)
const textOf = (of: Site, file: string) => webFiles(of, 'minified').texts.find((one) => one.file === file)?.text ?? ''

const words = { words: { en: ['Winter'] } }
const heading: BlockOf<'heading'> = { ...newBlock('heading', makeId), ...words, level: 1 }
const second = {
  ...newPage(makeId, 'Winter sky chart', 'winter'),
  sections: [{ ...newSection('opening', makeId), children: [heading] }],
}
const addSecond: Edit = { kind: 'page-add', index: 1, page: second }

describe('pages of an export', () => {
  test('are a file each, under one stylesheet', () => {
    const files = webFiles(after(addSecond), 'readable').texts.map((one) => one.file)
    expect(files).toEqual([
      'index.html',
      'winter.html',
      'winter-sky-chart.html',
      'thank-you.html',
      'the-instruments.html',
      'style.css',
      'script.js',
      'motion.js',
      'robots.txt',
      'sitemap.xml',
      'site.webmanifest',
    ])
    expect(textOf(after(addSecond), 'winter.html')).toContain('<link rel="stylesheet" href="style.css">')
  })

  test('do not share classes of sections that are called alike', () => {
    expect(textOf(after(addSecond), 'winter.html')).toContain('class="band opening-2" id="opening-2"')
    expect(textOf(after(addSecond), 'index.html')).toContain('class="band opening" id="opening"')
  })

  test('link to each other, and to sections, by the addresses of the moment', () => {
    const button = [...walkPage(page)].find((block) => block.kind === 'button')!
    const linked = (link: object): Edit => ({ kind: 'field', block: button.id, field: 'link', value: link as never })
    expect(textOf(after(addSecond, linked({ page: second.id })), 'index.html')).toContain('href="winter.html"')
    const section = second.sections[0]!.id
    const both = after(addSecond, linked({ page: second.id, section }), {
      kind: 'page-field',
      page: second.id,
      values: { address: 'sky' },
    })
    expect(textOf(both, 'index.html')).toContain('href="sky.html#opening-2"')
    expect(textOf(after(linked({ page: 'gone' })), 'index.html')).toContain('href="#"')
  })

  test('have a title, a description and a language', () => {
    const html = textOf(site, 'index.html')
    expect(html).toContain('<html lang="en">')
    expect(html).toContain('<title>Autumn nights at Hollin Ridge Observatory</title>')
    expect(html).toMatch(/<meta name="description" content="Two hours/)
    expect(textOf(after({ kind: 'page-field', page: page.id, values: { title: {}, description: {} } }), 'index.html')).toContain(
      '<title>Autumn nights · Hollin Ridge Observatory</title>',
    )
  })
})

describe('pictures of an export', () => {
  test('keep names apart that would be one file', () => {
    const [one] = site.pictures
    const twin = { ...one!, id: 'twin', hash: 'b'.repeat(64) }
    const picture = [...walkPage(page)].find((block) => block.kind === 'picture' && block.picture !== one!.id)!
    const two = after({ kind: 'picture-add', picture: twin }, { kind: 'field', block: picture.id, field: 'picture', value: 'twin' })
    const files = webFiles(two, 'minified').pictures
    expect(new Set(files.map((file) => file.file)).size).toBe(files.length)
    expect(files.some((file) => file.file.startsWith('pictures/ridge-at-dusk-2-'))).toBe(true)
  })

  test('that no page shows are left out', () => {
    const [picture] = [...walkPage(page)].filter((block) => block.kind === 'picture')
    // The picture of shared links is shown elsewhere.
    const unshared: Edit = { kind: 'site', field: 'launch', value: {} }
    const without = webFiles(after(unshared, { kind: 'remove', blocks: [picture!.id] }), 'minified')
    expect(without.pictures.some((file) => file.file.includes('ridge-at-dusk'))).toBe(false)
    const alone = { ...site, pages: [page] }
    expect(webFiles(alone, 'minified').pictures.some((file) => file.file.includes('the-stove'))).toBe(false)
  })

  test('are drawings as they are, without widths', () => {
    const drawing = { id: 'svg', name: 'Mark.svg', hash: 'c'.repeat(64), type: 'image/svg+xml' as const, width: 80, height: 40 }
    const picture = [...walkPage(page)].find((block) => block.kind === 'picture')!
    const files = webFiles(
      after({ kind: 'picture-add', picture: drawing }, { kind: 'field', block: picture.id, field: 'picture', value: 'svg' }),
      'minified',
    )
    expect(files.pictures).toContainEqual({ file: 'pictures/mark.svg', picture: drawing, width: null })
    expect(files.texts[0]!.text).toContain('src="pictures/mark.svg"')
  })

  test('offer widths that the layout asks for, the largest no larger than the original', () => {
    const widths = new Map<string, number[]>()
    for (const { picture, width } of webFiles(site, 'minified').pictures)
      if (width) widths.set(picture.id, [...(widths.get(picture.id) ?? []), width])
    for (const picture of site.pictures.filter((one) => widths.has(one.id))) {
      expect(Math.max(...widths.get(picture.id)!)).toBeLessThanOrEqual(picture.width)
      expect(widths.get(picture.id)!.length).toBeGreaterThan(2)
    }
  })
})

test('two files of one name are refused, also by letter case', () => {
  expect(() => checkNames(['index.html', 'a/Index.html', 'style.css'])).not.toThrow()
  for (const pair of [
    ['index.html', 'index.html'],
    ['Fonts/A.woff2', 'fonts/a.woff2'],
  ])
    expect(() => checkNames(pair)).toThrow(/Two files of the export would be called/)
})

test('a file is exported where a link that is seen leads to it, and no other is', () => {
  const file = (id: string, name: string) => ({ id, name, hash: 'a'.repeat(64), bytes: 10 })
  const button = [...walkPage(page)].find((one) => one.kind === 'button')!
  const handing = { ...site, files: [file('one', 'Map.pdf'), file('two', 'Unused.pdf')] }
  const { linked, texts } = webFiles(
    applyEdit(handing, { kind: 'field', block: button.id, field: 'link', value: { file: 'one' } }).site,
    'minified',
  )
  expect(linked.map((one) => one.file)).toEqual(['files/map.pdf'])
  expect(texts[0]!.text).toContain('href="files/map.pdf"')
})
