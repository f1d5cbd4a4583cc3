import { expect, test } from 'vitest'
import { seededRandom } from '#core/values/ids.fixture'
import { propertyNames, propertyOf } from './registry'
import { anyValue } from './values.fixture'

test('nearly every property is given values by its shape, and those it takes', () => {
  const random = seededRandom(4)
  const values = propertyNames.map((name) => [name, anyValue(name, random)] as const)
  for (const [name, value] of values) if (value !== undefined) expect(propertyOf(name).schema.safeParse(value).success).toBe(true)
  expect(values.filter(([, value]) => value === undefined).map(([name]) => name).length).toBeLessThan(6)
})
