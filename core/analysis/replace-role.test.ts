import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { guideOf } from '#core/site/directions'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import type { Colour } from '#core/values/colour'
import { coloursOfBlock } from './colour-uses'
import { replaceRole } from './replace-role'

const site = demoSite()
const batch = (edits: Edit[]): Edit => ({ kind: 'batch', label: 'replace', edits })
const rolesOf = (of: Site): Set<string> =>
  new Set(
    of.pages.flatMap((page) =>
      [...walkPage(page)].flatMap((block) =>
        [...coloursOfBlock(block)].flatMap(({ colour }) => ('role' in colour ? [colour.role] : [])),
      ),
    ),
  )

describe('a role', () => {
  test('gives way to another wherever it is named, in every direction, and comes back', () => {
    const { site: after, inverse } = applyEdit(site, batch(replaceRole(site, 'link', 'primary')))
    expect(rolesOf(site)).toContain('link')
    expect(rolesOf(after)).not.toContain('link')
    for (const direction of ['lamplight', 'logbook']) {
      const guide = guideOf(after, direction)
      expect(guide.colours.some((one) => one.role === 'link')).toBe(false)
      expect(JSON.stringify([guide.buttons, guide.looks, guide.light])).not.toContain('"role":"link"')
    }
    expect(applyEdit(after, inverse).site).toEqual(site)
  })

  test('takes a new name, and keeps its colour in each direction', () => {
    const { site: after } = applyEdit(site, batch(replaceRole(site, 'night', 'dark-sky')))
    expect(guideOf(after, 'lamplight').colours).toContainEqual({ role: 'dark-sky', hex: '#0E0F2B' })
    expect(guideOf(after, 'logbook').colours).toContainEqual({ role: 'dark-sky', hex: '#22252F' })
    expect(after.guide.light.role).toBe('dark-sky')
    expect(rolesOf(after)).toContain('dark-sky')
  })

  test('is changed in what a direction restyles as well', () => {
    const [block] = [...walkPage(site.pages[0]!)].filter((one) => one.kind === 'heading')
    const restyled = applyEdit(site, {
      kind: 'style',
      block: block!.id,
      direction: 'logbook',
      scope: 'base',
      values: { ink: { role: 'link', alpha: 0.5 } },
    }).site
    const after = applyEdit(restyled, batch(replaceRole(restyled, 'link', 'ink'))).site
    expect(after.directions[1]!.restyled[block!.id]!.base!.ink).toEqual({ role: 'ink', alpha: 0.5 })
  })

  test('is changed where a motion moves it, or to it', () => {
    const [block] = [...walkPage(site.pages[0]!)].filter((one) => one.kind === 'heading')
    const loop = (colours: Record<string, Colour>) => [{ kind: 'loop' as const, to: { colours }, duration: 2 }]
    const motion = loop({ link: { hex: '#ffffff' }, night: { role: 'link' } })
    const moving = applyEdit(site, { kind: 'style', block: block!.id, scope: 'base', values: { motion } }).site
    const after = applyEdit(moving, batch(replaceRole(moving, 'link', 'primary'))).site
    const now = [...walkPage(after.pages[0]!)].find((one) => one.id === block!.id)!
    expect(now.style.base!.motion).toEqual(loop({ primary: { hex: '#ffffff' }, night: { role: 'primary' } }))
  })

  test('in place of itself changes nothing', () => expect(replaceRole(site, 'ink', 'ink')).toEqual([]))
})
