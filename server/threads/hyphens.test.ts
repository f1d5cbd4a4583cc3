import { expect, test } from 'vitest'
import { hyphenated } from './hyphens'

const shown = (language: string, ...words: string[]) => hyphenated({ language, words })?.map((one) => one.replaceAll('\u00ad', '·'))

test('words are parted as their language parts them, and stay what they are', () => {
  expect(shown('en', 'Spectrohelioscope', 'dusk')).toEqual(['Spec·tro·he·lio·scope', 'dusk'])
  expect(shown('de', 'Sternwarte')).toEqual(['Stern·war·te'])
  expect(shown('fr-CA', 'observatoire')).toEqual(['ob·ser·va·toire'])
  expect(shown('en-US', 'observatory')).not.toEqual(shown('en-GB', 'observatory'))
})

test('there are none where the patterns of a language are not here', () => {
  expect(hyphenated({ language: 'xx', words: ['Spectrohelioscope'] })).toBeUndefined()
})
