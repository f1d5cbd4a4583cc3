import { describe, expect, test } from 'vitest'
import { newPage } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { demoSite } from './edits.fixture'
import { applyEdit, type Edit, parseEdit } from './index'

const site = demoSite()
const page = site.pages[0]!
const added = newPage(testIds(), 'Winter sky chart', 'winter')
const add: Edit = { kind: 'page-add', index: 1, page: added }

describe('pages', () => {
  test('are added and taken away again', () => {
    const { site: two, inverse } = applyEdit(site, add)
    expect(two.pages.map((one) => one.name)).toEqual(site.pages.map((one) => one.name).toSpliced(1, 0, 'Winter sky chart'))
    expect(applyEdit(two, inverse).site).toEqual(site)
  })

  test('are deleted with all they hold, and come back where they stood', () => {
    const two = applyEdit(site, add).site
    const { site: one, inverse } = applyEdit(two, { kind: 'page-remove', page: page.id })
    expect(one.pages).toEqual(two.pages.slice(1))
    expect(applyEdit(one, inverse).site).toEqual(two)
  })

  test('change their name, title and address, and the change is undone', () => {
    const edit: Edit = { kind: 'page-field', page: page.id, values: { name: 'Nights', address: 'nights', title: { en: 'Nights' } } }
    const { site: changed, inverse } = applyEdit(site, edit)
    expect(changed.pages[0]).toMatchObject({ name: 'Nights', address: 'nights', title: { en: 'Nights' } })
    expect(applyEdit(changed, inverse).site).toEqual(site)
  })

  test.each<[string, Edit, RegExp]>([
    [
      'an address that another page has',
      { kind: 'page-field', page: page.id, values: { address: 'winter' } },
      /"Winter sky chart" already has the address/,
    ],
    ['a page that is gone', { kind: 'page-field', page: 'gone', values: { name: 'x' } }, /page "gone" is no longer/],
    ['an id that is taken', { kind: 'page-add', index: 0, page: { ...added, address: 'other' } }, /is taken/],
  ])('%s is refused', (_, edit, sentence) => {
    expect(() => applyEdit(applyEdit(site, add).site, edit)).toThrow(sentence)
  })

  test.each(['Winter', 'a b', '-a', 'a--b', '../x', 'ä'])('the address “%s” is no address', (address) => {
    expect(() => parseEdit({ kind: 'page-field', page: page.id, values: { address } })).toThrow(/lower case letters/)
  })
})

describe('pictures', () => {
  const picture = { ...site.pictures[0]!, id: 'new' }

  test('join the site and leave it again', () => {
    const { site: more, inverse } = applyEdit(site, { kind: 'picture-add', picture })
    expect(more.pictures).toHaveLength(site.pictures.length + 1)
    expect(applyEdit(more, inverse).site).toEqual(site)
  })

  test('are not added twice, and not taken away when they are gone', () => {
    expect(() => applyEdit(site, { kind: 'picture-add', picture: site.pictures[0]! })).toThrow(/is taken/)
    expect(() => applyEdit(site, { kind: 'picture-remove', picture: 'gone' })).toThrow(/no longer in this site/)
  })
})

describe('what belongs to the whole site', () => {
  test.each<[string, Edit]>([
    ['its name', { kind: 'site', field: 'name', value: 'Other' }],
    ['its views', { kind: 'site', field: 'views', value: [1440, 390] }],
    ['its breakpoints', { kind: 'site', field: 'breakpoints', value: site.breakpoints.slice(0, 2) }],
    ['its guide', { kind: 'guide', part: 'colours', value: site.guide.colours.slice(1) }],
  ])('%s is set, and set back', (_, edit) => {
    const { site: changed, inverse } = applyEdit(site, parseEdit(JSON.parse(JSON.stringify(edit))))
    expect(changed).not.toEqual(site)
    expect(applyEdit(changed, inverse).site).toEqual(site)
  })

  test('values that are none are refused before they are applied', () => {
    for (const value of [[], [100], Array.from({ length: 7 }, () => 800)])
      expect(() => parseEdit({ kind: 'site', field: 'views', value })).toThrow()
    expect(() => parseEdit({ kind: 'site', field: 'name', value: '  ' })).toThrow(/needs a name/)
    expect(() => parseEdit({ kind: 'site', field: 'pages', value: [] })).toThrow()
  })
})
