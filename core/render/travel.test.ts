import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import type { Travel } from '#core/site/travel'
import { printRules } from './rules'
import { travelRules } from './travel-rules'

const css = (travel: Travel) => printRules(travelRules({ travel }), 'minified')
/** What stands where motion is wanted. */
const wanted = (text: string) => text.slice(text.indexOf('prefers-reduced-motion'))

describe('the way from place to place', () => {
  test('to a section glides where motion is wanted, and stops below what is sticky for everybody', () => {
    const text = css({ smooth: true, below: 72 })
    expect(text).toMatch(/^html\{scroll-padding-top:72px\}/)
    expect(wanted(text)).toContain('html{scroll-behavior:smooth}')
    expect(text.indexOf('scroll-behavior')).toBeGreaterThan(text.indexOf('@media'))
  })

  test('to another page fades or slides, where motion is wanted', () => {
    expect(wanted(css({ change: { kind: 'fade', seconds: 0.35 } }))).toContain(
      '@view-transition{navigation:auto}::view-transition-group(*){animation-duration:.35s}',
    )
    const slide = css({ change: { kind: 'slide', seconds: 0.5 } })
    expect(wanted(slide)).toContain('::view-transition-old(root){animation:page-goes .5s ease-in-out both}')
    expect(slide).toContain('@keyframes page-comes{from{translate:100vw}}')
  })

  test('is nothing where nothing is said, and is taken back by one edit', () => {
    expect(css({})).toBe('')
    const { travel: _, ...site } = demoSite()
    const { site: next, inverse } = applyEdit(site, { kind: 'site', field: 'travel', value: { smooth: true } })
    expect(next.travel).toEqual({ smooth: true })
    expect(applyEdit(next, inverse).site).toEqual(site)
  })
})
