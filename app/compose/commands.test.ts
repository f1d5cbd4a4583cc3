import { expect, test } from 'vitest'
import { COMMANDS } from './commands'

test('no key has two commands', () => {
  const keys = [...new Map(COMMANDS.map((one) => [`${one.name} ${one.key}`, one])).values()].flatMap((one) => one.key ?? [])
  // The keys of ByName, which are no commands of the list.
  const taken = [...keys, 'P', '/', '?'].map((key) => key.toLowerCase())
  expect(taken.filter((key, n) => taken.indexOf(key) !== n)).toEqual([])
})
