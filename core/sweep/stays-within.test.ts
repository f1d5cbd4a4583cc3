import { expect, test } from 'vitest'
import { section, siteOf, worded } from '#core/site/made.fixture'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { staysWithin } from './stays-within'

const padded = { paddingTop: pixels(40), paddingBottom: pixels(40) }
const stays = (values: StyleValues, own: StyleValues = padded, more: object = {}) => {
  const one = section('one', [{ ...worded('text', 'a', 'Dusk', values), ...more } as never], own)
  return staysWithin(one, siteOf('Observatory', [one]))
}

test('what is in the flow stays within a section that grows with it', () => {
  expect(stays({})).toBe(true)
  expect(stays({ minHeight: pixels(900), position: 'backdrop' })).toBe(true)
})

test('what is pulled, held, or of a height of its own may reach out', () => {
  expect(stays({ spaceBefore: pixels(-10) })).toBe(false)
  expect(stays({ position: 'held' })).toBe(false)
  expect(stays({ height: pixels(20) })).toBe(false)
  expect(stays({}, { ...padded, height: pixels(200) })).toBe(false)
  expect(stays({ leading: 0.7 })).toBe(false)
})

test('an exception at one breakpoint is enough, and so is no space at its edges', () => {
  const one = section('one', [worded('text', 'a', 'Dusk')], padded)
  const site = siteOf('Observatory', [one])
  const below = { ...one, style: { ...one.style, below: { [site.breakpoints.at(-1)!.id]: { paddingTop: pixels(0) } } } }
  expect(staysWithin(below, site)).toBe(false)
  expect(stays({}, {})).toBe(false)
})
