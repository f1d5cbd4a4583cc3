import { act } from 'react'
import { afterEach, expect, test } from 'vitest'
import { findBlock } from '#core/site/tree'
import { undo } from '../session/store'
import { stage, type Stage } from '../style/style.fixture'
import { MissingWords } from './missing-words'

let now: Stage | undefined
afterEach(() => {
  now?.end()
  now = undefined
})
const fields = () => [...now!.host.querySelectorAll('input')]

test('every passage of the page stands with its words in the first language, until it is written', () => {
  now = stage(<MissingWords language="de" />)
  const all = fields().length
  expect(now.host.textContent).toContain(`Not written yet in this language: ${all}`)
  const first = fields()[0]!
  const row = first.closest('li')!
  const said = row.querySelector('span')!.textContent
  expect(said).not.toBe('')
  expect(first.lang).toBe('de')

  const block = now
    .site()
    .pages[0]!.sections.flatMap((one) => one.children)
    .find((one) => 'words' in one && one.kind === 'link')!
  now.type(/^“Hollin Ridge Observatory” in this language/, '  Sternwarte Hollin ')
  expect(fields()).toHaveLength(all - 1)
  expect((findBlock(now.site(), block.id)!.block as typeof block & { words: object }).words).toMatchObject({
    de: ['Sternwarte Hollin'],
  })
  act(() => void undo(now!.store))
  expect(fields()).toHaveLength(all)
})

test('nothing is missing in the first language, and a field that is left empty writes nothing', () => {
  now = stage(<MissingWords language="en" />)
  expect(now.host.textContent).toBe('')
  now.end()
  now = stage(<MissingWords language="de" />)
  const [before, first] = [now.site(), fields()[0]!]
  act(() => first.focus())
  act(() => first.blur())
  expect(now.site()).toBe(before)
})
