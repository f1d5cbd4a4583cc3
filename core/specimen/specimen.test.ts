import { HtmlValidate } from 'html-validate'
import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { inDirection } from '#core/site/directions'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { STATES } from '#core/guide/looks'
import { SAMPLE } from '#core/type/sample'
import { specimenDocument, specimenDrawing, familiesOfGuide } from './specimen-document'

const site = demoSite()
const page = site.pages[0]!
const parts = { picture: ({ id }: { id: string }) => `${id}.webp`, fontCss: '' }

describe.each(['lamplight', 'logbook'])('the specimen of %s', (direction) => {
  const shown = inDirection(site, direction)
  const html = specimenDocument(shown, page, parts)

  test('has every role, kind and state', () => {
    for (const { role, hex } of shown.guide.colours) {
      expect(html).toContain(`background:var(--${role})`)
      expect(html).toContain(hex.toUpperCase())
    }
    for (const { role } of shown.guide.types) expect(html).toContain(`<p class="${role}">`)
    for (const { name } of shown.guide.buttons)
      for (const state of STATES) expect(html).toContain(`<span class="button-${name}" data-state="${state}">`)
    for (const { name } of [...shown.guide.spaces, ...shown.guide.corners, ...shown.guide.shadows])
      expect(html).toContain(`var(--${name})`)
  })

  test('has its name, its note and the pictures behind it', () => {
    const { name, note, mood } = shown.directions.find((one) => !one.guide)!
    expect(html).toContain(`<h1 class="heading-2">${name}</h1>`)
    expect(html).toContain(note)
    for (const id of mood) expect(html).toContain(`src="${id}.webp"`)
  })

  test('is sound HTML', async () => {
    const report = await new HtmlValidate({
      extends: ['html-validate:recommended'],
      // Swatches and bars are as wide and coloured as what they show.
      rules: {
        'doctype-style': 'off',
        'no-inline-style': 'off',
        'long-title': 'off',
        'no-trailing-whitespace': 'off',
        'no-implicit-input-type': 'off',
      },
    }).validateString(html)
    expect(report.results.flatMap((one) => one.messages.map((message) => `${message.ruleId}: ${message.message}`))).toEqual([])
  })

  test('is drawn from the same tree as XHTML', () => {
    const drawing = specimenDrawing(shown, page, parts)
    expect(drawing).toMatch(/^<body class="specimen" xmlns="http:\/\/www\.w3\.org\/1999\/xhtml"><style>/)
    expect(drawing).toMatch(/<img [^>]*\/>/)
    expect(drawing.replace(/<style>[^]*<\/style>/, '')).not.toMatch(/&(?!amp;|lt;|gt;|#x?[0-9a-f]+;)/i)
  })
})

test('the families of a guide are each there once', () => {
  expect(familiesOfGuide(site).map((one) => one.id)).toEqual(['fraunces', 'instrument-sans'])
  const twice = {
    ...site,
    guide: {
      ...site.guide,
      faces: [...site.guide.faces, { name: 'third', family: 'fraunces' }, { name: 'none', family: 'nowhere' }],
    },
  }
  expect(familiesOfGuide(twice)).toHaveLength(2)
})

test('words of a site that look like markup are words in its specimen', () => {
  const hostile = { ...site, name: '<script>alert(1)</script>' }
  expect(specimenDocument(hostile, page, parts)).not.toContain('<script>')
})

test('a site without words of its own is shown neutral ones, and none of another site', () => {
  const bare = newSite('Barges', testIds())
  const html = specimenDocument(bare, bare.pages[0]!, parts)
  expect(html).toContain(SAMPLE.heading)
  expect(html).not.toMatch(/coat|galax|telescope|observatory|stove/i)
})
