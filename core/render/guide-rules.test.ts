import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { DEFAULT_BREAKPOINTS, newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { pixels, token } from '#core/values/length'
import { role } from '#core/values/colour'
import { printRules, type Rule } from './rules'
import { sharedRules, tokenDeclarations, usedTokens, withTokens } from './guide-rules'

const site = newSite('Test', testIds())
const uses = (classes: string[], tags: string[] = []) => ({ classes: new Set(classes), tags: new Set(tags) })
const css = (rules: readonly Rule[]) => printRules(rules, 'minified')

describe('the grid', () => {
  test('is custom properties of the root, at narrower widths only those that differ', () => {
    const text = css(sharedRules(site, uses([])))
    expect(text).toContain(':root{--columns:12;--gutter:24px;--margin:32px;--container:1120px}')
    expect(text).toContain('@media(width<1024px){:root{--columns:8}}')
    expect(text).toContain('@media(width<640px){:root{--columns:4;--gutter:16px;--margin:20px}}')
  })

  test('has a rule for each breakpoint, of any number', () => {
    const many = [...DEFAULT_BREAKPOINTS, { id: 'tiny', below: 360, columns: 2, gutter: 12, margin: 12, container: 400 }]
    expect(css(sharedRules({ ...site, breakpoints: many }, uses([])))).toContain(
      '@media(width<360px){:root{--columns:2;--gutter:12px;--margin:12px;--container:400px}}',
    )
    expect(css(sharedRules({ ...site, breakpoints: many.slice(0, 1) }, uses([])))).not.toContain('@media')
  })
})

describe('shared rules', () => {
  test('of elements and classes are only there where they are used', () => {
    const none = css(sharedRules(site, uses([])))
    for (const absent of ['img{', 'hr{', '.band{', '.heading-1{', '.button-primary{', '.frame{']) expect(none).not.toContain(absent)
    const some = css(sharedRules(site, uses(['band', 'heading-1', 'button-primary', 'frame'], ['img', 'hr'])))
    for (const present of ['img{', 'hr{', '.band{', '.heading-1{', '.button-primary{', '.frame{']) expect(some).toContain(present)
  })

  test('are all there for the views', () => {
    const all = css(sharedRules(site, 'everything'))
    for (const type of site.guide.types.filter((one) => one.role !== 'body')) expect(all).toContain(`.${type.role}{`)
    for (const button of site.guide.buttons) expect(all).toContain(`.button-${button.name}{`)
  })

  test('a type role is its font, its tracking and its lines', () => {
    const guide = {
      ...site.guide,
      types: [
        {
          role: 'quote',
          face: 'text',
          weight: 420,
          size: pixels(24),
          leading: 1.3,
          tracking: -0.01,
          lines: 'pretty' as const,
          letterCase: 'capitals' as const,
          italic: true,
        },
      ],
    }
    expect(css(sharedRules({ ...site, guide }, uses(['quote'])))).toContain(
      '.quote{font:italic 420 var(--size-quote)/1.3 var(--face-text);letter-spacing:-.01em;text-wrap:pretty;text-transform:uppercase}',
    )
  })

  test('a kind of button has its states, for the pointer and for the keyboard', () => {
    const button = {
      ...site.guide.buttons[0]!,
      name: 'own',
      edgeWidth: 2,
      corner: token('corner-2'),
      rest: { fill: role('accent'), ink: role('ink'), edge: role('line') },
      hover: { fill: role('ink') },
    }
    const text = css(sharedRules({ ...site, guide: { ...site.guide, buttons: [button] } }, uses(['button-own'])))
    expect(text).toContain(
      'border:2px solid;border-radius:var(--corner-2);color:var(--ink);background:var(--accent);border-color:var(--line)',
    )
    expect(text).toContain('.button-own:is(:hover,:focus-visible){background:var(--ink)}')
  })
})

describe('tokens', () => {
  const tokens = tokenDeclarations(demoSite())

  test('are the colours, faces, spaces, corners and shadows of the guide', () => {
    const named = new Map(tokens)
    expect(named.get('--accent')).toBe('#ffd36b')
    expect(named.get('--face-heading')).toBe('"Fraunces", "Fraunces fallback", serif')
    expect(named.get('--space-4')).toBe('16px')
    expect(named.get('--shadow-1')).toMatch(/^-0\.7px 1\.9px 4px -0\.5px color-mix/)
    expect(named.get('--size-heading-1')).toBe('clamp(2.4881rem, 1.7329rem + 3.2223vw, 4.4719rem)')
  })

  test('are kept where a rule reads them, or another that is kept does', () => {
    const rule = (value: string): Rule => ({ selector: 'a', below: null, declarations: [['box-shadow', value]] })
    expect(usedTokens(tokens, [rule('var(--shadow-1)')]).map(([name]) => name)).toEqual(['--night', '--shadow-1'])
    expect(usedTokens(tokens, [rule('none'), rule('var(--nowhere)')])).toEqual([])
  })

  test('stand in the root’s rule, before the grid', () => {
    const [root] = withTokens(sharedRules(site, uses([])), [['--ink', '#000']])
    expect(root!.selector).toBe(':root')
    expect(root!.declarations.slice(0, 2)).toEqual([
      ['--ink', '#000'],
      ['--columns', '12'],
    ])
  })
})
