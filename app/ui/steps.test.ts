import { describe, expect, test } from 'vitest'
import { withColour } from '#core/analysis/contrast-repairs'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { newSection } from '#core/blocks/defaults'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { type Looked, stepsOf } from './steps'

const site = demoSite()
const stepsFor = (of: Site, exported = false) => stepsOf({ siteId: 's', site: of, page: of.pages[0]!, exported })
const done = (of: Site) => stepsFor(of).flatMap((one) => (one.complete ? [one.name] : []))
const after = (...edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, site)

describe('the path of the work', () => {
  test('has each step at its address, with what completes it', () => {
    const steps = stepsFor(site)
    expect(steps.map((one) => one.name)).toEqual(['Brief', 'Copy', 'References', 'Compose', 'Style', 'Check', 'Deliver'])
    expect(steps.map((one) => one.to)).toEqual(steps.map((one) => `/sites/s/pages/autumn/${one.name.toLowerCase()}`))
    expect(steps.every((one) => one.conditions.length > 0 && one.complete === one.conditions.every(({ met }) => met))).toBe(true)
  })

  test('is complete in the demo but for what has not been exported', () => {
    expect(done(site)).toEqual(['Brief', 'Copy', 'References', 'Compose', 'Style', 'Check'])
    expect(stepsFor(site, true).at(-1)!.complete).toBe(true)
    // Links to the other pages are none that lead nowhere.
    const checked = site.pages.map((page) =>
      stepsOf({ siteId: 's', site, page, exported: false }).find((one) => one.name === 'Check')!,
    )
    expect(checked.map((one) => one.complete)).toEqual(site.pages.map(() => true))
  })

  test('counts in Check what was found where the page was run; what was not looked at is not asked for', () => {
    const check = (looked: Looked) =>
      stepsOf({ siteId: 's', site, page: site.pages[0]!, exported: false, looked }).find((one) => one.name === 'Check')!
    expect(check({ widths: 0, access: 0 }).complete).toBe(true)
    const held = check({ widths: 2, words: 0 })
    expect(held.complete).toBe(false)
    expect(held.conditions.map((one) => one.what)).toEqual([
      'Nothing is missing before launch',
      'Nothing is broken at any width: 2 faults left',
      'All words over pictures can be read',
    ])
  })

  test('has nothing done on a new site', () => {
    let n = 0
    const empty = newSite('New', () => `id${n++}`)
    expect(done(empty)).toEqual([])
    // Nor with sections that have no word yet, nor any slot for one.
    const section = newSection('reasons', () => `id${n++}`)
    const bare = applyEdit(empty, { kind: 'insert', parent: empty.pages[0]!.id, index: 0, blocks: [section] }).site
    expect(done(bare)).toEqual([])
  })

  test('asks for contrast and for rules to be kept in Style', () => {
    expect(done({ ...site, guide: withColour(site.guide, 'ink-soft', '#C0C0C0') })).not.toContain('Style')
    const heading = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'heading')!
    expect(done(after({ kind: 'style', block: heading.id, scope: 'base', values: { ink: { role: 'accent' } } }))).not.toContain(
      'Style',
    )
  })

  test('asks for words and pictures in Compose, and for the three answers in Brief', () => {
    const picture = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'picture')!
    const bare = after({ kind: 'field', block: picture.id, field: 'picture', value: null })
    expect(done(bare)).not.toContain('Compose')
    const compose = stepsFor(bare).find((one) => one.name === 'Compose')!
    expect(compose.conditions.find((one) => !one.met)!.what).toBe('Every picture is chosen: 1 picture left')
    expect(done(after({ kind: 'brief', page: 'autumn', values: { why: '' } }))).not.toContain('Brief')
  })

  test('asks for a picture and a colour in References', () => {
    const colours = site.board.filter((one) => one.kind === 'colour').map((one) => one.id)
    expect(done(after({ kind: 'list', list: 'board', drop: colours, put: [] }))).not.toContain('References')
  })
})
