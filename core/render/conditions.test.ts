import { JSDOM } from 'jsdom'
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

const documentOf = (html: string): Document => new JSDOM(html).window.document

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
    // The rule does in a document what it says: hidden until the choice is made, and again when another is.
    const document = documentOf(html)
    const [soup, none] = [...document.querySelectorAll<HTMLInputElement>('[name="supper"]')] as [HTMLInputElement, HTMLInputElement]
    const asked = document.querySelector('[name="diet"]')!.closest('.plan-field-2')!
    expect(asked.matches(rule)).toBe(true)
    soup.checked = true
    expect(asked.matches(rule)).toBe(false)
    none.checked = true
    expect(asked.matches(rule)).toBe(true)
    expect(asked.matches('[data-when]') || asked.querySelector('[data-when]') !== null).toBe(true)
    expect(script).toContain('data-when')
  })

  test('is always seen where the field that it asks is gone', () => {
    const { css, html } = printed(form(supper, field({ words: { en: ['Diet'] }, shownBy: { field: 'gone', is: 'x' } })))
    const document = documentOf(html)
    const fields = [...document.querySelectorAll('form [name]')]
    expect(fields.map((one) => one.getAttribute('name'))).toEqual(expect.arrayContaining(['supper', 'diet']))
    const hiding = [...css.matchAll(/([^{}]+)\{display:none\}/g)].map(([, selector]) => selector!)
    for (const one of fields) for (const selector of hiding) expect(one.closest(selector)).toBeNull()
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
  ])('of %s is filled in without buttons between parts', (_, one) => {
    const { css, html, script } = printed(one)
    const form = documentOf(html).querySelector('form')!
    expect([...form.querySelectorAll('legend, label')].some((label) => label.textContent.includes('Supper'))).toBe(true)
    expect([...form.querySelectorAll('button')].map((button) => button.textContent)).toEqual(['Send'])
    expect(form.querySelectorAll('[data-part], [data-shown]')).toHaveLength(0)
    expect(form.hasAttribute('data-parts')).toBe(false)
    // What the script looks for is what forms in parts have: it is left out where there are none.
    const inTwo = printed(inParts(part(supper), part(diet), send))
    for (const [text, other] of [
      [css, inTwo.css],
      [script, inTwo.script],
    ]) {
      expect(other).toMatch(/data-parts?/)
      expect(text).not.toMatch(/data-parts?/)
    }
  })
})
