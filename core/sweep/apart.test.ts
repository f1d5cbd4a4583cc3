import { expect, test } from 'vitest'
import { section, siteOf, worded } from '#core/site/made.fixture'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { apart } from './apart'

const padded = { paddingTop: pixels(40), paddingBottom: pixels(40) }

/** Ids of the sections of each group, where each section has one text of such values. */
function groups(...values: StyleValues[]): string[] {
  const sections = values.map((one, n) => section(`${n}`, [worded('text', `t${n}`, 'Dusk', one)], padded))
  return apart(sections, siteOf('Observatory', sections)).map((group) => group.map((one) => one.id).join(' '))
}

test('sections out of which nothing reaches stand alone', () => {
  expect(groups({}, {}, {})).toEqual(['0', '1', '2'])
})

test('one out of which something may reach is looked at with those beside it', () => {
  expect(groups({}, {}, { spaceBefore: pixels(-20) }, {}, {})).toEqual(['0', '1 2 3', '4'])
  expect(groups({ position: 'held' }, {}, {}, { height: pixels(20) })).toEqual(['0 1', '2 3'])
})
