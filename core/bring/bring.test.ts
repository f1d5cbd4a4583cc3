import { describe, expect, test } from 'vitest'
import type { Block, Section } from '#core/blocks/index'
import { hasWords, walk } from '#core/blocks/tree'
import { batchOf } from '#core/edits/batch'
import { applyEdit } from '#core/edits/index'
import { expectSame } from '#core/edits/same.fixture'
import { checkSite } from '#core/formats/site-json'
import { webFiles } from '#core/formats/web-files'
import { keptDocuments } from '#core/kept/documents.fixture'
import { newPage, newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { withNewIds } from '#core/site/tree'
import { testIds } from '#core/values/ids.fixture'
import { plainText } from '#core/values/words'
import { bring } from './bring'
import { luggageOf, luggageSchema } from './luggage'
import { referencesIn } from './references'

const makeId = testIds()
const documents = keptDocuments()
const demo = documents.get('observatory')!

/** A site with one empty page, in another language, whose guide has none of the names that others use. */
function foreign(): Site {
  const made = newSite('Elsewhere', makeId)
  const site = { ...made, pages: [newPage(makeId, 'Start', '')] }
  const { guide } = site
  const named = (name: string) => `x-${name}`
  const renamed = JSON.parse(
    JSON.stringify(guide).replace(/"(role|token|face|type|name)":"([a-z][\w-]*)"/g, (_, key: string, name: string) =>
      key === 'token' && name === 'none' ? `"${key}":"${name}"` : `"${key}":"${named(name)}"`,
    ),
  ) as Site['guide']
  const breakpoints = site.breakpoints.map((one, n) => ({ ...one, id: `b${n}`, below: one.below === null ? null : one.below - 40 }))
  return {
    ...site,
    language: 'cy',
    breakpoints,
    guide: { ...renamed, colours: renamed.colours.slice(0, 3).concat(renamed.colours.slice(3)) },
  }
}

/** A site in which a section of another stands, as a paste brings it; and that site before. */
function pasted(into: Site, from: Site, section: Section) {
  const luggage = luggageSchema.parse(JSON.parse(JSON.stringify(luggageOf(from, 'other', [section]))))
  const brought = bring(into, luggage, [section], makeId)
  const copy = withNewIds(brought.blocks[0]!, makeId)
  const edit = batchOf('paste', [
    ...brought.edits,
    { kind: 'insert' as const, parent: into.pages[0]!.id, index: 0, blocks: [copy] },
  ])
  const { site, inverse } = applyEdit(into, edit)
  return { site, inverse, section: site.pages[0]!.sections[0]!, said: brought.said }
}

/** Custom properties that a site's printed pages use, and do not have. */
function undefinedIn(site: Site): string[] {
  const text = [...webFiles(site, 'readable').texts].map(({ text: one }) => one).join('\n')
  const has = new Set([...text.matchAll(/(--[\w-]+)\s*:/g)].map(([, name]) => name))
  return [...new Set([...text.matchAll(/var\((--[\w-]+)\)/g)].map(([, name]) => name!))].filter((name) => !has.has(name))
}

const shows = (block: Block, site: Site): string[] =>
  [...(referencesIn(block).get('picture') ?? [])].flatMap((id) => site.pictures.find((one) => one.id === id)?.hash ?? []).sort()

/** The words of each block in the first of these languages that it has. */
const read = (block: Block, ...languages: string[]): string[] =>
  [...walk(block)]
    .filter(hasWords)
    .map((one) => plainText(one.words[languages.find((language) => one.words[language] !== undefined) ?? ''] ?? []))

describe('every section of many documents, brought into another site', () => {
  test.each([...documents].slice(0, 14))('%s: has its pictures, its words and every role that it uses there', (_, from) => {
    for (const into of [foreign(), newSite('Plain', makeId), documents.get('chandler')!]) {
      const target = into.pages.length > 0 ? into : { ...into, pages: [newPage(makeId, 'Start', '')] }
      const before = undefinedIn(target)
      for (const section of from.pages.flatMap((page) => page.sections).slice(0, 8)) {
        const now = pasted(target, from, section)
        checkSite(JSON.parse(JSON.stringify(now.site)))
        expect(undefinedIn(now.site).filter((name) => !before.includes(name))).toEqual([])
        expect(shows(now.section, now.site)).toEqual(shows(section, from))
        expect(read(now.section, target.language)).toEqual(read(section, target.language, from.language))
        expectSame(applyEdit(now.site, now.inverse).site, target)
      }
    }
  })
})

describe('what comes along', () => {
  const pictured = demo.pages.flatMap((page) => page.sections).find((one) => shows(one, demo).length > 1)!

  test('is said, and is there once however often it is brought', () => {
    const first = pasted(foreign(), demo, pictured)
    expect(first.said[0]).toMatch(/^\d+ pictures .*came along$/)
    const again = pasted(first.site, demo, pictured)
    expect(again.site.pictures).toHaveLength(first.site.pictures.length)
    expect(again.said.filter((one) => /came along|added/.test(one))).toEqual([])
  })

  test('a picture that is not on this server, and a link to the other site, are said to be lost', () => {
    const luggage = { ...luggageOf(demo, 'other', [pictured]), pictures: [] }
    const { blocks, said } = bring(foreign(), luggage, [pictured], makeId)
    expect(referencesIn(blocks).get('picture')).toBeUndefined()
    expect(said.join('; ')).toMatch(/\d+ pictures could not be found on this server/)
    const linking = demo.pages.flatMap((page) => page.sections).find((one) => referencesIn(one).get('page'))!
    expect(bring(foreign(), luggageOf(demo, 'other', [linking]), [linking], makeId).said.join('; ')).toMatch(
      /links? led to the other site and leads? nowhere now|links led to the other site and lead nowhere now/,
    )
  })

  test('an id that is taken by another picture becomes another', () => {
    const [picture] = luggageOf(demo, 'other', [pictured]).pictures
    const other = { ...picture!, hash: 'f'.repeat(64) }
    const into = { ...foreign(), pictures: [other] }
    const now = pasted(into, demo, pictured)
    expect(now.site.pictures.find((one) => one.id === other.id)!.hash).toBe(other.hash)
    expect(shows(now.section, now.site)).toEqual(shows(pictured, demo))
  })

  test('a missing colour takes a near one, and is added where none is near; a type role brings its own font', () => {
    const target = foreign()
    const near = { ...demo.guide.colours[0]!, role: 'x-near' }
    const used = demo.pages
      .flatMap((page) => page.sections)
      .find((one) => referencesIn(one).get('colour')?.has(demo.guide.colours[0]!.role))!
    const with_ = pasted({ ...target, guide: { ...target.guide, colours: [...target.guide.colours, near] } }, demo, used)
    expect(with_.said.join()).toMatch(new RegExp(`${demo.guide.colours[0]!.role} is x-[\\w-]+ here`))
    const font = {
      id: 'ownfont1',
      name: 'Ridge Hand',
      hash: 'a'.repeat(64),
      class: 'display' as const,
      weights: [400, 700] as [number, number],
      italic: false,
      licence: '',
      metrics: { ascent: 1, descent: 0.2, lineGap: 0, capHeight: 0.7, xHeight: 0.5, averageAdvance: 0.5 },
    }
    const { guide } = demo
    const type = guide.types[0]!
    const hand: Site = {
      ...demo,
      fonts: [font],
      guide: {
        ...guide,
        faces: [...guide.faces, { name: 'hand', family: 'own-ownfont1' }],
        types: [...guide.types, { ...type, role: 'scrawl', face: 'hand', size: { value: 300, unit: 'px' } }],
      },
    }
    const worded = demo.pages[0]!.sections.find((one) => one.children.some((child) => child.kind === 'text'))!
    const scrawled = {
      ...worded,
      children: worded.children.map((one) => (one.kind === 'text' ? { ...one, type: 'scrawl' } : one)),
    } as Section
    const now = pasted(target, hand, scrawled)
    expect(now.site.fonts).toEqual([font])
    expect(now.site.guide.types.find((one) => one.role === 'scrawl')).toMatchObject({ face: 'hand' })
    expect(now.said).toContain('the face Ridge Hand came along')
  })
})
