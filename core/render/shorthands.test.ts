import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import { pageFile } from '#core/render/own-links'
import { walkPage } from '#core/site/tree'
import { pixels } from '#core/values/length'
import { printSite } from './site'

test('a keyword that any property takes never stands in a shorthand beside another value', () => {
  let site = demoSite()
  const group = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'group')!
  const set = (scope: unknown, values: object) =>
    (site = applyEdit(site, { kind: 'style', block: group.id, scope, values } as Edit).site)
  set('base', { layout: 'grid', gap: pixels(33), rowGap: pixels(17) })
  set({ below: site.breakpoints[1]!.id }, { layout: 'column', rowGap: pixels(19) })
  const { css } = printSite(site, {
    style: 'readable',
    addresses: { picture: () => 'data:,', page: pageFile, form: () => '#', stylesheet: 'style.css', font: () => 'none' },
  })
  // In a column there is no gap across: what holds above is taken back.
  expect(css).toMatch(/row-gap: 19px;[^}]*column-gap: initial;/)
  expect(css).not.toMatch(/: [^;]*\S+ initial|: initial \S/)
})
