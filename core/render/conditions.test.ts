import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block, BlockOf } from '#core/blocks/index'
import { newSite } from '#core/site/defaults'
import { withNewIds } from '#core/site/tree'
import { testIds } from '#core/values/ids.fixture'
import { pageFile } from './own-links'
import { printSite } from './site'

const makeId = testIds()
const field = (more: Partial<BlockOf<'field'>>) => ({ ...newBlock('field', makeId), ...more }) as BlockOf<'field'>

function printed(...forms: Block[]) {
  const made = newSite('Test', makeId)
  const section = { ...newSection('plan', makeId), children: forms }
  const { css, pages, script } = printSite(
    { ...made, pages: [{ ...made.pages[0]!, sections: [section] }] },
    {
      style: 'minified',
      addresses: { picture: () => 'a.png', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
    },
  )
  return { css, html: pages[0]!.html, script }
}

const supper = field({ input: 'one', words: { en: ['Supper'] }, options: { en: ['Soup, hot > "all"', 'None'] } })
const diet = field({ input: 'text', words: { en: ['Diet'] }, shownBy: { field: supper.id, is: 'Soup, hot > "all"' } })
const form = (...children: Block[]): Block => ({ ...newBlock('form', makeId), children }) as Block

describe('a field that is shown for a choice', () => {
  test('is hidden until that is chosen, where a script keeps it from being sent; signs of the choice are no CSS', () => {
    const { css, html, script } = printed(form(supper, diet))
    const rule = /@media screen and \(scripting:enabled\)\{(.*?)\{display:none\}\}/.exec(css)![1]!
    expect(rule).toBe(
      'form:not(:has([name="supper"][value="Soup\\2c \\20 hot\\20 \\3e \\20 \\22 all\\22 "]:checked,[name="supper"] [value="Soup\\2c \\20 hot\\20 \\3e \\20 \\22 all\\22 "]:checked)) .plan-field-2',
    )
    expect(html).toMatch(/data-when=""/)
    expect(script).toContain('data-when')
  })

  test('is always seen where the field that it asks is gone', () => {
    expect(printed(form(field({ shownBy: { field: 'gone', is: 'x' } }))).css).not.toContain('scripting')
  })

  test('asks the field of its own form in a duplicate', () => {
    const whole = form(supper, diet)
    const copy = withNewIds(whole, makeId)
    const [asked, asks] = (copy as BlockOf<'form'>).children as [Block, BlockOf<'field'>]
    expect(asks.shownBy!.field).toBe(asked.id)
  })
})

test('a form says its problems in the language of the page, and has a field that nobody sees', () => {
  const { html } = printed(form(field({})))
  expect(html).toContain('Please fill this in.')
  expect(html).toMatch(/<input type="text" name="leave-empty" hidden[^>]* tabindex="-1" autocomplete="off" aria-hidden="true">/)
})

describe('a long form', () => {
  const part = (...children: Block[]): Block => ({ ...newBlock('group', makeId), children }) as Block
  const send = { ...newBlock('button', makeId), words: { en: ['Send'] } } as Block
  const inParts = (...children: Block[]): Block => ({ ...form(...children), parts: true }) as Block

  test('is filled in part by part, the first of them seen, and what leads on after the last', () => {
    const { css, html, script } = printed(inParts(part(supper), part(diet), send))
    expect(html).toMatch(/<form[^>]* data-parts="">/)
    expect(html.match(/data-part=""/g)).toHaveLength(2)
    expect(html.match(/data-shown=""/g)).toHaveLength(1)
    expect(html).toContain(
      '<div class="part-steps"><button type="button">Previous</button><span role="status">1 of 2</span><button type="button">Next</button></div><button',
    )
    expect(css).toMatch(/scripting:enabled\)\{.*\[data-part\]:not\(\[data-shown\]\)/)
    expect(script).toContain('form[data-parts]')
  })

  test.each<[string, Block]>([
    ['one part', inParts(part(supper), send)],
    ['no part', inParts(supper, send)],
    ['groups that nobody asked to be parts', form(part(supper), part(diet), send)],
  ])('of %s is filled in as any other', (_, one) => {
    const { css, html, script } = printed(one)
    expect(html).toMatch(/<form[^>]*>.*<button/s)
    expect(html).toContain('Supper')
    expect(html).not.toContain('part-steps')
    expect(css).not.toContain('data-part')
    expect(script).not.toContain('data-parts')
  })
})
