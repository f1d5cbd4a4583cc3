import { strToU8, zipSync } from 'fflate'
import fc from 'fast-check'
import { HtmlValidate } from 'html-validate'
import { lexer, parse, walk } from 'css-tree'
import { describe, expect, test } from 'vitest'
import { choices, demoSite, editOf } from '#core/edits/edits.fixture'
import { EditError } from '#core/edits/edit'
import { applyEdit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { describeFormat, siteJsonSchema } from './describe'
import { FormatError, readSite, writeSite } from './site-json'
import { readSiteFile, writeSiteZip } from './site-zip'
import { cleanSvg } from './svg'
import { webFiles } from './web-files'

const site = demoSite()
const changed = (change: (copy: { [key: string]: never }) => void) => {
  const copy = JSON.parse(writeSite(site)) as { [key: string]: never }
  change(copy)
  return JSON.stringify(copy)
}

describe('a site file', () => {
  test('is read back as it was written, whatever edits it has had', () => {
    fc.assert(
      fc.property(choices, (list) => {
        let now: Site = site
        for (const choice of list) {
          try {
            now = applyEdit(now, editOf(choice, now)).site
          } catch (error) {
            if (!(error instanceof EditError)) throw error
          }
        }
        expect(readSite(writeSite(now))).toEqual(now)
      }),
      { numRuns: 50 },
    )
  })

  test('with its pictures is read back from a zip', () => {
    const pictures = new Map(site.pictures.map((one, i) => [one.hash, new Uint8Array([i, 1, 2])]))
    expect(readSiteFile(writeSiteZip({ site, pictures }))).toEqual({ site, pictures, fonts: new Map(), files: new Map() })
  })

  test('with the files that it hands out is read back from a zip', () => {
    const hash = 'b'.repeat(64)
    const handing = { ...site, files: [{ id: 'plan', name: 'Plan.pdf', hash, bytes: 3 }] }
    const files = new Map([[hash, new Uint8Array([1, 2, 3])]])
    expect(readSiteFile(writeSiteZip({ site: handing, pictures: new Map(), files }))).toMatchObject({ site: handing, files })
    expect(() => readSite(writeSite({ ...handing, files: [{ ...handing.files[0]!, name: 'plan.exe' }] }))).toThrow(
      /A file that links lead to ends with pdf/,
    )
  })

  test.each<[string, () => string, RegExp]>([
    ['no JSON', () => '{"format": ', /not JSON/],
    ['no site', () => '[]', /not a Yarrowfinch site/],
    ['of a newer version', () => changed((copy) => Object.assign(copy, { version: 7 })), /version 7, from a newer Yarrowfinch/],
    ['with a field that is not known', () => changed((copy) => Object.assign(copy, { extra: 1 })), /broken at its top: .*extra/],
    [
      'with a broken block',
      () => writeSite(site).replace('"level": 1', '"level": 12'),
      /broken at "level" of the heading “[^”]+” of (the .+ of )*the section “[^”]+” of the page “[^”]+”/,
    ],
    ['with an id twice', () => writeSite(site).replaceAll('"moon"', '"the-stove"'), /two things with the id/],
    [
      'with a link that runs a script',
      () => writeSite(site).replaceAll('mailto:evenings@hollinridge.example', 'javascript:alert(1)'),
      /broken at/,
    ],
    ['nested without end', () => '['.repeat(5000), /nested more than/],
  ])('that is %s is refused with a sentence', (_, text, sentence) => {
    expect(() => readSite(text())).toThrow(FormatError)
    expect(() => readSite(text())).toThrow(sentence)
  })

  test('a zip that is damaged, or no site, is refused', () => {
    const zip = writeSiteZip({ site, pictures: new Map() })
    expect(() => readSiteFile(zip.slice(0, 400))).toThrow(/damaged/)
    expect(() => readSiteFile(zipSync({ 'a.txt': strToU8('x') }))).toThrow(/holds no "site.json"/)
  })

  test('is described: every kind of block, and the schema that checks it', () => {
    expect(describeFormat()).toContain('| `picture` | `picture`, `alt`, `turn`, `instead`, `link` |')
    expect(Object.keys(siteJsonSchema())).toEqual(expect.arrayContaining(['title', '$defs', 'properties']))
  })
})

describe('an SVG', () => {
  test('keeps what draws and loses what runs, loads or links', () => {
    const { text, width, height } = cleanSvg(`<?xml version="1.0"?><svg viewBox="0 0 40 20" onload="x()"><script>alert(1)</script>
      <style>@import url(https://a.example)</style><linearGradient id="g"><stop offset="0" stop-color="red"/></linearGradient>
      <rect width="40" height="20" fill="url(#g)" onclick="x()"/><circle r="4" fill="url(https://a.example/x)"/>
      <a href="javascript:x()"><path d="M0 0h4"/></a><image href="https://a.example/x.png"/><use href="#g"/><foreignObject><p>x</p></foreignObject></svg>`)
    expect([width, height]).toEqual([40, 20])
    expect(text).toContain('fill="url(#g)"')
    expect(text).toContain('<path d="M0 0h4">')
    expect(text).toContain('<linearGradient id="g">')
    expect(text).not.toMatch(/script|onload|onclick|javascript|a\.example|<image|<use|foreignObject|<style/i)
  })

  test('without a shape is refused', () => {
    expect(() => cleanSvg('<svg><path d="M0 0"/></svg>')).toThrow(/its shape is not known/)
    expect(() => cleanSvg('<html></html>')).toThrow(/no svg element/)
  })

  test('loads nothing from elsewhere, however it is written', () => {
    const of = (attribute: string) => cleanSvg(`<svg viewBox="0 0 9 9"><rect ${attribute}/></svg>`).text
    for (const one of [
      'fill="url(https://a.example/x)"',
      'fill="u\\72l(https://a.example/x)"',
      'fill="url( \'//a.example/x\')"',
      'mask="image-set(\'https://a.example/x\' 1x)"',
      'mask="-webkit-image-set(url(#a) 1x)"',
      'fill="src(\'https://a.example\')"',
      'mask="cross-fade(x, y)"',
    ])
      expect(of(one), one).not.toMatch(/example|image|src|cross/)
    expect(of('fill="url(#sky)"')).toContain('url(#sky)')
  })

  test('is no larger than a document allows, and is refused when it is too much to read', () => {
    expect(cleanSvg('<svg viewBox="0 0 60000 30000"></svg>')).toMatchObject({ width: 30_000, height: 15_000 })
    expect(() => cleanSvg('<svg viewBox="0 0 1e300 1e300"></svg>')).toThrow(/its shape is not known/)
    expect(() => cleanSvg(`<svg viewBox="0 0 9 9">${'<g>'.repeat(30_000)}`)).toThrow(/nested too deep/)
    expect(() => cleanSvg(`<svg viewBox="0 0 9 9">${' '.repeat(3_000_000)}</svg>`)).toThrow(/more than 2 MB/)
  })
})

describe('the export of the demo site', () => {
  const validator = new HtmlValidate({ extends: ['html-validate:standard'] })

  test.each(['readable', 'minified'] as const)('%s HTML has no error and no warning', async (style) => {
    for (const { file, text } of webFiles(site, style).texts.filter((one) => one.file.endsWith('.html'))) {
      const report = await validator.validateString(text, file)
      expect(
        report.results.flatMap((one) => one.messages.map((message) => `${message.line}: ${message.ruleId}: ${message.message}`)),
      ).toEqual([])
    }
  })

  test.each(['readable', 'minified'] as const)('%s CSS parses without an error, every declaration known', (style) => {
    const { text } = webFiles(site, style).texts.find((one) => one.file === 'style.css')!
    const problems: string[] = []
    const tree = parse(text, { onParseError: (error) => void problems.push(error.message) })
    walk(tree, (node) => {
      if (node.type !== 'Declaration' || node.property.startsWith('--')) return
      const { error } = lexer.matchDeclaration(node)
      // The lexer's data is older than these; Chromium's own parser is asked in the end-to-end tests.
      if (
        error &&
        !/^(navigation|text-wrap|text-size-adjust|-webkit-text-size-adjust|grid-template-columns|unicode-range|src|font-display|font-weight|size-adjust|hanging-punctuation|(ascent|descent|line-gap)-override)$/.test(
          node.property,
        ) &&
        !/color-mix|var\(/.test(error.message)
      )
        problems.push(`${node.property}: ${error.message}`)
    })
    expect(problems).toEqual([])
  })

  test('has each picture in several widths, under readable names', () => {
    const { pictures, fonts, texts } = webFiles(site, 'readable')
    expect(pictures.map((one) => one.file)).toEqual(expect.arrayContaining([expect.stringMatching(/^pictures\/moon-\d+\.webp$/)]))
    expect(fonts.every((one) => texts.some(({ text }) => text.includes(one.file)))).toBe(true)
    for (const { file } of pictures) expect(texts.some(({ text }) => text.includes(file))).toBe(true)
  })
})
