import { expect, test } from 'vitest'
import { brokenLinks } from '#core/analysis/links'
import { answerVerdict, QUESTIONS, verdictOn } from '#core/analysis/brief'
import { findings } from '#core/analysis/checks/index'
import { brokenRules, colourUses } from '#core/analysis/colour-uses'
import { distinctValues, gatherings, mergeEdits } from '#core/analysis/consistency'
import { pairsOn } from '#core/analysis/contrast'
import { copyFindings } from '#core/analysis/copy'
import { exceptionRows } from '#core/analysis/exceptions'
import { targetsOf } from '#core/analysis/link-targets'
import { picturesInUse, tagsInUse } from '#core/analysis/picture-uses'
import { pictureWarnings, warningInWords } from '#core/analysis/picture-warnings'
import { VALUE_KINDS } from '#core/analysis/values-in-use'
import { valuesPrintedOn } from '#core/analysis/values-printed'
import { settingsWithoutEffect } from '#core/analysis/why/without-effect'
import { ARRANGEMENTS } from '#core/arrangements/index'
import { arrange } from '#core/arrangements/arrange'
import { deckOf } from '#core/deck/deck'
import { deckLinks } from '#core/deck/links'
import { printDeck } from '#core/deck/print'
import { applyEdit, EDIT_KINDS, editLabel, sampleEdit } from '#core/edits/index'
import { chooserOf, demoSite } from '#core/edits/edits.fixture'
import { firstGuides } from '#core/first-guides/first-guides'
import { designTokens } from '#core/formats/design-tokens'
import { webFiles } from '#core/formats/web-files'
import { siteColumns } from './grid.fixture'
import { alikeOf } from '#core/many/chosen'
import { distributeEdits } from '#core/many/align'
import { stepEdits } from '#core/many/step'
import { unwrapEdits, wrapEdits } from '#core/many/structure'
import { styleEdits } from '#core/many/take-style'
import { mockupBody } from '#core/render/mockup'
import type { Site } from '#core/site/schema'
import { findBlock, type Place, walkPage } from '#core/site/tree'
import { specimenDocument } from '#core/specimen/specimen-document'
import { STRESS_NAMES, stressOf } from '#core/stress/index'
import { testIds } from '#core/values/ids.fixture'
import { paintings } from './legibility.fixture'
import { motionsMet } from './motion.fixture'
import { sweptPages } from './sweep.fixture'
import { keptDocuments } from './documents.fixture'
import { otherwise, textOf } from './kept.fixture'

const TODAY = '2026-10-01'
/** Grown where they are first asked for, so that what grows them counts as tested. */
let grown: Map<string, Site> | undefined
const documents = () => (grown ??= keptDocuments())

const placesOf = (one: Site): Place[] =>
  one.pages.flatMap((page) => [...walkPage(page)].flatMap((block) => findBlock(one, block.id) ?? []))

/** Some of a list, evenly: what is asked of every block of a page would take long. */
const some = <T>(list: readonly T[], count: number): T[] =>
  list.filter((_, n) => Math.floor((n * count) / list.length) !== Math.floor(((n - 1) * count) / list.length))

/** What documents come to, aspect by aspect. Each is a pure function of the document. */
const ASPECTS: Record<string, (one: Site) => unknown> = {
  'printed readable': (one) => webFiles(one, 'readable').texts,
  'printed minified': (one) => {
    const { texts, pictures, fonts, linked, icon, characters } = webFiles(one, 'minified')
    return { texts, pictures, fonts: fonts.map(({ file }) => file), linked, icon, characters: characters() }
  },
  'printed for engines': (one) =>
    (['plain', 'calm', 'checked'] as const).map((engine) => webFiles(one, 'minified', undefined, undefined, engine).texts),
  mockup: (one) => one.pages.map((page) => mockupBody(one, page, { picture: ({ id }) => id, fonts: [] }, 800)),
  specimen: (one) => specimenDocument(one, one.pages[0]!, { picture: ({ id }) => id, fontCss: '' }),
  tokens: designTokens,
  deck: (one) => printDeck(deckOf(one, one.language), deckLinks(one)),
  copy: (one) => copyFindings(one, one.language),
  checks: (one) => findings(one, TODAY),
  links: (one) => [brokenLinks(one), one.pages.map((page) => targetsOf(one, page))],
  brief: (one) =>
    one.pages.map((page) => [
      (page.brief?.constraints ?? []).map((constraint) => verdictOn(constraint, page, one)),
      (Object.keys(QUESTIONS) as (keyof typeof QUESTIONS)[]).map((question) => answerVerdict(question, page, one)),
    ]),
  colours: (one) => one.pages.map((page) => [colourUses(one, page), brokenRules(one, page), pairsOn(one, page)]),
  consistency: (one) =>
    VALUE_KINDS.map((kind) => [
      distinctValues(one, kind),
      gatherings(one, kind).map((gathering) => [gathering, mergeEdits(one, gathering)]),
    ]),
  values: (one) => one.pages.map((page) => valuesPrintedOn(one, page)),
  exceptions: (one) => one.pages.flatMap((page) => page.sections.map((section) => exceptionRows(one, section))),
  pictures: (one) => [
    picturesInUse(one),
    tagsInUse(one),
    one.pages.flatMap((page) =>
      page.sections.map((section) =>
        [...pictureWarnings(one, section)].map(([id, list]) => [
          id,
          list.map((warning) => warningInWords(warning, { width: 800 })),
        ]),
      ),
    ),
  ],
  'settings without effect': (one) =>
    placesOf(one).map((place) => one.breakpoints.map((_, range) => settingsWithoutEffect(one, place, range))),
  'first guides': firstGuides,
  stress: (one) => STRESS_NAMES.map((name) => textOf(() => stressOf(name).change?.(one) ?? one)),
  many: (one) => {
    const places = some(placesOf(one), 12)
    const siblings = places.map(({ ancestors, page, path }) =>
      (ancestors.at(-1)?.children ?? []).slice(0, 3).flatMap((block, index) => {
        const ownPath = [...path.slice(0, -1), index]
        return { page, path: ownPath, ancestors, block } as Place
      }),
    )
    return siblings.map((list, n) => [
      textOf(() => alikeOf(one, places[n]!, 'page', 'style').map(({ id }) => id)),
      textOf(() => distributeEdits(one, list, 'base', testIds())),
      textOf(() => stepEdits(one, list, { start: 1 }, 'base')),
      textOf(() => stepEdits(one, list, { span: -1 }, 'base')),
      textOf(() => wrapEdits(one, list, testIds())),
      textOf(() => unwrapEdits(one, list)),
      textOf(() =>
        styleEdits(
          one,
          places[n]!.block,
          list.map(({ block }) => block),
        ),
      ),
    ])
  },
  columns: siteColumns,
  motion: motionsMet,
}

test.each(Object.entries(ASPECTS))('%s comes to what it came to', (aspect, make) => {
  expect(otherwise(aspect, new Map([...documents()].map(([name, one]) => [name, textOf(() => make(one))])))).toEqual([])
})

test('edits of every kind come to what they came to, there and back, and are named so', () => {
  const demo = demoSite()
  const made = EDIT_KINDS.map((kind): [string, string] => [
    kind,
    Array.from({ length: 12 }, (_, seed) =>
      textOf(() => {
        const edit = sampleEdit(kind, demo, chooserOf(seed))
        const { site: after, inverse } = applyEdit(demo, edit)
        return [edit, editLabel(edit), inverse, after]
      }),
    ).join('\n'),
  ])
  expect(otherwise('edits', new Map(made))).toEqual([])
})

test.each([
  ['legibility', paintings],
  ['sweep', sweptPages],
] as const)('%s comes to what it came to', (aspect, make) => {
  expect(otherwise(aspect, new Map([...make()].map(([name, one]) => [name, textOf(() => one)])))).toEqual([])
})

test('arrangements come to what they came to, with any number of entries', () => {
  const { breakpoints } = demoSite()
  const made = ARRANGEMENTS.map((one): [string, string] => [
    one.id,
    [0, 1, 2, 3, 5, 8].map((entries) => textOf(() => arrange(one, entries, breakpoints, testIds()))).join('\n'),
  ])
  expect(otherwise('arrangements', new Map(made))).toEqual([])
})
