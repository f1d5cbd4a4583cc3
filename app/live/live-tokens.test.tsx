import { beforeEach, describe, expect, test } from 'vitest'
import { withColour } from '#core/analysis/contrast-repairs'
import { demoSite } from '#core/edits/edits.fixture'
import { forgetTries, tryGuide } from './live-tokens'

const site = demoSite()
let roots: HTMLElement[]
beforeEach(() => {
  document.body.replaceChildren()
  roots = ['lamplight', 'lamplight', 'logbook', undefined].map((direction) => {
    const frame = document.createElement('iframe')
    if (direction) frame.dataset.direction = direction
    document.body.append(frame)
    return frame.contentDocument!.documentElement
  })
})
const styles = () => roots.map((root) => root.getAttribute('style'))

describe('a guide that is tried', () => {
  test('is written on the pages of its direction as what differs, and nothing else', () => {
    tryGuide('lamplight', site, withColour(site.guide, 'link', '#112233'))
    expect(styles()).toEqual(['--link: #112233;', '--link: #112233;', null, null])
  })

  test('of a scale changes the sizes that follow it', () => {
    tryGuide('logbook', site, { ...site.guide, scale: { ...site.guide.scale, base: { narrow: 20, wide: 20 } } })
    expect(roots[2]!.style.getPropertyValue('--size-body')).toMatch(/^clamp\(1\.25rem/)
    expect(roots[2]!.style.getPropertyValue('--ink')).toBe('')
    expect(roots[0]!.getAttribute('style')).toBeNull()
  })

  test('leaves nothing behind when it is forgotten', () => {
    tryGuide('lamplight', site, withColour(site.guide, 'link', '#112233'))
    forgetTries('lamplight')
    expect(styles()).toEqual([null, null, null, null])
  })
})
