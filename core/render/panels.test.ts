import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { FADE } from '#core/blocks/change'
import type { Block, BlockOf } from '#core/blocks/index'
import { newSite } from '#core/site/defaults'
import { withNewIds } from '#core/site/tree'
import { testIds } from '#core/values/ids.fixture'
import { pageFile } from './own-links'
import { printSite } from './site'

const makeId = testIds()
const text = (words: string) => ({ ...newBlock('text', makeId), words: { en: [words] } }) as Block
const group = (more: Partial<BlockOf<'group'>>, ...children: Block[]): BlockOf<'group'> => ({
  ...newBlock('group', makeId),
  ...more,
  children,
})
const button = (words: string, press: BlockOf<'button'>['press']): BlockOf<'button'> => ({
  ...newBlock('button', makeId),
  words: { en: [words] },
  ...(press ? { press } : {}),
})

/** A page with one section of some blocks. */
function printed(...children: Block[]) {
  const made = newSite('Test', makeId)
  const section = { ...newSection('work', makeId), children }
  const { css, pages, script } = printSite(
    { ...made, pages: [{ ...made.pages[0]!, sections: [section] }] },
    {
      style: 'minified',
      addresses: { picture: () => 'a.png', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
    },
  )
  return { css, html: pages[0]!.html, script }
}

describe('a group that opens under its first block', () => {
  test('is details with a summary, needs no script, and is seen on paper', () => {
    const { html, css, script } = printed(group({ panel: 'details' }, text('When?'), text('At dusk.')))
    expect(html).toMatch(
      /<details class="work-group"><summary><span[^>]*>When\?<\/span><\/summary><p[^>]*>At dusk\.<\/p><\/details>/,
    )
    expect(css).toMatch(/@media print\{details::details-content\{content-visibility:visible/)
    expect(script).toBeUndefined()
  })

  test('can be open, and of several one at a time can be', () => {
    const { html } = printed(
      group({ oneOpen: true }, group({ panel: 'details', open: true }, text('A')), group({ panel: 'details' }, text('B'))),
    )
    expect(html.match(/<details[^>]* name="work-group-[^"]+"/g)).toHaveLength(2)
    expect(html.match(/<details[^>]* open/g)).toHaveLength(1)
  })
})

describe('a panel that a button opens', () => {
  test('under it is a popover, that its own button closes, all without a script', () => {
    const panel = group({ name: 'Fares', panel: 'drop' }, text('18 a head'), button('Close', { closes: true }))
    const { html, script } = printed(button('Fares', { opens: panel.id }), panel)
    expect(html).toMatch(/<button[^>]* popovertarget="panel-fares"[^>]*>Fares/)
    expect(html).toMatch(/<div class="over work-fares" popover="auto" id="panel-fares">/)
    expect(html).toMatch(/popovertarget="panel-fares" popovertargetaction="hide"[^>]*>Close/)
    expect(script).toBeUndefined()
  })

  test('mid-window is a dialog with commands, a script for engines without, and seen where there is none', () => {
    const panel = group({ name: 'Fares', panel: 'dialog' }, text('18 a head'), button('Close', { closes: true }))
    const { html, css, script } = printed(button('Fares', { opens: panel.id }), panel)
    expect(html).toMatch(/command="show-modal" commandfor="panel-fares"/)
    expect(html).toMatch(/<dialog class="over work-fares" data-over="dialog" id="panel-fares">/)
    expect(html).toMatch(/command="close" commandfor="panel-fares"/)
    expect(css).toMatch(/@media \(scripting:none\)\{dialog\.over:not\(\[open\],:popover-open\)\{display:block/)
    expect(css).toMatch(/@media print\{\.over:not/)
    expect(script).toContain('showModal')
  })

  test('that was deleted leaves a button that does nothing', () => {
    const { html } = printed(button('Fares', { opens: 'gone' }))
    expect(html).not.toContain('commandfor')
    expect(html).toContain('>Fares</button>')
  })

  test('has an id of its own, however alike others are, also in a duplicate', () => {
    const panel = group({ name: 'Fares', panel: 'drop' }, text('18 a head'))
    const whole = group({}, button('Fares', { opens: panel.id }), panel)
    const { html } = printed(whole, withNewIds(whole, makeId))
    expect([...html.matchAll(/ id="(panel-[\w-]+)"/g)].map(([, id]) => id)).toEqual(['panel-fares', 'panel-fares-2'])
    expect([...html.matchAll(/popovertarget="([\w-]+)"/g)].map(([, id]) => id)).toEqual(['panel-fares', 'panel-fares-2'])
  })
})

test('a hidden panel is none, and what names a section goes with its duplicate', () => {
  const panel = group({ name: 'Fares', panel: 'drop', hidden: true }, text('18 a head'))
  expect(printed(button('Fares', { opens: panel.id }), panel).html).not.toContain('popovertarget')
  const section = newSection('work', makeId)
  const words = {
    ...text('Up'),
    style: {
      base: {
        motion: [
          { kind: 'reveal' as const, of: section.id, line: { value: 50, unit: '%' as const }, from: { opacity: 0 }, duration: 1 },
        ],
      },
    },
  }
  const copy = withNewIds({ ...section, children: [words as Block] }, makeId)
  expect(copy.children[0]!.style.base!.motion).toMatchObject([{ of: copy.id }])
  // A role that is spelt as a block's id stays what it is.
  const inked = { ...text('Ink'), id: 'ink', style: { base: { ink: { role: 'ink' } } } } as Block
  expect(withNewIds(inked, makeId).style.base!.ink).toEqual({ role: 'ink' })
})

describe('a group that shows one of its blocks', () => {
  const panels = [group({ name: 'Dome' }, text('The dome')), group({ name: 'Field' }, text('The field'))] as const
  const shown = (change?: typeof FADE) =>
    printed(
      group({}, button('Dome', { shows: panels[0].id }), button('Field', { shows: panels[1].id })),
      group({ name: 'Places', oneShown: true, ...(change ? { change } : {}) }, ...panels),
    )

  test('shows all where no script runs, and is led to by its buttons', () => {
    const { html, css, script } = shown()
    expect(html).toMatch(/<a class="[^"]*" href="#panel-field" data-shows="">Field<\/a>/)
    expect(html.match(/<div [^>]*id="panel-\w+"[^>]*>/g)).toEqual([
      expect.stringContaining('data-shown'),
      expect.not.stringContaining('data-shown'),
    ])
    expect(css).toMatch(/scripting:enabled\)\{[^@]*\.one-shown>:not\(\[data-shown\]\)\{visibility:hidden\}/)
    expect(css.replace(/@media screen and \(scripting:enabled\)\{.*?\}\}/, '')).not.toContain('visibility:hidden')
    expect(script).toContain('tablist')
  })

  test('keeps the height of the highest, since all lie in one place', () => {
    expect(shown().css).toMatch(/\.one-shown>\*\{grid-area:1\/1\}/)
  })

  test('lets the one go and the other come, each part by its time, where motion is wanted', () => {
    const { css } = shown({
      away: { opacity: 0, across: -40, blur: 4 },
      out: { opacity: { start: 0, duration: 1 }, move: { start: 0.5, duration: 1, easing: 'ease-in' } },
      in: { opacity: { start: 1, duration: 1, easing: 'linear' }, blur: { start: 1, duration: 0.25 } },
    })
    expect(css).toContain('{opacity:0;translate:-40px 0px;filter:blur(4px)}')
    const wanted = css.slice(css.indexOf('prefers-reduced-motion:no-preference'))
    expect(wanted).toContain('transition:opacity 1s,translate 1s ease-in .5s,visibility 0s 1.5s')
    expect(wanted).toContain('transition:opacity 1s linear 1s,filter .25s 1s,visibility 0s 0s')
  })
})

describe('a nav that folds', () => {
  const nav = (as: 'drop' | 'cover'): Block => ({
    ...newBlock('nav', makeId),
    label: { en: 'Main' },
    folds: { below: newSite('Test', makeId).breakpoints.at(-1)!.id, as },
    children: [{ ...newBlock('link', makeId), words: { en: ['Visit'] } }],
  })

  test('has its links behind a button below its breakpoint, and none above it', () => {
    const { html, css } = printed(nav('drop'))
    expect(html).toMatch(
      /<nav class="work-nav" aria-label="Main"><button class="fold-open" type="button" popovertarget="panel-nav">Menu<\/button>/,
    )
    expect(html).toMatch(/<div class="fold" id="panel-nav" popover="auto" data-fold="drop"><a/)
    expect(css).toContain('.fold{display:contents;color:inherit}')
    expect(css).toMatch(/@media\(width<\d+px\)\{[^@]*\.work-nav>\.fold:not\(\[open\],:popover-open\)\{display:none\}/)
  })

  test('over the whole page has a way out, and keeps the focus', () => {
    const { html, css, script } = printed(nav('cover'))
    expect(html).toMatch(/<button class="fold-close"[^>]*popovertargetaction="hide">Close<\/button>/)
    expect(css).toMatch(/\.fold-close\{display:block\}/)
    expect(script).toContain('[data-fold=cover]')
  })
})
