import { describe, expect, test } from 'vitest'
import { createRenderer } from '#core/render/page'
import { currentOf, restyledSite, guideOf, inDirection, overlaid } from '#core/site/directions'
import { pixels } from '#core/values/length'
import type { Site } from '#core/site/schema'
import { styleGuideSchema } from '#core/guide/style-guide'
import { checkSite } from '#core/formats/site-json'
import { walkPage } from '#core/site/tree'
import { demoSite } from './edits.fixture'
import { guideEdits } from './guide'
import { applyEdit, type Edit, editLabel, parseEdit } from './index'

const site = demoSite()
const heading = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'heading')!
const after = (from: Site, ...edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, from)
const colours = (hex: string, direction?: string): Edit => ({
  kind: 'guide',
  part: 'colours',
  value: site.guide.colours.map((one) => (one.role === 'link' ? { ...one, hex } : one)),
  ...(direction === undefined ? {} : { direction }),
})

describe('a part of the guide', () => {
  const parts = Object.keys(styleGuideSchema.shape) as (keyof Site['guide'])[]

  test.each(parts)('%s is set, in the current direction or another, and set back', (part) => {
    for (const direction of [undefined, 'lamplight', 'logbook']) {
      const edit = parseEdit(
        JSON.parse(
          JSON.stringify({ kind: 'guide', part, value: guideOf(site, 'logbook')[part], ...(direction ? { direction } : {}) }),
        ),
      )
      const { site: changed, inverse } = applyEdit(site, edit)
      expect(guideOf(changed, direction ?? 'lamplight')[part]).toEqual(guideOf(site, 'logbook')[part])
      expect(applyEdit(changed, inverse).site).toEqual(site)
      expect(editLabel(edit).length).toBeGreaterThan(3)
    }
  })

  test('of another direction leaves the current one as it is', () => {
    const changed = after(site, colours('#123456', 'logbook'))
    expect(changed.guide).toEqual(site.guide)
    expect(guideOf(changed, 'logbook').colours.find((one) => one.role === 'link')!.hex).toBe('#123456')
  })

  test.each<[string, Edit, RegExp]>([
    [
      'a face that types are set in goes',
      { kind: 'guide', part: 'faces', value: [{ name: 'text', family: 'lora' }] },
      /the face “heading”, which is not in the guide/,
    ],
    [
      'a type role that buttons are set in goes',
      { kind: 'guide', part: 'types', value: site.guide.types.filter((one) => one.role !== 'button') },
      /set in the type role “button”/,
    ],
    [
      'two roles are called alike',
      { kind: 'guide', part: 'colours', value: [...site.guide.colours, { role: 'ink', hex: '#000000' }] },
      /two colour roles called “ink”/,
    ],
    ['a direction is gone', { kind: 'guide', part: 'baseline', value: 8, direction: 'gone' }, /no longer in this site/],
  ])('is refused when %s', (_, edit, sentence) => {
    expect(() => applyEdit(site, edit)).toThrow(sentence)
  })

  test('all parts that differ are brought over at once', () => {
    const edits = guideEdits(site.guide, guideOf(site, 'logbook'))
    expect(after(site, ...edits).guide).toEqual(guideOf(site, 'logbook'))
    expect(edits.map((one) => one.part)).not.toContain('spaces')
  })
})

describe('directions', () => {
  const third = { ...site.directions[1]!, id: 'third', name: 'Third try', guide: guideOf(site, 'logbook') }

  test('are added, named, made current and deleted, and each is taken back', () => {
    const edits: Edit[] = [
      { kind: 'direction-add', index: 1, direction: third },
      { kind: 'direction-field', direction: 'logbook', values: { name: 'Paper', note: 'Plain', mood: [] } },
      { kind: 'direction-current', direction: 'logbook' },
      { kind: 'direction-remove', direction: 'lamplight' },
    ]
    let now = site
    for (const edit of edits) {
      const { site: next, inverse } = applyEdit(now, parseEdit(JSON.parse(JSON.stringify(edit))))
      expect(next).not.toEqual(now)
      expect(applyEdit(next, inverse).site).toEqual(now)
      expect(checkSite(JSON.parse(JSON.stringify(next)))).toEqual(next)
      now = next
    }
    expect(now.directions.map((one) => one.name)).toEqual(['Third try', 'Paper'])
    expect(currentOf(now).id).toBe('logbook')
    expect(now.guide).toEqual(guideOf(site, 'logbook'))
  })

  test('the current one is not deleted, and what is gone is named', () => {
    expect(() => applyEdit(site, { kind: 'direction-remove', direction: 'lamplight' })).toThrow(/“Lamplight” is current/)
    for (const edit of [
      { kind: 'direction-remove', direction: 'gone' },
      { kind: 'direction-current', direction: 'gone' },
      { kind: 'direction-field', direction: 'gone', values: { name: 'A' } },
    ] as Edit[])
      expect(() => applyEdit(site, edit)).toThrow(/no longer in this site/)
    expect(() => applyEdit(site, { kind: 'direction-add', index: 0, direction: { ...third, id: 'logbook' } })).toThrow(/already/)
  })

  test('a file in which two are current, or none, is refused', () => {
    for (const guides of [
      [undefined, undefined],
      [site.guide, site.guide],
    ])
      expect(() => checkSite({ ...site, directions: site.directions.map((one, i) => ({ ...one, guide: guides[i] })) })).toThrow(
        /One direction/,
      )
  })

  test('a site is shown in another of them, as the same object each time', () => {
    const shown = inDirection(site, 'logbook')
    expect(shown.guide).toEqual(guideOf(site, 'logbook'))
    expect(currentOf(shown).id).toBe('logbook')
    expect(inDirection(site, 'logbook')).toBe(shown)
    expect(inDirection(site, 'lamplight')).toBe(site)
  })
})

describe('a block restyled in one direction', () => {
  const restyle: Edit = { kind: 'style', block: heading.id, direction: 'logbook', scope: 'base', values: { weight: 320 } }
  const below: Edit = { ...restyle, scope: { below: 'narrow' }, values: { weight: 300 } } as Edit
  const restyled = after(site, restyle, below)
  const cssOf = (of: Site) => {
    const render = createRenderer({
      language: 'en',
      editing: true,
      viewportUnit: 'unit',
      addresses: { picture: () => '', link: () => '', form: () => '' },
    })
    return JSON.stringify(render(of, of.pages[0]!).flatMap((one) => one.rules))
  }

  test('is so in that direction alone, at any width', () => {
    expect(cssOf(restyled)).toBe(cssOf(site))
    const logbook = cssOf(inDirection(restyled, 'logbook'))
    expect(logbook).toContain('"font-weight","320"')
    expect(logbook).toContain('"font-weight","300"')
  })

  test('leaves all other blocks the objects that they were', () => {
    const shown = restyledSite(inDirection(restyled, 'logbook'))
    const changed = shown.pages[0]!.sections.filter((one, i) => one !== site.pages[0]!.sections[i])
    expect(changed.length).toBe(1)
    expect(shown.pages[1]).toBe(restyled.pages[1])
    expect(restyledSite(site)).toBe(site)
  })

  test('is taken back, and nothing of it is left', () => {
    expect(applyEdit(after(site, restyle), applyEdit(site, restyle).inverse).site).toEqual(site)
    expect(() => applyEdit(site, { ...restyle, direction: 'gone' } as Edit)).toThrow(/no longer in this site/)
  })

  test('styles are laid over each other scope by scope', () => {
    expect(
      overlaid(
        { base: { weight: 400, span: 4 }, below: { narrow: { span: 2 } } },
        { base: { weight: 700 }, below: { narrow: { size: pixels(20) } }, hover: { opacity: 1 } },
      ),
    ).toEqual({
      base: { weight: 700, span: 4 },
      below: { narrow: { span: 2, size: pixels(20) } },
      hover: { opacity: 1 },
    })
  })
})
