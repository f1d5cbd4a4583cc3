import { afterEach, describe, expect, test } from 'vitest'
import { pairsOn } from '#core/analysis/contrast'
import { withColour } from '#core/analysis/contrast-repairs'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { guideOf } from '#core/site/directions'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { undo } from '../session/store'
import { ButtonsPart } from './buttons-part'
import { ColourPart, fixedRoles, freeName } from './colour-part'
import { ConsistencyPart } from './consistency-part'
import { ContrastPart } from './contrast-part'
import { GridPart } from './grid-part'
import { LooksPart } from './looks-part'
import { SpacePart } from './space-part'
import { stage, type Stage } from './style.fixture'
import { TypePart } from './type-part'

let now: Stage | undefined
afterEach(() => {
  now?.end()
  now = undefined
})
const open = (...given: Parameters<typeof stage>): Stage => (now = stage(...given))
const guide = () => now!.site().guide
const hexOf = (role: string) => guide().colours.find((one) => one.role === role)?.hex
const coloured = (role: string, hex: string): Site => {
  const site = demoSite()
  return { ...site, guide: withColour(site.guide, role, hex) }
}

describe('colour', () => {
  test('what the brief asks for is fixed, whatever role has it', () => {
    expect([...fixedRoles(demoSite())].sort()).toEqual(['accent', 'primary'])
    expect(fixedRoles(coloured('accent', '#123456'))).not.toContain('accent')
    open(<ColourPart number={1} />)
    now!.press(/^fixedaccent/)
    expect(now!.named<HTMLInputElement>('Lightness of accent').disabled).toBe(true)
    expect(now!.host.textContent).toContain('Fixed by the brief')
  })

  test('a role that is made to stand on another is held against that, others against the ground', () => {
    const site = coloured('primary', '#FFD36B')
    open(<ColourPart number={1} />, { site: { ...site, guide: withColour(site.guide, 'on-primary', '#FFFFFF') } })
    now!.press(/^on primary#/)
    // White on that yellow, by the formula of WCAG 2.2: 1.05 / 0.734.
    expect(now!.host.textContent).toContain('1.4 : 1on primary')
    now!.press(/^link/)
    expect(now!.host.textContent).toContain(': 1on the ground')
  })

  test('a figure sets the colour, brought into sRGB, and is undone in one step', () => {
    open(<ColourPart number={1} />)
    now!.press(/^link/)
    now!.type('Lightness, figure', '0.6')
    expect(hexOf('link')).not.toBe('#3B3A9E')
    expect(hexOf('link')).toMatch(/^#[0-9A-F]{6}$/)
    undo(now!.store)
    expect(hexOf('link')).toBe('#3B3A9E')
  })

  test('a name is changed everywhere; one that is none, or taken, is not', () => {
    open(<ColourPart number={1} />)
    now!.press(/^link/)
    now!.type('Name of link', 'not a name')
    expect(hexOf('link')).toBeDefined()
    now!.type('Name of link', 'sign')
    expect(hexOf('link')).toBeUndefined()
    expect(hexOf('sign')).toBe('#3B3A9E')
    expect(guideOf(now!.site(), 'logbook').colours.some((one) => one.role === 'sign')).toBe(true)
    const inks = [...walkPage(now!.site().pages[0]!)].map((block) => block.style.base?.ink)
    expect(inks).toContainEqual({ role: 'sign' })
    expect(inks).not.toContainEqual({ role: 'link' })
  })

  test('what a role is meant for is set and taken away, and what breaks it is said', () => {
    open(<ColourPart number={1} />)
    now!.press(/^ink soft/)
    now!.press('edges')
    expect(guide().colours.find((one) => one.role === 'ink-soft')!.only).toEqual(['edges'])
    expect(now!.host.textContent).toContain('ink-soft is meant for edges only')
    now!.press(/ink-soft is meant for edges only/)
    expect(now!.shown.at(-1)).toEqual(expect.any(String))
    now!.press('edges')
    expect(guide().colours.find((one) => one.role === 'ink-soft')).not.toHaveProperty('only')
  })

  test('roles are added under a name of their own, and one that nothing uses is taken away', () => {
    open(<ColourPart number={1} />)
    now!.press('Add a role')
    now!.press('Add a role')
    expect(
      guide()
        .colours.slice(-2)
        .map((one) => one.role),
    ).toEqual(['own', 'own-2'])
    now!.press('Take away own-2')
    expect(hexOf('own-2')).toBeUndefined()
    expect(freeName('own', ['own', 'own-2'])).toBe('own-3')
  })

  test('a colour of a harmony is taken by a press', () => {
    open(<ColourPart number={1} />)
    now!.press(/^link/)
    const chips = [...now!.host.querySelectorAll('button[aria-label^="Take #"]')]
    expect(chips.length).toBeGreaterThan(15)
    now!.press(chips.at(-3)!.getAttribute('aria-label')!)
    expect(`Take ${hexOf('link')}`).toBe(chips.at(-3)!.getAttribute('aria-label'))
  })

  test('in another direction it is that one’s guide that changes', () => {
    open(<ColourPart number={1} />, { direction: 'logbook' })
    now!.press(/^link/)
    now!.type('Lightness, figure', '0.3')
    expect(hexOf('link')).toBe('#3B3A9E')
    expect(guideOf(now!.site(), 'logbook').colours.find((one) => one.role === 'link')!.hex).not.toBe('#8A3B1C')
  })
})

describe('contrast', () => {
  test('shows every pair that occurs, and says of the chosen one what it passes for', () => {
    open(<ContrastPart number={2} />)
    const { pairs } = pairsOn(now!.site(), now!.site().pages[0]!)
    expect(now!.host.querySelectorAll('[data-pair]')).toHaveLength(pairs.length)
    now!.press(/^ink on ground/)
    expect(now!.host.textContent).toContain('Passes for text of any size, at AA and at AAA.')
    now!.press('Show the first')
    expect(now!.shown).toHaveLength(1)
  })

  test('a repair mends the pair that falls short', () => {
    open(<ContrastPart number={2} />, { site: coloured('ink-soft', '#A5A8B8') })
    const short = () => now!.host.querySelectorAll('[data-short]').length
    expect(short()).toBeGreaterThan(0)
    expect(now!.host.textContent).toContain('fall short')
    while (short() > 0) {
      const before = short()
      now!.press(/^ink-soft #/)
      expect(short()).toBeLessThan(before)
    }
    expect(now!.host.textContent).toContain('all of them pass')
  })
})

describe('type', () => {
  test('a role is chosen, set in another weight and tracking, and back on the scale', () => {
    open(<TypePart number={3} />)
    now!.press(/^lead/)
    now!.type('Weight of the role', '500')
    now!.type('Tracking of the role', '0.02')
    now!.type('Size of the role', '20 to 30')
    expect(guide().types.find((one) => one.role === 'lead')).toMatchObject({
      weight: 500,
      tracking: 0.02,
      size: { fluid: { from: { px: 20 }, to: { px: 30 } } },
    })
    now!.type('Leading of the role', '1.3')
    expect(now!.host.textContent).toContain('Leading 1.30, 1.30, 1.30')
    now!.type('Leading of the role', '')
    expect(guide().types.find((one) => one.role === 'lead')).not.toHaveProperty('leading')
    now!.press('Italic')
    now!.press('Hanging punctuation')
    expect(guide().types.find((one) => one.role === 'lead')).toMatchObject({ italic: true, hanging: true })
    now!.press('Italic')
    expect(guide().types.find((one) => one.role === 'lead')).not.toHaveProperty('italic')
  })

  test('the scale is set at both ends, and refuses a narrow width that is not', () => {
    open(<TypePart number={3} />)
    now!.type('Base, wide', '20')
    now!.type('Ratio, narrow', '1.15')
    now!.type('Width, narrow', '2000')
    expect(guide().scale).toMatchObject({ base: { wide: 20 }, ratio: { narrow: 1.15 }, at: { narrow: 375, wide: 1360 } })
    now!.type('Leading at 76 px', '0.95')
    expect(guide().leading.large).toBe(0.95)
  })

  test('lines, characters and the zoom test are those that were measured', () => {
    const text = [...walkPage(demoSite().pages[0]!)].find((block) => block.kind === 'text')!
    const box = (lines: number, width: number) => ({ role: 'body', block: text.id, size: 17, width, lines })
    const measured = {
      types: new Map([
        [1280, [box(3, 900)]],
        [768, [box(4, 500)]],
        [375, [box(6, 335)]],
      ]),
      cover: new Map<string, number>(),
    }
    open(<TypePart number={3} />, { measured })
    now!.press(/^body/)
    expect(now!.host.textContent).toContain('Lines, at most: 3 at 1280, 4 at 768, 6 at 375 px.')
    expect(now!.host.textContent).toMatch(/Characters per line, at most: 1\d\d at 1280/)
    now!.press('the text narrower')
    expect(now!.shown).toEqual([text.id])
  })
})

describe('buttons', () => {
  test('a state gets its colours and ring, a kind its box and its least height', () => {
    open(<ButtonsPart number={5} />)
    now!.press(/^quiet, pressed: /)
    now!.type('Opacity of quiet, pressed', '80')
    now!.type('Least height that can be hit', '60')
    now!.type('Width of the edge', '2')
    now!.type('Padding, down', '20')
    expect(guide().buttons.find((one) => one.name === 'quiet')).toMatchObject({
      pressed: { opacity: 0.8 },
      hit: 60,
      edgeWidth: 2,
      paddingBlock: { value: 20, unit: 'px' },
    })
    now!.type('Opacity of quiet, pressed', '')
    expect(guide().buttons.find((one) => one.name === 'quiet')!.pressed).toEqual({})
  })

  test('a kind is made like the chosen one; one that is used stays', () => {
    open(<ButtonsPart number={5} />)
    now!.press(/^primary, rest: /)
    expect(now!.host.textContent).toMatch(/\d+\.\d : 1 for the words on their fill/)
    expect(now!.named<HTMLButtonElement>(/buttons? (is|are) of the kind primary/).disabled).toBe(true)
    now!.press('Kind like primary')
    expect(guide().buttons.at(-1)).toMatchObject({ name: 'own', rest: guide().buttons[0]!.rest })
    now!.press('Take away own')
    expect(guide().buttons.some((one) => one.name === 'own')).toBe(false)
    now!.press(/^secondary, disabled: /)
    expect(now!.host.textContent).not.toContain('for the words on their fill')
  })
})

describe('space, looks and grid', () => {
  test('spaces, corners and shadows are set, added and taken away where nothing uses them', () => {
    open(<SpacePart number={6} />)
    now!.type('Size of space-9', '100 px')
    now!.type('Rhythm', '8')
    expect(guide()).toMatchObject({ baseline: 8 })
    expect(now!.host.textContent).toContain('rhythm of 8 px')
    now!.press(/^Bring \d onto the rhythm/)
    expect(guide().spaces.every((one) => 'value' in one.size && one.size.value % 8 === 0)).toBe(true)
    now!.press('Space')
    now!.press('Take away space-10')
    now!.press('Corner')
    now!.type('Height of shadow-1', '6')
    now!.press('Shadow')
    now!.type('Strength of shadows', '50')
    expect(guide().corners.map((one) => one.name)).toContain('corner-4')
    expect(guide().shadows).toEqual([
      { name: 'shadow-1', height: 6 },
      { name: 'shadow-2', height: 12 },
      { name: 'shadow-3', height: 24 },
    ])
    expect(guide().light.strength).toBe(0.5)
    expect(now!.named<HTMLButtonElement>('space-4 is used').disabled).toBe(true)
  })

  test('fields, lists, cards and tables get their figures', () => {
    open(<LooksPart number={7} />)
    now!.type('Least height of the field', '56')
    now!.type('Space between items', 'space-2')
    now!.type('Width of the lines', '2')
    now!.type('Padding of rows', '10')
    now!.type('Padding of plain', '30')
    now!.press('Card')
    expect(guide().looks).toMatchObject({
      field: { hit: 56 },
      list: { gap: { token: 'space-2' } },
      table: { lineWidth: 2, padding: { value: 10, unit: 'px' } },
    })
    expect(guide().looks.cards.map((one) => one.name)).toEqual(['plain', 'raised', 'card'])
    expect(guide().looks.cards[0]!.padding).toEqual({ value: 30, unit: 'px' })
    now!.press('Take away card')
    expect(guide().looks.cards).toHaveLength(2)
  })

  test('a grid is known, solved for, or set by figures at each breakpoint', () => {
    open(<GridPart number={8} />)
    now!.press(/^960/)
    expect(now!.site().breakpoints[0]).toMatchObject({ columns: 12, gutter: 20, container: 940 })
    now!.press(/^Fluid/)
    expect(now!.site().breakpoints[0]!.container).toBe(4000)
    now!.type('Columns to solve for', '10')
    now!.type('Greatest width', '1000')
    now!.press(/^10 × 82 \+ 20/)
    expect(now!.site().breakpoints[0]).toMatchObject({ columns: 10, gutter: 20, container: 1000 })
    now!.type('Gutter, below 640', '12')
    expect(now!.site().breakpoints.at(-1)!.gutter).toBe(12)
    now!.type('Greatest width', '200')
    now!.type('Columns to solve for', '24')
    expect(now!.host.textContent).toContain('No columns of whole px fit.')
  })
})

describe('consistency', () => {
  const texts = [...walkPage(demoSite().pages[0]!)].filter((block) => block.kind === 'text')
  const grey = ['#777777', '#797979', '#7B7B7B'].reduce(
    (site: Site, hex, i) =>
      applyEdit(site, { kind: 'style', block: texts[i]!.id, scope: 'base', values: { ink: { hex } } } as Edit).site,
    demoSite(),
  )

  test('near-greys are one press from being one, and that is one step', () => {
    open(<ConsistencyPart number={9} />, { site: grey })
    expect(now!.host.textContent).toContain('3 near-greys in 3 places: make them a new grey-1')
    const row = now!.host.querySelector('[data-gathering=colour] button')!
    now!.press(row.textContent!.trim())
    expect(hexOf('grey-1')).toMatch(/^#7/)
    expect(now!.host.textContent).not.toContain('near-greys')
    undo(now!.store)
    expect(now!.site()).toEqual(grey)
  })

  test('a value tells where it stands', () => {
    open(<ConsistencyPart number={9} />, { site: grey })
    now!.press('#777777, 1 use')
    expect(now!.host.textContent).toContain('#777777, 1 use, as ink.')
    now!.press('Show the first')
    expect(now!.shown).toEqual([texts[0]!.id])
  })
})
