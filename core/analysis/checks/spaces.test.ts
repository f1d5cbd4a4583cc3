import { expect, test } from 'vitest'
import { applyEdit } from '#core/edits/index'
import { group, section, siteOf, worded } from '#core/site/made.fixture'
import { pixels } from '#core/values/length'
import { findings } from './index'

const pair = (n: number, space: number, before = 0) =>
  group(`pair${n}`, [
    worded('heading', `h${n}`, `Heading ${n}`, { spaceAfter: pixels(space) }),
    worded('text', `t${n}`, 'Two hours under a dark sky.', before ? { spaceBefore: pixels(before) } : {}),
  ])
const siteWith = (...spaces: [number, number?][]) =>
  siteOf('Observatory', [
    section(
      'reasons',
      spaces.map(([space, before], n) => pair(n, space, before)),
    ),
  ])
const said = (site: ReturnType<typeof siteWith>) => findings(site).filter((one) => one.kind === 'spaces')

test('a block that stands a little nearer than everywhere else on the site is said, with the space that is usual', () => {
  const site = siteWith([24], [24], [24], [24], [24], [16])
  const [one, ...others] = said(site)
  expect(others).toEqual([])
  expect(one).toMatchObject({
    block: 't5',
    fault: false,
    sentence: '“Two hours under a dark sky.” stands 16 px under “Heading 5”; such two are 24 px apart 5 times on this site.',
  })
  expect(said(applyEdit(site, one!.repair!.edit).site)).toEqual([])
})

test('spaces after and before count together, and what is far otherwise is meant', () => {
  expect(said(siteWith([24], [24], [24], [24], [14, 10]))).toEqual([])
  expect(said(siteWith([24], [24], [24], [24], [96]))).toEqual([])
})

test('where nothing is usual, nothing is said', () => {
  expect(said(siteWith([24], [16], [24], [16], [20]))).toEqual([])
  expect(said(siteWith([24], [24], [16]))).toEqual([])
})
