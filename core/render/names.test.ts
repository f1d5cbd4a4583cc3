import fc from 'fast-check'
import { expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Motion } from '#core/motion/motion'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import type { Section } from '#core/blocks/index'
import { blockClasses, sectionClasses, slug } from './names'

const makeId = testIds()

test('names become class names', () => {
  expect(slug('What you’ll see')).toBe('what-you-ll-see')
  expect(slug('Éclair')).toBe('eclair')
  expect(slug('2009')).toBe('n2009')
  expect(slug('…')).toBe('block')
})

test('no two blocks of a site share a class, whatever they are called', () => {
  const name = fc.constantFrom(
    'opening',
    'opening picture',
    'picture',
    'heading',
    'heading 2',
    '2',
    'body',
    'button',
    'a',
    'a b',
    'a b c',
    'b c',
    'opening 2',
    'openings',
  )
  fc.assert(
    fc.property(fc.array(fc.tuple(name, fc.array(name, { maxLength: 4 })), { maxLength: 6 }), (list) => {
      const sections = list.map(([title, blocks]): Section => ({
        ...newSection('story', makeId),
        name: title,
        // Each is styled in its own way, so none may share a class.
        children: blocks.map((one, i) => ({
          ...newBlock('text', makeId),
          name: one,
          style: { base: { order: i } },
        })),
      }))
      const base = newSite('Test', makeId)
      const site = { ...base, pages: [{ ...base.pages[0]!, sections }] }
      const reserved = [
        'band',
        'frame',
        ...base.guide.types.map((one) => one.role),
        ...base.guide.buttons.map((one) => `button-${one.name}`),
      ]
      const classes = sectionClasses(site)
      const all = [
        ...reserved,
        ...sections.flatMap((section) => [...[...blockClasses(section, classes.get(section.id)!).values()].map((one) => one.name)]),
      ]
      expect(all.filter((one, i) => all.indexOf(one) !== i)).toEqual([])
    }),
    { numRuns: 500 },
  )
})

test('blocks of one name that are styled alike share a class, in containers that do', () => {
  const item = () => ({ ...newBlock('text', makeId), style: {} })
  const group = (order: number) => ({
    ...newBlock('group', makeId),
    style: { base: { order } },
    children: [item(), item()],
  })
  const section = { ...newSection('story', makeId), children: [group(1), group(1), group(2)] }
  const classes = blockClasses(section, 'story')
  const names = section.children.map((one) => [one, ...one.children].map((block) => classes.get(block.id)?.name))
  expect(names).toEqual([
    ['story-group', 'story-text', 'story-text'],
    ['story-group', 'story-text', 'story-text'],
    ['story-group-2', 'story-text-2', 'story-text-2'],
  ])
})

test('a section may be called what a part of a strip or of a form is', () => {
  const base = newSite('Test', makeId)
  const sections = ['Run', 'Turn', 'Pause', 'Part steps'].map((name) => ({ ...newSection('story', makeId), name }))
  const classes = sectionClasses({ ...base, pages: [{ ...base.pages[0]!, sections }] })
  expect([...classes.values()]).toEqual(['section-run', 'section-turn', 'section-pause', 'section-part-steps'])
})

test('blocks alike share a class, but for those that come after the scroll, whose timelines are their own', () => {
  const scrub = (smooth?: number): Motion => ({
    kind: 'scrub',
    range: { of: 'page', begins: 0, ends: 400 },
    ...(smooth === undefined ? {} : { smooth }),
    states: [
      { at: 0, pose: {} },
      { at: 100, pose: { scale: 2 } },
    ],
  })
  const namesOf = (motion: Motion) => {
    const children = [1, 2].map(() => ({ ...newBlock('text', makeId), style: { base: { motion: [motion] } } }))
    const names = blockClasses({ ...newSection('story', makeId), children }, 'story')
    return children.map(({ id }) => names.get(id)!.name)
  }
  expect(namesOf(scrub())).toEqual(['story-text', 'story-text'])
  expect(namesOf(scrub(0.3))).toEqual(['story-text', 'story-text-2'])
})
