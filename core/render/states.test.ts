import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { answersTo, statesFor } from '#core/blocks/block-states'
import type { Block } from '#core/blocks/index'
import { newSite } from '#core/site/defaults'
import type { Style } from '#core/style/registry'
import { testIds } from '#core/values/ids.fixture'
import { pageFile } from './own-links'
import { printSite } from './site'

/** A card with a picture in a figure, and a caption under it. */
function site(picture: Style, caption: Style = {}, card: Style = {}) {
  const makeId = testIds()
  const made = newSite('Test', makeId)
  const file = { id: makeId(), hash: 'a'.repeat(64), name: 'a.png', type: 'image/png' as const, width: 600, height: 400 }
  const shown = { ...newBlock('picture', makeId), picture: file.id, style: picture }
  const words = { ...newBlock('text', makeId), words: { en: ['Up it comes.'] }, style: caption }
  const figure = { ...newBlock('group', makeId), name: 'Figure', children: [shown] } as Block
  const group = {
    ...newBlock('group', makeId),
    name: 'Card',
    entry: true as const,
    style: card,
    children: [figure, words],
  } as Block
  const section = { ...newSection('work', makeId), children: [group] }
  const all = { ...made, pictures: [file], pages: [{ ...made.pages[0]!, sections: [section] }] }
  const { css, pages } = printSite(all, {
    style: 'minified',
    addresses: { picture: () => 'a.png', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
  })
  return { css, html: pages[0]!.html, chain: [section, group, figure] as Block[], shown: shown as Block, group }
}

describe('a state', () => {
  test('of the card makes a picture grow inside its frame, and a caption come up', () => {
    const { css, html } = site(
      { base: {}, group: { zoom: 1.1 } },
      { base: { opacity: 0, lift: -12 }, group: { opacity: 1, lift: 0 } },
    )
    expect(html).toContain('class="work-card"')
    expect(css).toMatch(/\.work-card:is\(:hover,:focus-within\) \.work-picture ?> ?img\{scale:1\.1\}/)
    expect(css).toMatch(/\.work-card:is\(:hover,:focus-within\) \.work-text\{opacity:1;translate:0\}/)
    expect(css).toMatch(/\.work-picture\{[^}]*overflow:hidden/)
  })

  test('takes its time and its curve, and travels only where motion is wanted', () => {
    const { css } = site(
      {},
      { base: { transition: { duration: 0.4, easing: 'ease-out', delay: 0.1 } }, hover: { lift: 6, ink: { role: 'link' } } },
    )
    expect(css).toMatch(
      /prefers-reduced-motion:no-preference\)\{\.work-text\{transition:color \.4s ease-out \.1s,translate \.4s ease-out \.1s\}/,
    )
  })

  test('that only changes a colour takes its time for everybody', () => {
    expect(site({}, { hover: { ink: { role: 'link' } } }).css).toMatch(/(^|\})\.work-text\{transition:color \.15s\}/)
  })

  test('of hover holds for the focus of the keyboard too', () => {
    expect(site({ hover: { opacity: 0.5 } }).css).toContain('.work-picture:is(:hover,:focus-visible){opacity:.5}')
  })

  test('goes over the one before it: pressed over focus over hover', () => {
    const { css } = site({}, {}, { hover: { opacity: 0.9 }, focus: { opacity: 0.8 }, pressed: { opacity: 0.7 } })
    const at = [':is(:hover,:focus-within){opacity:.9}', ':focus-within{opacity:.8}', ':active{opacity:.7}'].map((one) =>
      css.indexOf(one),
    )
    expect(at.every((one) => one > 0)).toBe(true)
    expect([...at].sort((a, b) => a - b)).toEqual(at)
  })

  test('that only hover can reach is shown where nothing is hovered, if that is asked for', () => {
    const caption = { base: { opacity: 0, touch: 'hover' as const }, group: { opacity: 1 } }
    expect(site({}, caption).css).toMatch(/@media \(hover:none\)\{\.work-text\{opacity:1\}\}/)
  })
})

test('a block answers to the card that it stands in, or to the innermost group', () => {
  const { chain, group } = site({})
  expect(answersTo(chain)).toBe(group)
  expect(answersTo(chain.slice(0, 1))).toBeUndefined()
})

test('states are those that a block can be in', () => {
  const { shown, chain } = site({})
  expect(statesFor(shown, chain)).toEqual(['group', 'hover'])
  const makeId = testIds()
  expect(statesFor(newBlock('link', makeId), [])).toEqual(['hover', 'focus', 'pressed', 'current'])
  expect(statesFor(newBlock('button', makeId), [])).toEqual(['hover', 'focus', 'pressed', 'disabled'])
  expect(statesFor(newBlock('field', makeId), [])).toEqual(['hover', 'focus', 'disabled'])
})
