import { describe, expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import { makeId } from '#core/deck/deck.fixture'
import type { BlockOf } from '#core/blocks/index'
import { fieldNames } from './field-names'

const field = (label: string | undefined, input: BlockOf<'field'>['input'] = 'text') => ({
  ...newBlock('field', makeId),
  input,
  words: (label === undefined ? {} : { en: [label] }) as Record<string, string[]>,
})
const namesOf = (...fields: ReturnType<typeof field>[]) => [
  ...fieldNames({ ...newBlock('form', makeId), children: fields }).values(),
]

describe('names of fields', () => {
  test('come from their labels, and tell two of one label apart', () => {
    expect(namesOf(field('Your name'), field('Your name'), field('Your name'))).toEqual(['your-name', 'your-name-2', 'your-name-3'])
  })

  test('are what the field takes where it has no label, or an empty one', () => {
    expect(namesOf(field(undefined, 'email'), field('', 'email'), field('  ', 'date'))).toEqual(['email', 'email-2', 'date'])
  })
})
