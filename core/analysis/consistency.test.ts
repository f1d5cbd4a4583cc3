import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { distinctValues, gatherings, mergeEdits } from './consistency'
import { changeEverywhere, eachValue, tokensInUse, VALUE_KINDS } from './values-in-use'
import { pixels } from '#core/values/length'

const start = demoSite()
const texts = [...walkPage(start.pages[0]!)].filter((block) => block.kind === 'text')
const after = (from: Site, ...edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, from)
const style = (at: number, values: object): Edit => ({ kind: 'style', block: texts[at]!.id, scope: 'base', values })
const GREYS = ['#777777', '#7A7A7A', '#7B7A7C', '#C9C9C9', '#CBCBCB']
const grey = after(start, ...GREYS.map((hex, i) => style(i, { ink: { hex } })))

describe('distinct values of a site', () => {
  test.each(VALUE_KINDS)('of the kind %s are each there once, in the order of their strip', (kind) => {
    const found = distinctValues(grey, kind)
    expect(new Set(found.map((one) => one.text)).size).toBe(found.length)
    expect(found.map((one) => one.at)).toEqual([...found.map((one) => one.at)].sort((a, b) => a - b))
  })

  test('know how often and where they stand, and whether they are tokens', () => {
    const colours = distinctValues(grey, 'colour')
    expect(colours.find((one) => one.text === '#777777')).toMatchObject({
      literal: true,
      uses: [{ block: texts[0]!.id, property: 'Ink' }],
    })
    expect(colours.find((one) => one.text === 'ink-soft')).toMatchObject({ literal: false, hex: '#565A74' })
    expect(distinctValues(start, 'face').find((one) => one.text === 'heading')!.uses.length).toBeGreaterThan(0)
  })

  test('tokens that nothing uses are there with no use', () => {
    const spare: Edit = { kind: 'guide', part: 'colours', value: [...start.guide.colours, { role: 'spare', hex: '#00AA88' }] }
    expect(distinctValues(after(start, spare), 'colour').find((one) => one.text === 'spare')!.uses).toEqual([])
  })
})

describe('literals that are nearly alike', () => {
  const found = gatherings(grey, 'colour')

  test('are gathered, said how many, and offered one token', () => {
    expect(found.map((one) => one.members.map(({ text }) => text).sort())).toEqual([
      ['#777777', '#7A7A7A', '#7B7A7C'],
      ['#C9C9C9', '#CBCBCB'],
    ])
    expect(found[0]!.sentence).toMatch(/^3 near-greys in 3 places: make them a new grey-1, #7/)
    expect(found[0]!.target.isNew).toBe(true)
  })

  test('are merged by one press, the token made first, and the merge is undone in one', () => {
    const batch: Edit = { kind: 'batch', label: 'merge', edits: found.flatMap((one) => mergeEdits(grey, one)) }
    // Each gathering makes its token from the guide as it was, so they are merged one at a time.
    const one: Edit = { kind: 'batch', label: 'merge', edits: mergeEdits(grey, found[0]!) }
    const { site: merged, inverse } = applyEdit(grey, one)
    expect(gatherings(merged, 'colour')).toHaveLength(1)
    expect(distinctValues(merged, 'colour').find((value) => value.text === 'grey-1')!.uses).toHaveLength(3)
    expect(applyEdit(merged, inverse).site).toEqual(grey)
    expect(batch.edits.length).toBeGreaterThan(one.edits.length)
  })

  test('take a token that is near, where there is one', () => {
    const near = after(start, style(0, { ink: { hex: '#575B75' } }), style(1, { spaceAfter: pixels(17) }))
    expect(gatherings(near, 'colour')[0]!.target).toMatchObject({ name: 'ink-soft', isNew: false })
    expect(gatherings(near, 'space').some((one) => one.target.name === 'space-4' && one.members[0]!.text === '17 px')).toBe(true)
  })

  test('of sizes become the most frequent of them', () => {
    const sizes = after(start, style(0, { size: pixels(19) }), style(1, { size: pixels(19) }), style(2, { size: pixels(20) }))
    const found = gatherings(sizes, 'size').find((one) => one.members.some(({ text }) => text === '19 px'))!
    expect(found.sentence).toMatch(/^\d sizes in \d places: make them (19|20) px\?$/)
    const merged = after(sizes, ...mergeEdits(sizes, found))
    expect(distinctValues(merged, 'size').filter((one) => ['19 px', '20 px'].includes(one.text))).toHaveLength(1)
  })

  test('keep the strength that a colour had', () => {
    const faint = after(start, style(0, { ink: { hex: '#575B75', alpha: 0.5 } }))
    const merged = after(faint, ...mergeEdits(faint, gatherings(faint, 'colour')[0]!))
    const block = [...walkPage(merged.pages[0]!)].find((one) => one.id === texts[0]!.id)!
    expect(block.style.base!.ink).toEqual({ role: 'ink-soft', alpha: 0.5 })
  })
})

test('tokens in use are those of blocks, of what directions restyle, and of buttons and looks', () => {
  const used = tokensInUse(start)
  for (const name of ['space-9', 'corner-3', 'shadow-2', 'corner-1']) expect(used.has(name), name).toBe(true)
  expect(used.has('shadow-1')).toBe(false)
  const restyled = after(start, { ...style(0, { shadow: { token: 'shadow-1' } }), direction: 'logbook' } as Edit)
  expect(tokensInUse(restyled).has('shadow-1')).toBe(true)
})

test('every value is seen with its place, and what does not change makes no edit', () => {
  let seen = 0
  eachValue(start, (value, use) => {
    seen++
    expect(VALUE_KINDS).toContain(value.kind)
    expect(use.block).not.toBe('')
  })
  expect(seen).toBeGreaterThan(40)
  expect(changeEverywhere(start, (value) => value.value)).toEqual([])
})
