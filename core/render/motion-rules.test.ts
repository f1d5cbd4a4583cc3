import { gzipSync } from 'node:zlib'
import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import type { Motion } from '#core/motion/motion'
import { newSite } from '#core/site/defaults'
import type { Style } from '#core/style/registry'
import { testIds } from '#core/values/ids.fixture'
import { pixels } from '#core/values/length'
import { FORM_SCRIPT } from './form-script'
import { MOTION_SCRIPT } from './motion-script'
import { asPlain } from './motion-timelines'
import { pageFile } from './own-links'
import { PART_SCRIPT } from './part-script'
import { minifyScript, PAGE_SCRIPT } from './page-script'
import { PRESS_SCRIPT } from './press-script'
import type { Rule } from './rules'
import { printSite } from './site'

type Printed = { css: string; html: string }

/** A page of two sections, Work with a group of two texts, and Plan; the group has a style. */
function printed(
  styleOf: (plan: string, narrow: string) => Style,
  engine?: 'plain' | 'calm',
  hidden = false,
  tag: 'div' | 'ul' = 'div',
): Printed {
  const makeId = testIds()
  const made = newSite('Test', makeId)
  const text = (words: string): Block => ({ ...newBlock('text', makeId), words: { en: [words] } }) as Block
  const plan = {
    ...newSection('work', makeId),
    name: 'Plan',
    children: [text('Later.')],
    ...(hidden ? { hidden: true as const } : {}),
  }
  const group = {
    ...newBlock('group', makeId),
    name: 'Passages',
    element: tag,
    children: [text('One.'), text('Two.')],
    style: styleOf(plan.id, made.breakpoints.at(-1)!.id),
  }
  const section = { ...newSection('work', makeId), children: [group as Block] }
  const { css, pages } = printSite(
    { ...made, pages: [{ ...made.pages[0]!, sections: [section, plan] }] },
    {
      style: 'minified',
      ...(engine ? { engine } : {}),
      addresses: { picture: () => 'a.png', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
    },
  )
  return { css, html: pages[0]!.html }
}
const withMotion = (...motion: Motion[]) => printed(() => ({ base: { motion } }))
const reveal = (more: Partial<Extract<Motion, { kind: 'reveal' }>> = {}): Motion => ({
  kind: 'reveal',
  line: { value: 75, unit: '%' },
  from: { opacity: 0, down: { value: 24, unit: 'px' } },
  duration: 0.6,
  ...more,
})
const scrub = (more: Partial<Extract<Motion, { kind: 'scrub' }>> = {}): Motion => ({
  kind: 'scrub',
  range: { of: 'page', begins: 0, ends: 400 },
  states: [
    { at: 0, pose: {} },
    { at: 100, pose: { scale: 2 } },
  ],
  ...more,
})
/** What stands inside the query that asks an engine, and no further. */
const inside = (css: string, query: string): string => {
  const from = css.indexOf(query)
  if (from < 0) return ''
  let depth = 0
  let at = css.indexOf('{', from)
  const begins = at
  do {
    if (css[at] === '{') depth++
    if (css[at] === '}') depth--
    at++
  } while (depth > 0)
  return css.slice(begins + 1, at - 1)
}

describe('the rules of a motion', () => {
  test('on opening plays for all who want motion, on a screen, and waits on its first frame', () => {
    const { css, html } = withMotion({ kind: 'opening', from: { opacity: 0 }, duration: 0.5, delay: 0.2, easing: 'ease-out' })
    expect(inside(css, '@media screen and (prefers-reduced-motion:no-preference)')).toMatch(
      /\.work-passages\{animation:work-passages-opening \.5s ease-out \.2s both\}/,
    )
    expect(css).toMatch(/@keyframes work-passages-opening\{from\{opacity:0\}\}/)
    expect(css).not.toContain('@supports')
    expect(html).not.toContain('motion.js')
  })

  test('of parallax follows the page where the engine has timelines of the scroll, and needs no script', () => {
    const { css, html } = withMotion({ kind: 'parallax', speed: 0.6 })
    const scrolling = inside(css, '@supports (animation-timeline:view())')
    expect(scrolling).toContain('animation-timeline:view()')
    expect(scrolling).toMatch(/linear/)
    expect(html).not.toContain('<script')
  })

  test('of parallax that rests at the top follows the scroll of the page itself', () => {
    expect(withMotion({ kind: 'parallax', speed: 1.5, rests: 'opening' }).css).toContain('animation-timeline:scroll(root)')
  })

  test('of a scrub goes from px to px of the page, by the share of each of its states', () => {
    const { css } = withMotion(
      scrub({
        range: { of: 'page', begins: 100, ends: 500 },
        states: [
          { at: 0, pose: { scale: 1 } },
          { at: 40, pose: { scale: 1.5 } },
          { at: 100, pose: { scale: 2 } },
        ],
      }),
    )
    expect(css).toContain('animation-range:100px 500px')
    expect(css).toMatch(/@keyframes work-passages-scrub\{[^@]*40%\{scale:1\.5\}/)
  })

  test('that reveals waits by a trigger, and by the script where there is none', () => {
    const { css, html } = withMotion(reveal())
    const triggered = inside(css, '@supports (animation-trigger:--a play)')
    expect(triggered).toMatch(/timeline-trigger:--work-passages-reveal[\w-]* view\(\)/)
    expect(triggered).toContain('play-forwards')
    expect(triggered).toMatch(/play-forwards[ ,;}](?! ?play-backwards,)/)
    const waiting = inside(css, '@supports not (animation-trigger:--a play)')
    expect(waiting).toContain('.moves .work-passages{animation:')
    expect(waiting).toContain('paused')
    expect(waiting).toContain('--line:75vh')
    expect(html).toContain('<script src="motion.js"></script>')
    expect(html).toContain('data-reveal')
  })

  test('that reveals each time goes back at its line', () => {
    const { css } = withMotion(reveal({ again: true }))
    expect(inside(css, '@supports (animation-trigger:--a play)')).toContain('play-forwards play-backwards')
    expect(css).toContain('--again:1')
  })

  test('that follows a section takes its timeline, which the body lets through', () => {
    const { css, html } = printed((plan) => ({ base: { motion: [reveal({ of: plan })] } }))
    expect(css).toContain('.plan{view-timeline:--plan}')
    expect(css).toContain('timeline-scope:--plan')
    expect(html).toContain('data-reveal="plan"')
  })

  test('that follows a hidden section rests, and names no timeline that is not there', () => {
    const { css } = printed((plan) => ({ base: { motion: [reveal({ of: plan })] } }), undefined, true)
    expect(css).not.toContain('timeline-scope')
    expect(css).not.toContain('.work-passages{animation')
  })

  test('plays what is inside one after the other', () => {
    const { css } = withMotion(reveal({ apart: 0.1, delay: 0.2 }))
    expect(css).toContain(':where(.work-passages)>*{animation:')
    expect(css).toMatch(/\.work-passages>:nth-child\(2\)\{animation-delay:\.3s\}/)
  })

  test('adds to the others of its block, and to the place the block has itself', () => {
    const { css } = withMotion({ kind: 'parallax', speed: 0.5 }, reveal())
    expect(css).toContain('animation-composition:')
    expect(css).toMatch(/animation-timeline:view\(\),auto|animation-timeline:view\(\), auto/)
    const own = printed(() => ({ base: { motion: [{ kind: 'parallax', speed: 0.5 }] }, hover: { lift: 4 } })).css
    expect(own).toContain('animation-composition:add')
  })

  test('each reveal has the trigger of its own line', () => {
    const { css } = withMotion(reveal(), reveal({ line: { value: 100, unit: 'px' }, from: { scale: 0.8 } }))
    const triggers = /\.work-passages\{timeline-trigger:([^;}]+)/.exec(css)?.[1] ?? ''
    expect(triggers.split(',')).toHaveLength(2)
  })

  test('ends in the range that has none', () => {
    const { css } = printed((_, narrow) => ({
      base: { motion: [{ kind: 'parallax', speed: 0.5 }] },
      below: { [narrow]: { motion: 'none' } },
    }))
    expect(css).toMatch(/@media\(width<640px\)\{\.work-passages\{animation:none\}\}/)
  })

  test('moves eight of a block, and lets the rest be', () => {
    const many = Array.from({ length: 40 }, (): Motion => ({ kind: 'parallax', speed: 0.5 }))
    expect(withMotion(...many).css.match(/@keyframes/g)?.length).toBe(8)
  })

  test('of a loop goes on until it is paused, there and back or anew, and rests where none is wanted', () => {
    const { css, html } = withMotion({ kind: 'loop', to: { turn: 5 }, duration: 4, easing: 'ease-in-out' })
    const wanted = inside(css, '@media screen and (prefers-reduced-motion:no-preference)')
    expect(wanted).toContain(
      '.work-passages{animation:work-passages-loop 4s ease-in-out alternate infinite var(--goes-on,running)}',
    )
    expect(css).toContain('@keyframes work-passages-loop{to{rotate:5deg}}')
    expect(wanted).toContain(':has(> .pause :checked){--goes-on:paused}')
    expect(html).toContain(
      '<label class="pause"><input type="checkbox" aria-label="Pause"><span aria-hidden="true"></span></label>',
    )
    expect(html).not.toContain('<script')
    expect(css).toMatch(/\.pause\{display:none\}/)
    expect(withMotion({ kind: 'loop', to: { turn: 360 }, duration: 4, anew: true }).css).not.toContain('alternate')
  })

  test('of a strip passes its blocks and a copy of them that is for the eye alone', () => {
    const { css, html } = printed(() => ({ base: { gap: pixels(40), motion: [{ kind: 'strip', to: 'right', duration: 30 }] } }))
    expect(css).toContain('.work-passages>.run{animation:work-passages-strip 30s linear reverse infinite var(--goes-on,running)}')
    expect(css).toContain('translate:calc(-50% - 40px/2)')
    expect(css).toContain('min-width:calc(200% + 40px)')
    expect(html).toMatch(
      /<div class="run"><div class="turn"><p[^>]*>One\.<\/p><p[^>]*>Two\.<\/p><\/div><div class="turn" aria-hidden="true" inert>/,
    )
  })

  test('of a strip ends in the range that has none: its blocks wrap, and their copy is gone', () => {
    const { css } = printed((_, narrow) => ({
      base: { motion: [{ kind: 'strip', to: 'left', duration: 30 }] },
      below: { [narrow]: { motion: 'none' } },
    }))
    const below = css.slice(css.lastIndexOf('width<640px'))
    expect(below).toMatch(/\.turn\[aria-hidden\]\{display:none\}/)
    expect(below).toMatch(/\.work-passages\{overflow:visible;flex-flow:row wrap\}/)
  })

  test('of a strip rests on what cannot pass, and what rests needs no pause', () => {
    const text = printed(() => ({ base: { motion: [{ kind: 'strip', to: 'left', duration: 30 }] } }), undefined, false, 'ul')
    expect(text.css).not.toContain('animation')
    expect(text.html).not.toContain('class="run"')
    expect(text.html).not.toContain('class="pause"')
  })

  test('of colours moves those of the guide, said in full, and only as far as the block reaches', () => {
    const { css } = withMotion({
      kind: 'loop',
      to: { colours: { ink: { hex: '#FF0000', alpha: 0.5 }, gone: { role: 'nowhere' } } },
      duration: 2,
    })
    const ink = newSite('Test', testIds())
      .guide.colours.find((one) => one.role === 'ink')!
      .hex.toLowerCase()
    expect(css).toContain(`@property --ink{syntax:"<color>";inherits:true;initial-value:${ink}}`)
    expect(css).toContain('to{--ink:#ff000080;--gone:transparent}')
    expect(css).toMatch(/\.work-passages\{animation:[^}]*color:var\(--ink\)\}/)
    // Where all is written in place once, what moves is still read as it is at the time.
    expect(css).toMatch(/:root\{[^}]*--ink:/)
  })

  test('of a scrub that comes after the scroll moves the body along it, and the block by a transition', () => {
    const states = [
      { at: 0, pose: {} },
      { at: 100, pose: { scale: 2, opacity: 0.5 } },
    ]
    const moment = (edge: 'top' | 'bottom') => ({ edge, line: { value: 50, unit: '%' } as const })
    const own = { of: 'own', begins: moment('top'), ends: moment('bottom') } as const
    const { css, html } = withMotion(scrub({ smooth: 0.4, states }), scrub({ range: own, smooth: 0.2, states }))
    const scrolling = inside(css, '@supports (animation-timeline:view())')
    expect(scrolling).toContain('animation:work-passages-scrub linear both,work-passages-scrub2 linear both')
    expect(scrolling).toContain('animation-timeline:scroll(root),--work-passages-scrub2')
    expect(scrolling).toContain('timeline-scope:--work-passages-scrub2')
    expect(scrolling).toContain('scale:var(--work-passages-scrub-scale)')
    expect(scrolling).toContain('transition:opacity .4s ease-out,scale .4s ease-out')
    expect(css).toContain('@property --work-passages-scrub-scale{syntax:"<number>";inherits:true;initial-value:1}')
    expect(html).not.toContain('<script')
    const still = printed((_, narrow) => ({
      base: { motion: [scrub({ smooth: 0.4, states })] },
      below: { [narrow]: { motion: 'none' } },
    })).css
    expect(inside(still, '@supports (animation-timeline:view())')).toContain('.work-passages{opacity:1;scale:none;transition:none}')
  })

  test('of a block that has states goes with the scroll, since one transition cannot be two', () => {
    const states = printed(() => ({
      base: {
        motion: [scrub({ smooth: 0.4 })],
      },
      hover: { ink: { role: 'accent' } },
    })).css
    expect(states).not.toContain('--work-passages-scrub-scale')
    expect(states).toContain('100%{scale:2}')
  })

  test('is not printed where none is wanted, and only what plays where nothing is known of scrolls', () => {
    const style = (): Style => ({ base: { motion: [reveal(), { kind: 'parallax', speed: 0.5 }] } })
    expect(printed(style, 'calm').css).not.toContain('animation')
    expect(printed(style, 'calm').html).not.toContain('<script')
    const plain = printed(style, 'plain').css
    expect(plain).not.toContain('animation-timeline')
    expect(plain).not.toContain('animation-trigger')
    expect(plain).toContain('.moves .work-passages{animation:')
  })
})

test('an older engine passes over what it does not know, and keeps all else that is asked of engines', () => {
  const rules = (
    ['scrolling', 'triggered', 'waiting', 'waiting-scrolling', 'scripted', 'touch', 'printed', undefined] as const
  ).map((when): Rule => ({ selector: 'p', below: null, declarations: [], ...(when ? { when } : {}) }))
  expect(asPlain(rules).map((one) => one.when)).toEqual(['wanted', 'scripted', 'touch', 'printed', undefined])
})

describe('the scripts of pages', () => {
  const bytes = (script: string) => gzipSync(minifyScript(script), { level: 9 }).length

  test('are small: what reveals is under 1 kB, what moves and is pressed under 3 kB, forms under 1.2 kB, and in parts under 1.5', () => {
    expect(bytes(MOTION_SCRIPT)).toBeLessThan(1000)
    expect(bytes(MOTION_SCRIPT) + bytes(`${PAGE_SCRIPT}\n${PRESS_SCRIPT}`)).toBeLessThan(3000)
    expect(bytes(FORM_SCRIPT)).toBeLessThan(1200)
    expect(bytes(`${FORM_SCRIPT}\n${PART_SCRIPT}`)).toBeLessThan(1500)
  })

  test('share the scope of their page, so no name is declared twice', () => {
    const names = (script: string) => [...script.matchAll(/^(?:const|let|function) (\w+)/gm)].map(([, name]) => name)
    const both = [MOTION_SCRIPT, PAGE_SCRIPT, PRESS_SCRIPT, FORM_SCRIPT, PART_SCRIPT].flatMap(names)
    expect(new Set(both).size).toBe(both.length)
  })
})
