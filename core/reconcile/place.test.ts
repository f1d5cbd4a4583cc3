import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import { allWords, makeId, textOf, withDeck } from '#core/deck/deck.fixture'
import { placeAtHome, placeOn } from './place'

const site = withDeck(
  demoSite(),
  textOf(demoSite())
    .replace('\n## Reasons', '\nMore words.\n\n[Ask first](mailto:a@b.example)\n\n- A point\n\n## Reasons')
    .replace(/\*Public evenings.*\*\n\n/, ''),
)
const opening = site.pages[0]!.sections[1]!
const unplaced = (role: string) => site.unplaced.find((one) => one.role === role)!
const after = (edits: Edit[] | undefined) => edits!.reduce((now: Site, edit) => applyEdit(now, edit).site, site)
const blockOf = (from: Site, kind: string) => [...walk(from.pages[0]!.sections[1]!)].filter((block) => block.kind === kind)

test('three passages wait', () => expect(site.unplaced.map((one) => one.role)).toEqual(['text', 'call', 'item']))

test('words dropped on an empty slot go into it, whatever their role', () => {
  const [slot] = blockOf(site, 'eyebrow')
  const next = after(placeOn(site, unplaced('text'), slot!.id, makeId))
  expect(blockOf(next, 'eyebrow')[0]).toMatchObject({ id: slot!.id, words: { en: ['More words.'] } })
  expect(next.unplaced).toHaveLength(2)
})

test('words dropped on other words stand after them as a block of their own', () => {
  const [lead] = blockOf(site, 'text')
  const next = after(placeOn(site, unplaced('text'), lead!.id, makeId))
  const order = next.pages[0]!.sections[1]!.children.map((one) => one.id)
  expect(order.indexOf(blockOf(next, 'text')[1]!.id)).toBe(order.indexOf(lead!.id) + 1)
  expect(allWords(next)).toEqual(allWords(site))
})

test('an item makes a list, a call a button that leads where it led', () => {
  expect(blockOf(after(placeOn(site, unplaced('item'), opening.id, makeId)), 'list')[0]).toMatchObject({
    children: [{ words: { en: ['A point'] } }],
  })
  expect(blockOf(after(placeOn(site, unplaced('call'), opening.id, makeId)), 'button').at(-1)).toMatchObject({
    link: { href: 'mailto:a@b.example' },
  })
  expect(placeOn(site, unplaced('call'), 'gone', makeId)).toBeUndefined()
})

test('a call that fills an empty slot brings its link, and one without leaves the slot its own', () => {
  const emptied = withDeck(demoSite(), textOf(demoSite()).replace(/## Closing[^]*?(?=\n## )/, '## Closing\n'))
  const slot = (from: Site) =>
    [...walk(from.pages[0]!.sections.find((one) => one.job === 'closing')!)].find((block) => block.kind === 'button')
  const led = slot(demoSite())!
  expect(slot(emptied)).toMatchObject({ words: {} })
  const filled = (call: string) => slot(withDeck(emptied, textOf(emptied).replace('## Closing\n', `## Closing\n\n${call}\n`)))
  expect(filled('[Ask first](mailto:a@b.example)')).toMatchObject({ link: { href: 'mailto:a@b.example' } })
  expect(filled('[Ask first]()')).toMatchObject({ words: { en: ['Ask first'] }, link: 'link' in led ? led.link : null })
})

test('placed at home, words find the empty slot of their role, or stand at the end of their like', () => {
  const next = after(placeAtHome(site, unplaced('text'), makeId))
  expect(blockOf(next, 'text').map((block) => ('words' in block ? block.words.en?.[0] : ''))).toContain('More words.')
  const homeless = { ...unplaced('text'), page: undefined, pageName: 'Nowhere', section: undefined }
  expect(placeAtHome(site, homeless, makeId)).toBeUndefined()
})
